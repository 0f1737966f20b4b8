import { isDeepStrictEqual } from 'node:util';
import type { ModelStatic, Transaction } from 'sequelize';
import { type Conflict, type SaveAirframe, type SaveReceipt } from '@grain-fold/contract';
import { ServerProblem } from '../http/server-problem.ts';
import {
  BoardRow,
  FormRow,
  NestRow,
  PartRow,
  PlanRow,
  Revision,
  RevisionEntry,
  type Airframe,
} from '../models/index.ts';

interface Entry {
  readonly kind: RevisionEntry['kind'];
  readonly entityId: string;
  readonly position: number;
  readonly body: unknown;
}
interface ListRow {
  airframeId: string;
  id: string;
  position: number;
  version: number;
  body: { id: string } | null;
}
/** Something that an airframe has one of. */
interface SingleRow {
  version: number;
  body: unknown;
}
type ListChange = {
  readonly id: string;
  readonly basedOn: number;
  readonly position: number;
  readonly value: { readonly id: string } | null;
};

/**
 * Saves changes on top of the versions they were made from, all or nothing, within a transaction that holds the airframe's row.
 * A change that is stored already word for word counts as saved, so that a save whose answer was lost can be sent again.
 * @param changes that keep every rule
 * @throws ServerProblem STALE_SAVE with the newer states
 */
export async function saveChanges(
  airframe: Airframe,
  changes: SaveAirframe,
  transaction: Transaction,
): Promise<SaveReceipt> {
  const conflicts: Conflict[] = [];
  const entries: Entry[] = [];
  const receipt = {
    parts: {} as Record<string, number>,
    boards: {} as Record<string, number>,
    forms: {} as Record<string, number>,
    settings: undefined as number | undefined,
    nest: undefined as number | undefined,
    plan: undefined as number | undefined,
  };

  if (changes.settings) {
    const { basedOn, value } = changes.settings;
    if (isDeepStrictEqual(airframe.settings, value)) receipt.settings = airframe.settingsVersion;
    else if (basedOn !== airframe.settingsVersion)
      conflicts.push({
        kind: 'settings',
        id: 'settings',
        current: { version: airframe.settingsVersion, value: airframe.settings },
      });
    else {
      airframe.settings = value;
      receipt.settings = airframe.settingsVersion += 1;
      entries.push({ kind: 'settings', entityId: 'settings', position: 0, body: value });
    }
  }
  const lists = [
    {
      kind: 'part' as const,
      table: PartRow as unknown as ModelStatic<never>,
      changes: (changes.parts ?? []) as ListChange[],
      versions: receipt.parts,
    },
    {
      kind: 'board' as const,
      table: BoardRow as unknown as ModelStatic<never>,
      changes: (changes.boards ?? []) as ListChange[],
      versions: receipt.boards,
    },
    {
      kind: 'form' as const,
      table: FormRow as unknown as ModelStatic<never>,
      changes: (changes.forms ?? []) as ListChange[],
      versions: receipt.forms,
    },
  ];
  const writes: (() => Promise<unknown>)[] = [];
  for (const list of lists) {
    if (list.changes.length === 0) continue;
    const rows = (await list.table.findAll({
      where: { airframeId: airframe.id, id: list.changes.map(({ id }) => id) } as never,
      transaction,
    })) as unknown as ListRow[];
    for (const change of list.changes) {
      const row = rows.find(({ id }) => id === change.id);
      if (row && isDeepStrictEqual(row.body, change.value) && row.position === change.position) {
        list.versions[change.id] = row.version;
        continue;
      }
      if (change.basedOn !== (row?.version ?? 0)) {
        conflicts.push({
          kind: list.kind,
          id: change.id,
          current: { version: row?.version ?? 0, value: row?.body ?? null },
        });
        continue;
      }
      const version = change.basedOn + 1;
      list.versions[change.id] = version;
      entries.push({ kind: list.kind, entityId: change.id, position: change.position, body: change.value });
      writes.push(() =>
        list.table.upsert(
          { airframeId: airframe.id, id: change.id, position: change.position, version, body: change.value } as never,
          { transaction },
        ),
      );
    }
  }
  for (const { kind, table, change } of [
    { kind: 'nest' as const, table: NestRow as unknown as ModelStatic<never>, change: changes.nest },
    { kind: 'plan' as const, table: PlanRow as unknown as ModelStatic<never>, change: changes.plan },
  ]) {
    if (!change) continue;
    const { basedOn, value } = change;
    const row = (await table.findOne({
      where: { airframeId: airframe.id } as never,
      transaction,
    })) as unknown as SingleRow | null;
    if (row && isDeepStrictEqual(row.body, value)) receipt[kind] = row.version;
    else if (basedOn !== (row?.version ?? 0))
      conflicts.push({ kind, id: kind, current: { version: row?.version ?? 0, value: row?.body ?? null } });
    else {
      receipt[kind] = basedOn + 1;
      entries.push({ kind, entityId: kind, position: 0, body: value });
      writes.push(() =>
        table.upsert({ airframeId: airframe.id, version: basedOn + 1, body: value } as never, { transaction }),
      );
    }
  }
  if (conflicts.length > 0)
    throw new ServerProblem('STALE_SAVE', `${conflicts.length} of your changes were made on an older version.`, {
      conflicts,
    });
  for (const write of writes) await write();
  if (entries.length > 0) await appendRevision(airframe, changes.label, entries, transaction);
  return { version: airframe.version, savedAt: airframe.savedAt.toISOString(), ...receipt };
}

const bytesOf = (body: unknown): number => Buffer.byteLength(JSON.stringify(body ?? null));

/** Counts the airframe's version up and writes down what this save left each thing as. */
export async function appendRevision(
  airframe: Airframe,
  label: string,
  entries: readonly Entry[],
  transaction: Transaction,
): Promise<void> {
  airframe.version += 1;
  airframe.savedAt = new Date();
  airframe.bytes = Number(airframe.bytes) + entries.reduce((sum, { body }) => sum + bytesOf(body), 0);
  await airframe.save({ transaction });
  const { id: airframeId, version: number, savedAt } = airframe;
  await Revision.create({ airframeId, number, label: label || 'Change', savedAt }, { transaction });
  await RevisionEntry.bulkCreate(
    entries.map((entry) => ({ airframeId, number, ...entry })),
    { transaction },
  );
}
