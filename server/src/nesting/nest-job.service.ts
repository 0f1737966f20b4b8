import { randomUUID } from 'node:crypto';
import type { Sequelize, Transaction } from 'sequelize';
import type { NestJobState, StartNestJob } from '@grain-fold/contract';
import { defined } from '@grain-fold/core/units';
import { stateOf } from '../airframes/airframe-state.ts';
import { ServerProblem } from '../http/server-problem.ts';
import { Account, Airframe, NestJob } from '../models/index.ts';

/** Searches of one account that run or wait at once, and those kept that nobody has fetched, the newest. */
const MOST_AT_ONCE = 3,
  MOST_ENDED = 10;
/** What ended so long ago is fetched by nobody any more, in ms. */
const KEPT_MS = 7 * 86_400_000;

/** The searches for nests that builders ask the server for. Every query names the owner. */
export class NestJobService {
  constructor(private readonly sequelize: Sequelize) {}

  /**
   * Puts a search for an airframe's nest in the queue. One that waits or runs for the same airframe is dropped for it.
   * @throws ServerProblem NOT_FOUND, TOO_MANY_NESTS
   */
  start(accountId: string, { airframeId, seconds, board, isAnother }: StartNestJob): Promise<NestJobState> {
    return this.sequelize.transaction(async (transaction) => {
      // The account's row is held, so that two requests at once cannot both be the last that is allowed.
      await Account.findByPk(accountId, { transaction, lock: transaction.LOCK.UPDATE });
      const row = await Airframe.findOne({ where: { id: airframeId, accountId }, transaction });
      if (!row) throw new ServerProblem('NOT_FOUND', 'There is no such airframe in your workshop.');
      await NestJob.destroy({ where: { accountId, airframeId }, transaction });
      const open = await NestJob.count({ where: { accountId, state: ['waiting', 'running'] }, transaction });
      if (open >= MOST_AT_ONCE)
        throw new ServerProblem('TOO_MANY_NESTS', `${open} searches of your workshop wait or run already.`);
      await prune(accountId, transaction);
      const { airframe } = await stateOf(row, transaction);
      if (board !== undefined && !airframe.nest?.boards[board])
        throw new ServerProblem('BAD_REQUEST', `board: the kept nest has no board ${board + 1}.`);
      const job = await NestJob.create(
        {
          id: randomUUID(),
          accountId,
          airframeId,
          state: 'waiting',
          seconds,
          scope: defined({ board, isAnother }),
          airframe,
          createdAt: new Date(),
        },
        { transaction },
      );
      return told(job);
    });
  }

  /** The searches of a workshop, the newest first. */
  async all(accountId: string): Promise<readonly NestJobState[]> {
    const jobs = await NestJob.findAll({
      where: { accountId },
      attributes: { exclude: ['airframe', 'nest'] },
      order: [['createdAt', 'DESC']],
    });
    return jobs.map(told);
  }

  /** @throws ServerProblem NOT_FOUND */
  async find(accountId: string, id: string): Promise<NestJobState> {
    const job = await NestJob.findOne({ where: { id, accountId }, attributes: { exclude: ['airframe'] } });
    if (!job) throw new ServerProblem('NOT_FOUND', 'There is no such search in your workshop.');
    return told(job);
  }

  /** Ends a search with what it has. One that has not begun ends with nothing. @throws ServerProblem NOT_FOUND */
  async stop(accountId: string, id: string): Promise<void> {
    await this.find(accountId, id);
    await NestJob.update({ isStopped: true }, { where: { id, accountId } });
    await NestJob.update({ state: 'done' }, { where: { id, accountId, state: 'waiting' } });
  }

  /** Drops a search: it is fetched, or nobody wants it. @throws ServerProblem NOT_FOUND */
  async drop(accountId: string, id: string): Promise<void> {
    await this.find(accountId, id);
    await NestJob.destroy({ where: { id, accountId } });
  }
}

/** Drops what ended long ago, and all but the last that ended of an account. */
async function prune(accountId: string, transaction: Transaction): Promise<void> {
  const ended = await NestJob.findAll({
    where: { accountId, state: ['done', 'failed'] },
    attributes: ['id', 'createdAt'],
    order: [['createdAt', 'DESC']],
    transaction,
  });
  const gone = ended.filter(({ createdAt }, at) => at >= MOST_ENDED || createdAt.getTime() < Date.now() - KEPT_MS);
  if (gone.length > 0) await NestJob.destroy({ where: { id: gone.map(({ id }) => id) }, transaction });
}

const told = (job: NestJob): NestJobState => ({
  id: job.id,
  airframeId: job.airframeId,
  state: job.state,
  seconds: job.seconds,
  scope: job.scope,
  ...defined({
    progress: job.progress ?? undefined,
    nest: job.nest ?? undefined,
    fault: job.fault ?? undefined,
  }),
});
