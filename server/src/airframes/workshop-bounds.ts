import { Op, type Transaction } from 'sequelize';
import { BOUNDS } from '@grain-fold/contract';
import { ServerProblem } from '../http/server-problem.ts';
import { Account, Airframe, Attachment, BoardRow, PartRow } from '../models/index.ts';

/** What one workshop may hold: airframes, and bytes of all their versions. */
interface Bounds {
  readonly airframes: number;
  readonly megabytes: number;
  readonly code: 'WORKSHOP_FULL' | 'DEMO_FULL';
}
const OWN: Bounds = { airframes: 1000, megabytes: 2048, code: 'WORKSHOP_FULL' };
/** The demo workshop is everybody's: it never fills the machine. */
const DEMO: Bounds = { airframes: 40, megabytes: 128, code: 'DEMO_FULL' };
const MEGABYTE = 1_000_000;

async function boundsOf(accountId: string, transaction: Transaction): Promise<Bounds> {
  return (await Account.findByPk(accountId, { transaction }))?.isDemo ? DEMO : OWN;
}

/** Whether a workshop has room for one more airframe. @throws ServerProblem WORKSHOP_FULL or DEMO_FULL, with what it holds */
export async function roomForAirframe(accountId: string, transaction: Transaction): Promise<void> {
  const { airframes, code } = await boundsOf(accountId, transaction);
  const count = await Airframe.count({ where: { accountId }, transaction });
  if (count >= airframes)
    throw new ServerProblem(
      code,
      `It holds ${count} airframes, those put away included; there is room for ${airframes}.`,
    );
  await roomForVersion(accountId, transaction);
}

/**
 * Whether a workshop has room for one more version, or for a file of so many bytes.
 * @throws ServerProblem WORKSHOP_FULL or DEMO_FULL, with what it holds
 */
export async function roomForVersion(accountId: string, transaction: Transaction, more = 0): Promise<void> {
  const { megabytes, code } = await boundsOf(accountId, transaction);
  const sum = async (table: typeof Airframe | typeof Attachment): Promise<number> =>
    Number((await (table as typeof Airframe).sum('bytes', { where: { accountId }, transaction })) ?? 0);
  const bytes = (await sum(Airframe)) + (await sum(Attachment)) + more;
  if (bytes >= megabytes * MEGABYTE)
    throw new ServerProblem(
      code,
      `Its airframes, all their versions and the pictures beside them take ${Math.ceil(bytes / MEGABYTE)} MB; there is room for ${megabytes}.`,
    );
}

/** Holds an airframe to what its project file may hold. @throws ServerProblem BAD_REQUEST */
export async function withinFile({ id: airframeId }: Airframe, transaction: Transaction): Promise<void> {
  const where = { airframeId, body: { [Op.ne]: null } } as never;
  const counts = {
    parts: await PartRow.count({ where, transaction }),
    boards: await BoardRow.count({ where, transaction }),
  };
  for (const words of ['parts', 'boards'] as const)
    if (counts[words] > BOUNDS[words])
      throw new ServerProblem(
        'BAD_REQUEST',
        `An airframe has at most ${BOUNDS[words]} ${words}, this would be ${counts[words]}.`,
      );
}
