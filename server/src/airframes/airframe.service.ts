import { randomUUID } from 'node:crypto';
import { Op, type Sequelize, type Transaction } from 'sequelize';
import {
  type AirframeLine,
  type OpenedAirframe,
  type AirframePage,
  type RevisionPage,
  type SaveAirframe,
  type SaveReceipt,
} from '@grain-fold/contract';
import {
  DEFAULT_SETTINGS,
  onHost,
  standardBoard,
  type Airframe as AirframeData,
  type OnHost,
} from '@grain-fold/core/airframe';
import { defined, type LengthUnit } from '@grain-fold/core/units';
import { ServerProblem } from '../http/server-problem.ts';
import { Airframe, BoardRow, FormRow, NestRow, PartRow, PlanRow, Revision, RevisionEntry } from '../models/index.ts';
import { stateOf, thumbnailOf } from './airframe-state.ts';
import { knownReceipt, keepReceipt } from './save-receipts.ts';
import { roomForAirframe, roomForVersion, withinFile } from './workshop-bounds.ts';
import { appendRevision, saveChanges } from './save-changes.ts';

/** Lines of a list that are told at once. */
const AIRFRAMES_A_PAGE = 60,
  REVISIONS_A_PAGE = 500;

/** Airframes of one account. Every query names the owner, so that nobody reaches another's by a guessed id. */
export class AirframeService {
  constructor(private readonly sequelize: Sequelize) {}

  /** A page of the list, of what is put away or of the others. @param from lines before it */
  async list(accountId: string, isAway = false, from = 0): Promise<AirframePage> {
    const away = await Airframe.count({ where: { accountId, putAwayAt: { [Op.ne]: null } } });
    const { rows, count: total } = await Airframe.findAndCountAll({
      where: { accountId, putAwayAt: isAway ? { [Op.ne]: null } : null },
      order: [
        ['savedAt', 'DESC'],
        ['id', 'ASC'],
      ],
      offset: from,
      limit: AIRFRAMES_A_PAGE,
    });
    const counts = (await PartRow.count({
      where: { airframeId: rows.map(({ id }) => id), body: { [Op.ne]: null } } as never,
      group: ['airframeId'],
    })) as unknown as { airframeId: string; count: number }[];
    const lines = rows.map((row): AirframeLine => ({
      id: row.id,
      name: row.name,
      savedAt: row.savedAt.toISOString(),
      version: row.version,
      boards: row.boardsUsed,
      thumbnail: row.thumbnail,
      parts: counts.find(({ airframeId }) => airframeId === row.id)?.count ?? 0,
      putAwayAt: row.putAwayAt?.toISOString() ?? null,
    }));
    return { lines, total, away };
  }

  /** The airframes that have pieces of one on their boards, those put away among them, by name. */
  async hosts(accountId: string, id: string): Promise<readonly OnHost[]> {
    await this.find(accountId, id);
    // Looked for in the text first: few airframes have guests, and settings are read for none of the others.
    const rows = await Airframe.findAll({
      where: { accountId, id: { [Op.ne]: id }, settings: { [Op.like]: `%${id}%` } as never },
      order: [['name', 'ASC']],
    });
    const nests = await NestRow.findAll({ where: { airframeId: rows.map((row) => row.id) } });
    return rows.flatMap((row) => {
      const nest = nests.find(({ airframeId }) => airframeId === row.id)?.body ?? undefined;
      return onHost({ id: row.id, name: row.name, settings: row.settings, ...defined({ nest }) }, id) ?? [];
    });
  }

  create(accountId: string, name: string, unit: LengthUnit): Promise<OpenedAirframe> {
    const pages = { ...DEFAULT_SETTINGS.pages, paper: unit === 'in' ? ('Letter' as const) : ('A4' as const) };
    return this.store(
      accountId,
      {
        id: '',
        name: name.trim(),
        settings: { ...DEFAULT_SETTINGS, unit, pages },
        parts: [],
        boards: [standardBoard('b1', 'faced board', unit)],
      },
      'New airframe',
    );
  }

  /** Takes what a project file holds in as a new airframe. */
  import(accountId: string, airframe: AirframeData): Promise<OpenedAirframe> {
    return this.store(accountId, airframe, 'Import');
  }

  async open(accountId: string, id: string): Promise<OpenedAirframe> {
    return stateOf(await this.find(accountId, id));
  }

