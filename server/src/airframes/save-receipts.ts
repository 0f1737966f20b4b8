import { Op, type Transaction } from 'sequelize';
import type { SaveAirframe, SaveReceipt } from '@grain-fold/contract';
import { SaveReceiptRow, type Airframe } from '../models/index.ts';

/** A browser that has saved nothing for so long sends no save again. */
const KEPT_DAYS = 60;

/** What the same save of the same browser was answered, when it is its last one and has arrived before; the airframe's row is held. */
export async function knownReceipt(
  airframe: Airframe,
  { client, id }: SaveAirframe,
  transaction: Transaction,
): Promise<SaveReceipt | undefined> {
  if (client === undefined || id === undefined) return undefined;
  const row = await SaveReceiptRow.findOne({ where: { airframeId: airframe.id, client }, transaction });
  return row?.saveId === id ? row.receipt : undefined;
}

/** Remembers what a save was answered, in the transaction that saves. */
export async function keepReceipt(
  airframe: Airframe,
  { client, id }: SaveAirframe,
  receipt: SaveReceipt,
  transaction: Transaction,
): Promise<void> {
  if (client === undefined || id === undefined) return;
  const savedAt = new Date();
  await SaveReceiptRow.upsert({ airframeId: airframe.id, client, saveId: id, receipt, savedAt }, { transaction });
  const old = new Date(savedAt.getTime() - KEPT_DAYS * 86_400_000);
  await SaveReceiptRow.destroy({ where: { airframeId: airframe.id, savedAt: { [Op.lt]: old } }, transaction });
}
