import { QueryTypes, type Sequelize } from 'sequelize';
import type { Logger } from 'pino';
import { NestJob } from '../models/index.ts';
import type { BeginSearch, NestTold, RunningSearch } from './nest-search.ts';

/** How it is run; times in ms. */
export interface RunnerTimes {
  /** How often it looks for work. */
  readonly lookMs: number;
  /** How long one search runs while others wait. */
  readonly turnMs: number;
  /** After so long without a beat a search has lost its server. */
  readonly lostMs: number;
}
const USUAL_TIMES: RunnerTimes = { lookMs: 700, turnMs: 20_000, lostMs: 8000 };

/**
 * Runs the searches that wait in the database, some at a time. Those of accounts that were served longest ago come first, and one that runs
 * gives way after its turn while others wait, keeping what it has. A search whose server was killed is taken up again where it stood.
 */
export class NestRunner {
  private readonly running = new Map<
    string,
    { readonly search: RunningSearch; readonly since: number; isGivingWay: boolean }
  >();
  private timer: ReturnType<typeof setTimeout> | undefined;
  private isClosed = false;
  private looking: Promise<void> = Promise.resolve();

  /** @param places how many searches run at once */
  constructor(
    private readonly sequelize: Sequelize,
    private readonly begin: BeginSearch,
    private readonly logger: Logger,
    private readonly places: number,
    private readonly times = USUAL_TIMES,
  ) {}

  start(): void {
    this.looking = this.look()
      .catch((error: unknown) => this.logger.error(error))
      .finally(() => {
        if (!this.isClosed) this.timer = setTimeout(() => this.start(), this.times.lookMs);
      });
  }

  /** Ends every search; what was told last is kept, and they go on when a server starts again. */
  async close(): Promise<void> {
    this.isClosed = true;
    clearTimeout(this.timer);
    await this.looking;
    const all = [...this.running.values()];
    for (const one of all) {
      one.isGivingWay = true;
      one.search.stop();
    }
    await Promise.allSettled(all.map(({ search }) => search.ended));
    while (this.running.size > 0) await new Promise((resolve) => setTimeout(resolve, 10));
  }

  private async look(): Promise<void> {
    await this.stopThoseStopped();
    while (!this.isClosed && this.running.size < this.places) {
      const job = await this.claim();
      if (!job) break;
      this.run(job);
    }
    if (this.running.size >= this.places && (await this.areOthersWaiting())) this.giveWay();
  }

  /** Says of each search that it runs, and ends those that nobody wants any more. */
  private async stopThoseStopped(): Promise<void> {
    if (this.running.size === 0) return;
    await NestJob.update({ beatAt: new Date() }, { where: { id: [...this.running.keys()] } });
    const there = await NestJob.findAll({ where: { id: [...this.running.keys()] }, attributes: ['id', 'isStopped'] });
    for (const [id, { search }] of this.running) {
      const row = there.find((one) => one.id === id);
      if (!row || row.isStopped) search.stop(); // one that was dropped has nobody to search for
    }
  }

  private areOthersWaiting = async (): Promise<boolean> => (await NestJob.count({ where: { state: 'waiting' } })) > 0;

  /** The search that has run longest ends its turn, when the turn is over. */
  private giveWay(): void {
    const [first] = [...this.running.values()].sort((a, b) => a.since - b.since);
    if (!first || first.isGivingWay || performance.now() - first.since < this.times.turnMs) return;
    first.isGivingWay = true;
    first.search.stop();
  }

  /** Takes the search that is due: rows that another server is taking are passed over. */
  private claim(): Promise<NestJob | undefined> {
    return this.sequelize.transaction(async (transaction) => {
      const [due] = await this.sequelize.query<{ id: string }>(
        `SELECT id FROM nest_jobs AS job
         WHERE state = 'waiting' OR (state = 'running' AND beat_at < :lost)
         ORDER BY (SELECT COALESCE(MAX(served.served_at), '1970-01-01') FROM nest_jobs AS served WHERE served.account_id = job.account_id), created_at, id
         LIMIT 1 FOR UPDATE SKIP LOCKED`,
        {
          replacements: { lost: new Date(Date.now() - this.times.lostMs) },
          type: QueryTypes.SELECT,
          transaction,
        },
      );
      if (!due) return undefined;
      const job = (await NestJob.findByPk(due.id, { transaction }))!;
      job.state = 'running';
      job.turns += 1;
      job.servedAt = job.beatAt = new Date();
      await job.save({ transaction });
      return job;
    });
  }

  private run(job: NestJob): void {
    const before = job.secondsDone,
      triedBefore = job.progress?.tried ?? 0;
    // It goes on from what it had found: from a nest that fits, a search looks for better ones.
    const airframe = job.nest ? { ...job.airframe, nest: job.nest } : job.airframe;
    const { isAnother, ...scope } = job.scope;
    let last: NestTold | undefined,
      told: Promise<unknown> = Promise.resolve();
    const keep = (): void => {
      told = told
        .then(() => this.beat(job, last!, before, triedBefore))
        .catch((error: unknown) => this.logger.error(error));
    };
    const search = this.begin(
      {
        airframe,
        seed: (job.airframe.settings.nest.seed + (job.turns - 1) * 7919) >>> 0,
        scope: isAnother && !job.nest ? job.scope : scope,
        seconds: Math.max(0, job.seconds - before),
      },
      (now) => {
        last = { ...now, nest: now.nest ?? last?.nest };
        keep();
      },
    );
    const own = { search, since: performance.now(), isGivingWay: false };
    this.running.set(job.id, own);
    void search.ended
      .then(
        async () => {
          await told;
          await NestJob.update(
            { state: own.isGivingWay && !(await this.isStopped(job.id)) ? 'waiting' : 'done' },
            { where: { id: job.id } },
          );
        },
        async (error: unknown) => {
          await told;
          const fault = error instanceof Error ? error.message : String(error);
          await NestJob.update({ state: 'failed', fault: fault.slice(0, 500) }, { where: { id: job.id } });
        },
      )
      .catch((error: unknown) => this.logger.error(error))
      .finally(() => this.running.delete(job.id));
  }

  private async isStopped(id: string): Promise<boolean> {
    return (await NestJob.findByPk(id, { attributes: ['id', 'isStopped'] }))?.isStopped ?? true;
  }

  /** Writes down how a search stands, so that its page sees it and another server could go on. */
  private async beat(job: NestJob, now: NestTold, before: number, triedBefore: number): Promise<void> {
    const { nest, tried, seconds, score } = now;
    const secondsDone = before + seconds;
    await NestJob.update(
      {
        beatAt: new Date(),
        secondsDone,
        progress: { tried: triedBefore + tried, seconds: secondsDone, score },
        ...(nest ? { nest } : {}),
      },
      { where: { id: job.id } },
    );
  }
}