  async duplicate(accountId: string, id: string): Promise<OpenedAirframe> {
    const { airframe } = await this.open(accountId, id);
    return this.store(
      accountId,
      { ...airframe, name: `${airframe.name} copy`.slice(0, 80) },
      `Copy of ${airframe.name}`,
    );
  }

  save(accountId: string, id: string, changes: SaveAirframe): Promise<SaveReceipt> {
    return this.sequelize.transaction(async (transaction) => {
      const airframe = await this.find(accountId, id, transaction);
      const known = await knownReceipt(airframe, changes, transaction);
      if (known) return known;
      await roomForVersion(accountId, transaction);
      const receipt = await saveChanges(airframe, changes, transaction);
      await withinFile(airframe, transaction);
      await this.refreshLine(airframe, transaction);
      await keepReceipt(airframe, changes, receipt, transaction);
      return receipt;
    });
  }

  rename(accountId: string, id: string, name: string): Promise<void> {
    return this.sequelize.transaction(async (transaction) => {
      const airframe = await this.find(accountId, id, transaction);
      airframe.name = name.trim();
      await appendRevision(
        airframe,
        `Rename to ${airframe.name}`,
        [{ kind: 'name', entityId: 'name', position: 0, body: airframe.name }],
        transaction,
      );
    });
  }

  /** Puts an airframe away, or brings it back. Nothing is deleted. */
  async setPutAway(accountId: string, id: string, isAway: boolean): Promise<void> {
    const airframe = await this.find(accountId, id);
    airframe.putAwayAt = isAway ? new Date() : null;
    await airframe.save();
  }

  /** A page of the list of revisions. @param from lines before it */
  async revisions(accountId: string, id: string, from = 0): Promise<RevisionPage> {
    await this.find(accountId, id);
    const { rows, count: total } = await Revision.findAndCountAll({
      where: { airframeId: id },
      order: [['number', 'DESC']],
      offset: from,
      limit: REVISIONS_A_PAGE,
    });
    return {
      lines: rows.map(({ number, label, savedAt }) => ({ number, label, savedAt: savedAt.toISOString() })),
      total,
    };
  }

  /** The airframe as a revision left it. */
  async revision(accountId: string, id: string, number: number, transaction?: Transaction): Promise<AirframeData> {
    const airframe = await this.find(accountId, id, transaction);
    if (!(await Revision.findOne({ where: { airframeId: id, number }, transaction })))
      throw new ServerProblem('NOT_FOUND', `There is no version ${number}.`);
    const entries = await RevisionEntry.findAll({
      where: { airframeId: id, number: { [Op.lte]: number } },
      order: [['number', 'ASC']],
      transaction,
    });
    const last = new Map(entries.map((entry) => [`${entry.kind}/${entry.entityId}`, entry]));
    const listOf = <T>(kind: string): T[] =>
      [...last.values()]
        .filter((entry) => entry.kind === kind && entry.body !== null)
        .sort((a, b) => a.position - b.position || (a.entityId < b.entityId ? -1 : 1))
        .map((entry) => entry.body as T);
    const forms = listOf<NonNullable<AirframeData['forms']>[number]>('form');
    const nest = last.get('nest/nest')?.body as AirframeData['nest'] | null | undefined,
      plan = last.get('plan/plan')?.body as AirframeData['plan'] | null | undefined;
    return {
      id,
      name: (last.get('name/name')?.body as string | undefined) ?? airframe.name,
      settings: last.get('settings/settings')!.body as AirframeData['settings'],
      parts: listOf('part'),
      boards: listOf('board'),
      ...defined({ nest: nest ?? undefined, plan: plan ?? undefined, forms: forms.length > 0 ? forms : undefined }),
    };
  }

