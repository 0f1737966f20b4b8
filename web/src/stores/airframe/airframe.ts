import { defineStore } from 'pinia';
import { computed, shallowRef, ref, toRaw } from 'vue';
import type { Conflict, OpenedAirframe } from '@grain-fold/contract';
import {
  isMeasuredOtherwise,
  withFormsFollowing,
  withSizesKept,
  type Airframe,
  type AirframeSettings,
  type SizesKept,
} from '@grain-fold/core/airframe';
import type { MadeIds, PartCommand } from '@grain-fold/core/editing';
import { readsStanding } from '@grain-fold/core/forms';
import type { Part } from '@grain-fold/core/part';
import { worded } from '@grain-fold/core/units';
import { airframesApi } from '../../api/airframes.ts';
import { ApiError } from '../../api/client.ts';
import { slowly } from '../../workers/index.ts';
import { carriedOut, type CarriedOutAction } from './carried-out.ts';
import { changesBetween, mergeEdits, type Settlement } from './changes.ts';
import { editedParts, type EditedParts, type PartEdit } from './edited-parts.ts';
import { unsavedEdits, type SentSave, type UnsavedEdits } from './unsaved-edits.ts';
import { NO_HISTORY, walked, withStep, type History, type Step } from './history.ts';
import { historyKeeper, stepsAround } from './kept-history.ts';
import { lookBack, type LookedBack } from './look-back.ts';
import { Measuring } from './measuring.ts';
import { listed, versionLabel } from './version-label.ts';
import { nextSaveState, retryAfterMs, type SaveEvent, type SaveState } from './save-state.ts';

const SAVE_AFTER_MS = 500;

