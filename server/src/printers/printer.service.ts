import type { Sequelize } from 'sequelize';
import { MOST_PRINTERS, type Printer } from '@grain-fold/core/printers';
import { ServerProblem } from '../http/server-problem.ts';
import { Account, PrinterRow } from '../models/index.ts';

/** The printers of workshops. Every query names the owner. */
export class PrinterService {
  constructor(private readonly sequelize: Sequelize) {}

  async all(accountId: string): Promise<readonly Printer[]> {
    const rows = await PrinterRow.findAll({ where: { accountId } });
    return rows.map(({ body }) => body).sort((a, b) => a.name.localeCompare(b.name));
  }

  /** A printer of an account. @throws ServerProblem NOT_FOUND */
  async find(accountId: string, id: string): Promise<Printer> {
    const row = await PrinterRow.findOne({ where: { accountId, id } });
    if (!row) throw new ServerProblem('NOT_FOUND', 'There is no such printer in your workshop: choose another.');
    return row.body;
  }

  /** Keeps a printer, in the place of one with its id. @throws ServerProblem BAD_REQUEST for one too many */
  async keep(accountId: string, printer: Printer): Promise<void> {
    await this.sequelize.transaction(async (transaction) => {
      // One at a time for each account, so that two requests do not both take the last place.
      await Account.findByPk(accountId, { transaction, lock: transaction.LOCK.UPDATE });
      const others = (await PrinterRow.findAll({ where: { accountId }, transaction })).filter(
        ({ id }) => id !== printer.id,
      );
      if (others.length >= MOST_PRINTERS)
        throw new ServerProblem(
          'BAD_REQUEST',
          `A workshop has at most ${MOST_PRINTERS} printers: leave one out first.`,
        );
      await PrinterRow.upsert({ accountId, id: printer.id, body: printer }, { transaction });
    });
  }

  /** @throws ServerProblem NOT_FOUND */
  async leaveOut(accountId: string, id: string): Promise<void> {
    if ((await PrinterRow.destroy({ where: { accountId, id } })) === 0)
      throw new ServerProblem('NOT_FOUND', 'There is no such printer in your workshop.');
  }
}