  /** Makes a revision the current state again, as a new save on top; what it replaces stays in the list. */
  restore(accountId: string, id: string, number: number): Promise<OpenedAirframe> {
    return this.sequelize.transaction(async (transaction) => {
      const airframe = await this.find(accountId, id, transaction);
      const wanted = await this.revision(accountId, id, number, transaction);
      const { airframe: present, versions } = await stateOf(airframe, transaction);
      const listChanges = <T extends { readonly id: string }>(
        now: readonly T[],
        then: readonly T[],
        known: Readonly<Record<string, number>>,
      ) => [
        ...then.map((value, position) => ({ id: value.id, basedOn: known[value.id] ?? 0, position, value })),
        ...now
          .filter((one) => !then.some(({ id: kept }) => kept === one.id))
          .map((one, position) => ({ id: one.id, basedOn: known[one.id]!, position, value: null })),
      ];
      await saveChanges(
        airframe,
        {
          label: `Back to version ${number}`,
          settings: { basedOn: versions.settings, value: wanted.settings },
          parts: listChanges(present.parts, wanted.parts, versions.parts),
          boards: listChanges(present.boards, wanted.boards, versions.boards),
          forms: listChanges(present.forms ?? [], wanted.forms ?? [], versions.forms),
          ...(wanted.nest || versions.nest > 0 ? { nest: { basedOn: versions.nest, value: wanted.nest ?? null } } : {}),
          ...(wanted.plan || versions.plan > 0 ? { plan: { basedOn: versions.plan, value: wanted.plan ?? null } } : {}),
        },
        transaction,
      );
      await this.refreshLine(airframe, transaction);
      return stateOf(airframe, transaction);
    });
  }

  private async find(accountId: string, id: string, transaction?: Transaction): Promise<Airframe> {
    const airframe = await Airframe.findOne({
      where: { id, accountId },
      transaction,
      lock: transaction ? transaction.LOCK.UPDATE : undefined,
    });
    if (!airframe) throw new ServerProblem('NOT_FOUND', 'There is no such airframe in your workshop.');
    return airframe;
  }

  /** Keeps what the list of airframes shows in step with the airframe. */
  private async refreshLine(airframe: Airframe, transaction: Transaction): Promise<void> {
    const { airframe: state } = await stateOf(airframe, transaction);
    airframe.thumbnail = thumbnailOf(state);
    airframe.boardsUsed = state.nest ? state.nest.boards.length : null;
    await airframe.save({ transaction });
  }

  /** Stores a whole airframe as a new one with its first revision. */
  store(accountId: string, airframe: AirframeData, label: string, within?: Transaction): Promise<OpenedAirframe> {
    const all = async (transaction: Transaction): Promise<OpenedAirframe> => {
      await roomForAirframe(accountId, transaction);
      const id = randomUUID();
      const row = await Airframe.create(
        {
          id,
          accountId,
          name: airframe.name,
          version: 0,
          settings: airframe.settings,
          settingsVersion: 1,
          savedAt: new Date(),
          putAwayAt: null,
          thumbnail: thumbnailOf(airframe),
          boardsUsed: airframe.nest ? airframe.nest.boards.length : null,
        },
        { transaction },
      );
      await PartRow.bulkCreate(
        airframe.parts.map((body, position) => ({ airframeId: id, id: body.id, position, version: 1, body })),
        { transaction },
      );
      await BoardRow.bulkCreate(
        airframe.boards.map((body, position) => ({ airframeId: id, id: body.id, position, version: 1, body })),
        { transaction },
      );
      await FormRow.bulkCreate(
        (airframe.forms ?? []).map((body, position) => ({ airframeId: id, id: body.id, position, version: 1, body })),
        { transaction },
      );
      if (airframe.nest) await NestRow.create({ airframeId: id, version: 1, body: airframe.nest }, { transaction });
      if (airframe.plan) await PlanRow.create({ airframeId: id, version: 1, body: airframe.plan }, { transaction });
      await appendRevision(
        row,
        label,
        [
          { kind: 'name', entityId: 'name', position: 0, body: airframe.name },
          { kind: 'settings', entityId: 'settings', position: 0, body: airframe.settings },
          ...airframe.parts.map((body, position) => ({ kind: 'part' as const, entityId: body.id, position, body })),
          ...airframe.boards.map((body, position) => ({ kind: 'board' as const, entityId: body.id, position, body })),
          ...(airframe.forms ?? []).map((body, position) => ({
            kind: 'form' as const,
            entityId: body.id,
            position,
            body,
          })),
          ...(airframe.nest ? [{ kind: 'nest' as const, entityId: 'nest', position: 0, body: airframe.nest }] : []),
          ...(airframe.plan ? [{ kind: 'plan' as const, entityId: 'plan', position: 0, body: airframe.plan }] : []),
        ],
        transaction,
      );
      return stateOf(row, transaction);
    };
    return within ? all(within) : this.sequelize.transaction(all);
  }
}