/** The airframe that is worked on: its state, its history, and its way to the server. */
export const useAirframe = defineStore('airframe', () => {
  const airframe = shallowRef<Airframe>();
  const history = shallowRef<History>(NO_HISTORY);
  const version = ref(0);
  const savedAt = ref('');
  const saveState = ref<SaveState>('saved');
  const saveMessage = ref('');
  const conflicts = shallowRef<readonly Conflict[]>([]);
  const found = shallowRef<UnsavedEdits>();
  const said = ref('');
  /** What is said to the builder, lengths in their unit. */
  const message = computed({
    get: () => worded(said.value, airframe.value?.settings.unit ?? 'mm'),
    set: (text: string) => {
      said.value = text;
    },
  });
  /** What was last changed, so that a view can tell an edit from a load. */
  const edits = ref(0);

  const keeper = historyKeeper();
  let foundHistory: History = NO_HISTORY;
  let base: Airframe | undefined;
  let versions: OpenedAirframe['versions'] = { settings: 0, parts: {}, boards: {}, forms: {}, nest: 0, plan: 0 };
  let timer: ReturnType<typeof setTimeout> | undefined;
  let saving: Promise<void> | undefined;
  let failures = 0;
  /** What was sent last, until it is known what became of it. */
  let sent: SentSave | undefined;
  const client = crypto.randomUUID();

  function adopt(opened: OpenedAirframe): void {
    base = opened.airframe;
    versions = opened.versions;
    airframe.value = opened.airframe;
    version.value = opened.version;
    savedAt.value = opened.savedAt;
    history.value = NO_HISTORY;
    saveState.value = 'saved';
    conflicts.value = [];
    message.value = '';
    sent = undefined;
  }

  async function open(id: string): Promise<void> {
    if (airframe.value?.id === id) return;
    await close();
    const opened = await airframesApi.open(id);
    // A browser that keeps nothing has nothing to give back; what is edited in it is told as not kept.
    const before = await lookBack(opened, keeper).catch((): LookedBack => ({ history: NO_HISTORY }));
    adopt(opened);
    if (!before.found) history.value = before.history;
    found.value = before.found;
    foundHistory = before.history;
  }

  async function close(): Promise<void> {
    if (!airframe.value) return;
    await flush().catch(() => undefined); // what could not be saved stays in the browser's storage and is offered back
    clearTimeout(timer);
    airframe.value = undefined;
    found.value = undefined;
  }

  const stepFrom = (before: Airframe, label: string): Step => ({ id: freshId('s'), label, before });
  function commit(label: string, next: Airframe): void {
    const before = airframe.value;
    if (before && next !== before) commitKept(label, before, withSizesKept(before, withFormsFollowing(before, next)));
  }
  /** A state in which forms and inside sizes have followed already: off the interface's thread, as what takes long is. */
  function commitMade(label: string, next: Airframe): void {
    if (airframe.value) commitKept(label, airframe.value, { airframe: next, partIds: [] });
  }
  function commitKept(label: string, before: Airframe, kept: SizesKept): void {
    const { unit } = kept.airframe.settings;
    const names = kept.airframe.parts.filter(({ id }) => kept.partIds.includes(id)).map(({ name }) => name);
    history.value = withStep(
      history.value,
      stepFrom(before, worded(names.length > 0 ? `${label}, inside sizes kept` : label, unit)),
    );
    show(kept.airframe);
    if (isMeasuredOtherwise(before, kept.airframe)) measuring.later();
    if (names.length > 0) message.value = `The lines of ${listed(names)} moved with the board: inside sizes are kept.`;
  }

  /** Struts and gauges join the last step when they are made. */
  const measuring = new Measuring(
    () => airframe.value,
    async (asked) => slowly.measured(asked),
    (next) => {
      const said = message.value;
      show(next);
      message.value = said;
    },
  );

  function show(next: Airframe): void {
    airframe.value = next;
    message.value = '';
    edits.value += 1;
    happened({ kind: 'edited' });
    keepLocally();
    saveSoon(SAVE_AFTER_MS);
  }

  function keepLocally(): void {
    const now = airframe.value;
    if (!now || !base) return;
    Promise.all([
      unsavedEdits.keep(now.id, {
        airframe: toRaw(now),
        base: toRaw(base),
        versions: toRaw(versions),
        at: new Date().toISOString(),
        ...(sent ? { sent: toRaw(sent) } : {}),
        steps: stepsAround(history.value),
      }),
      keeper.write(now.id, history.value, now),
    ]).catch(() => {
      saveMessage.value = 'This browser keeps no edits of its own: wait for "saved" before you close the page.';
    });
  }

  /** Steps back (below 0) or forward in the history at once: one state is shown and saved, whatever lies between. */
  function walk(steps: number): void {
    const went = airframe.value && walked(history.value, airframe.value, steps);
    if (!went) return;
    history.value = went.history;
    show(went.now);
    // The state may have been left before it was measured.
    if (went.now.forms?.some(readsStanding)) measuring.later();
  }
  const undo = (): void => walk(-1);
  const redo = (): void => walk(1);

  /** Runs an editing command on a part. @returns what it made; undefined when it was not done, and `message` says why */
  const run = (partId: string, command: PartCommand): MadeIds | undefined => runAll(partId, [command], '');

  /** Runs several commands as one step of the history: all of them, or none. @returns what the last one made */
  function runAll(partId: string, commands: readonly PartCommand[], label: string): MadeIds | undefined {
    const done = edit(
      commands.map((command) => ({ partId, command })),
      commands.length === 1 ? undefined : label,
    );
    return done?.made;
  }

  /** Runs commands on several parts as one step of the history: all of them, or none. */
  const runEach = (edits: readonly PartEdit[], label: string): boolean => edit(edits, label) !== undefined;

  /** @param label what the step is called; as the last command calls itself when left out */
  function edit(edits: readonly PartEdit[], label?: string): EditedParts | undefined {
    const result = airframe.value && editedParts(airframe.value, edits);
    if (result?.ok) {
      commit(label ?? result.label, result.airframe);
      return result;
    }
    if (result) message.value = result.message;
    return undefined;
  }

  const freshId = (prefix: string): string => `${prefix}${crypto.randomUUID().slice(0, 8)}`;
  const changeSettings = (label: string, changes: Partial<AirframeSettings>): void => {
    if (airframe.value) commit(label, { ...airframe.value, settings: { ...airframe.value.settings, ...changes } });
  };
  const setParts = (label: string, parts: readonly Part[]): void => {
    if (airframe.value) commit(label, { ...airframe.value, parts });
  };
  const setBoards = (label: string, boards: Airframe['boards']): void => {
    if (airframe.value) commit(label, { ...airframe.value, boards });
  };
  const setNest = (label: string, nest: Airframe['nest']): void => {
    if (airframe.value) commit(label, { ...airframe.value, nest });
  };

  const setPlan = (label: string, plan: Airframe['plan']): void => {
    if (airframe.value) commit(label, { ...airframe.value, plan });
  };

  /** Carries out a mend that concerns the whole airframe. */
  function act(action: CarriedOutAction): void {
    if (!airframe.value) return;
    const { label, airframe: next } = carriedOut(airframe.value, action, freshId);
    commit(label, next);
  }

  function saveSoon(after: number): void {
    clearTimeout(timer);
    timer = setTimeout(() => void save(), after);
  }

  function save(): Promise<void> {
    saving ??= saveNow().finally(() => {
      saving = undefined;
    });
    return saving;
  }

  async function saveNow(): Promise<void> {
    const present = airframe.value;
    if (!present || !base || saveState.value === 'stale') return;
    if (!sent) {
      const changes = changesBetween(base, present, versions, '');
      if (!changes) {
        saveState.value = 'saved';
        await unsavedEdits.forget(present.id).catch(() => undefined); // storage that is closed to us has nothing to forget
        return;
      }
      const label = versionLabel(history.value, base, present, changes);
      sent = { changes: { ...changes, label, client, id: crypto.randomUUID() }, airframe: present };
      keepLocally();
    }
    const { changes, airframe: now } = sent;
    happened({ kind: 'started' });
    try {
      const receipt = await airframesApi.save(now.id, changes);
      failures = 0;
      sent = undefined;
      base = now;
      versions = {
        settings: receipt.settings ?? versions.settings,
        nest: receipt.nest ?? versions.nest,
        plan: receipt.plan ?? versions.plan,
        parts: { ...versions.parts, ...receipt.parts },
        boards: { ...versions.boards, ...receipt.boards },
        forms: { ...versions.forms, ...receipt.forms },
      };
      version.value = receipt.version;
      savedAt.value = receipt.savedAt;
      saveMessage.value = '';
      const isAll = airframe.value === now;
      happened({ kind: 'acknowledged', isAll });
      if (isAll) {
        // As above.
        await keeper.acknowledge(now.id, receipt.version, stepsAround(history.value)).catch(() => undefined);
        await unsavedEdits.forget(now.id).catch(() => undefined);
      } else {
        keepLocally();
        saveSoon(SAVE_AFTER_MS);
      }
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      failed(error);
    }
  }

  const happened = (event: SaveEvent): void => {
    saveState.value = nextSaveState(saveState.value, event);
  };
  function failed(error: ApiError): void {
    saveMessage.value = error.message;
    happened({ kind: 'failed', code: error.code });
    // A refused save has changed nothing: the next one starts anew. Of one that was not answered that is not known.
    if (saveState.value === 'stale' || saveState.value === 'refused') sent = undefined;
    if (saveState.value === 'stale') conflicts.value = error.problem?.conflicts ?? [];
    if (saveState.value !== 'offline') return;
    failures += 1;
    saveSoon(retryAfterMs(failures));
  }

  /** Saves what is unsaved now. @throws ApiError when it could not be saved */
  async function flush(): Promise<void> {
    clearTimeout(timer);
    await saving;
    if (!airframe.value || airframe.value === base) return;
    await save();
    // A save that was sent again is followed by what was edited since.
    if (saveState.value === 'unsaved') await save();
    if (saveState.value !== 'saved' && saveState.value !== 'unsaved')
      throw new ApiError({
        code: 'SERVER_FAULT',
        title: 'Not saved',
        detail: saveMessage.value,
        mend: 'Try again when it is saved.',
      });
  }

  /** Settles edits that met a newer version. */
  async function settle(settlement: Settlement): Promise<void> {
    const mine = airframe.value,
      from = base;
    if (!mine || !from) return;
    const opened = await airframesApi.open(mine.id);
    const merged = mergeEdits(from, mine, opened.airframe, settlement, freshId);
    adopt(opened);
    commit(settlement === 'both' ? 'Keep both versions' : 'Take the newer version', merged);
  }

  /** Brings back edits found in the browser's storage, on the versions they were made from. */
  function bringBack(): void {
    const kept = found.value;
    if (!kept) return;
    const current = airframe.value;
    found.value = undefined;
    base = kept.base;
    versions = kept.versions;
    sent = kept.sent;
    if (foundHistory.past.length > 0) history.value = foundHistory;
    else if (current) history.value = withStep(NO_HISTORY, stepFrom(current, 'Bring back unsaved edits'));
    show(kept.airframe);
  }
  async function discardFound(): Promise<void> {
    const id = airframe.value?.id;
    found.value = undefined;
    if (id) await unsavedEdits.forget(id);
  }

  return {
    airframe,
    history,
    version,
    savedAt,
    saveState,
    saveMessage,
    conflicts,
    found,
    message,
    edits,
    unit: computed(() => airframe.value?.settings.unit ?? 'mm'),
    undoLabel: computed(() => history.value.past.at(-1)?.label),
    redoLabel: computed(() => history.value.future[0]?.label),
    open,
    close,
    adopt,
    commit,
    commitMade,
    undo,
    redo,
    walk,
    run,
    runAll,
    runEach,
    act,
    freshId,
    changeSettings,
    setParts,
    setBoards,
    setNest,
    setPlan,
    save,
    flush,
    settle,
    bringBack,
    discardFound,
  };
});
