import { watchDebounced } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import {
  faultsIn,
  planReportOf,
  quickFigures,
  type Airframe,
  type QuickFigures,
  type SlowFigures,
} from '@grain-fold/core/airframe';
import type { Fault } from '@grain-fold/core/checks';
import { formatLengthWithUnit, formatBareMass, formatRunLength, type LengthUnit } from '@grain-fold/core/units';
import { slowly } from '../workers/index.ts';
import type { Failed } from '../workers/worked.ts';
import type { Form } from '@grain-fold/core/forms';
import type { FollowedFigures } from '../workers/forms.worker.ts';
import { useAirframe } from './airframe/airframe.ts';
import { Follower } from './follower.ts';

/** A line of the ticket: the figure now, and the one before the last change. */
export interface TicketFigure {
  readonly now: string;
  readonly before?: string;
  readonly isOld: boolean;
  readonly tone: 'plain' | 'good' | 'fault';
}

/** Seams closed, or how many are open and how far. */
const foldsText = ({ closed, open, pressed, worstMm }: SlowFigures['seams'], unit: LengthUnit): string =>
  open > 0
    ? `${open} open · ${formatLengthWithUnit(worstMm, unit)}`
    : pressed > 0
      ? `${pressed} pressed`
      : closed > 0
        ? `${closed} closed`
        : '–';

/** How many boards are filled by how much; how many it would about take, where nothing is nested. */
const boardsText = (slow: SlowFigures | undefined): string => {
  if (!slow || slow.boards === 0) return '–';
  return slow.isNested ? `${slow.boards} · ${Math.round(slow.yield * 100)} %` : `${slow.boards} · not nested`;
};

/** A worker that failed as an answer: its figures stay old, and the ticket says why. */
const whyItFailed = (error: unknown): Failed => ({
  ok: false,
  message: `Pages, boards and folds could not be figured: ${error instanceof Error ? error.message : String(error)}. Undo the last step, or load the page again.`,
});

/** What follows an edit at once: the quick figures and those of the plan, as the ticket words them. */
const quickTexts = (
  { drawings, throughMm, foamG }: QuickFigures,
  planFigure: (key: string) => string | undefined,
  unit: LengthUnit,
): Readonly<Record<string, string>> => ({
  parts: String(drawings),
  cut: formatRunLength(throughMm, unit),
  mass: formatBareMass(foamG, unit),
  plan: planFigure('span') ?? '–',
  balance: planFigure('balance') ?? '–',
  loading: planFigure('loading') ?? '–',
});

const SLOW_AFTER_MS = 150;
const SLOW_KEYS: readonly string[] = ['folds', 'pages', 'boards', 'faults'];
/** Work on the interface's thread is cut into slices of about this length. */
const SLICE_MS = 12;

/** The ticket's figures: quick ones at once, slow ones from a worker, each with the value it had before the last change. */
export const useFigures = defineStore('figures', () => {
  const work = useAirframe();
  const quick = shallowRef<QuickFigures>();
  const slow = shallowRef<SlowFigures>();
  const isSlowOld = ref(false);
  const slowMessage = ref('');
  const before = shallowRef<Readonly<Record<string, string>>>({});

  /** Faults of parts by themselves, at once; those of folding and nesting join them when the worker tells. */
  const drawnFaults = shallowRef<ReadonlyMap<string, readonly Fault[]>>(new Map());
  const faults = computed<ReadonlyMap<string, readonly Fault[]>>(() => {
    const later = slow.value?.faults ?? [];
    if (later.length === 0) return drawnFaults.value;
    const all = new Map(drawnFaults.value);
    for (const fault of later) all.set(fault.partId, [...(all.get(fault.partId) ?? []), fault]);
    return all;
  });
  /** Whether a fault was found before the last edit: its mend would be done on what is no longer there. */
  const isOldFault = (fault: Fault): boolean => isSlowOld.value && slow.value?.faults.includes(fault) === true;
  /** Not before the parts are worked out, slice by slice: the plan asks for the foam of all of them. */
  const planFaults = computed(
    () => (quick.value && work.airframe ? planReportOf(work.airframe)?.faults : undefined) ?? [],
  );
  const faultCount = computed(
    () =>
      (quick.value?.faults ?? 0) +
      (slow.value ? slow.value.faults.length + slow.value.formFaults : 0) +
      planFaults.value.length,
  );

  const texts = computed<Readonly<Record<string, string>>>(() => {
    const airframe = work.airframe;
    if (!airframe || !quick.value) return {} as Record<string, string>;
    const { pages } = airframe.settings;
    const planFigure = (key: string): string | undefined =>
      planReportOf(airframe)?.figures.figures.find((figure) => figure.key === key)?.text;
    return {
      ...quickTexts(quick.value, planFigure, work.unit),
      stock: String(airframe.boards.reduce((sum, board) => sum + board.count, 0)),
      forms: airframe.forms?.length ? String(airframe.forms.length) : '–',
      faults: String(faultCount.value),
      folds: slow.value ? foldsText(slow.value.seams, work.unit) : '–',
      scale: `× ${airframe.settings.scale.toFixed(2)}`,
      pages: slow.value ? `${slow.value.pages} ${pages.paper === 'own' ? 'own' : pages.paper}` : '–',
      boards: boardsText(slow.value),
    };
  });

  /** The same while a form is dragged: what the airframe would come to where that is let go. */
  const dragged = shallowRef<FollowedFigures>();
  const draggedTexts = computed<Readonly<Record<string, string>>>(() =>
    dragged.value ? quickTexts(dragged.value.quick, (key) => dragged.value!.plan[key], work.unit) : {},
  );
  const follower = new Follower(
    async ({ airframe, form }: { readonly airframe: Airframe; readonly form: Form }) => slowly.followed(airframe, form),
    (answer) => (dragged.value = answer),
  );
  /** Has the ticket follow a form that is being dragged; nothing when it is let go. */
  function follow(form: Form | undefined): void {
    if (form && work.airframe) follower.follow({ airframe: work.airframe, form });
    else follower.stop();
  }

  let isFresh = true;
  watch(
    () => work.airframe?.id,
    () => {
      isFresh = true;
      before.value = {};
      slow.value = undefined;
      quick.value = undefined;
    },
  );
  /**
   * Brings the quick figures up to date, part by part in slices of time. After an edit only the edited part is new, so that it is
   * done at once; an airframe that was just opened takes several slices.
   */
  function refresh(airframe: Airframe, from: number): void {
    const start = performance.now();
    for (let index = from; index < airframe.parts.length; index++) {
      faultsIn(airframe, airframe.parts[index]!);
      if (performance.now() - start < SLICE_MS || index + 1 === airframe.parts.length) continue;
      setTimeout(() => {
        if (work.airframe === airframe) refresh(airframe, index + 1);
      });
      return;
    }
    const old = texts.value;
    quick.value = quickFigures(airframe);
    drawnFaults.value = new Map(airframe.parts.map((part) => [part.id, faultsIn(airframe, part)]));
    if (!isFresh)
      before.value = Object.fromEntries(
        Object.entries(old).filter(([key, text]) => texts.value[key] !== text && text !== '–'),
      );
    isFresh = false;
  }
  watch(
    () => work.airframe,
    (airframe) => {
      isSlowOld.value = airframe !== undefined;
      // The station that opens comes before the figures of a fresh airframe.
      if (airframe && isFresh) setTimeout(() => work.airframe === airframe && refresh(airframe, 0));
      else if (airframe) refresh(airframe, 0);
      else quick.value = undefined;
    },
    { immediate: true },
  );

  watchDebounced(
    () => work.airframe,
    async (airframe) => {
      if (!airframe) return;
      const old = texts.value;
      const answer = await slowly.figures(airframe).catch(whyItFailed);
      if (work.airframe !== airframe) return;
      isSlowOld.value = !answer.ok;
      slowMessage.value = answer.ok ? '' : answer.message;
      const hadSlow = slow.value !== undefined;
      if (answer.ok) slow.value = answer.value;
      if (hadSlow)
        before.value = {
          ...before.value,
          ...Object.fromEntries(
            SLOW_KEYS.filter((key) => texts.value[key] !== old[key]).map((key) => [key, old[key]!]),
          ),
        };
    },
    { debounce: SLOW_AFTER_MS, immediate: true },
  );

  /** A line of the ticket by its key. */
  function figure(key: string, tone: TicketFigure['tone'] = 'plain'): TicketFigure {
    const isSlow = SLOW_KEYS.includes(key),
      now = texts.value[key] ?? '–',
      there = draggedTexts.value[key];
    if (there !== undefined && there !== now) return { now: there, before: now, isOld: false, tone };
    return { now, before: before.value[key], isOld: isSlow && (isSlowOld.value || dragged.value !== undefined), tone };
  }

  return { quick, slow, isSlowOld, slowMessage, faults, faultCount, isOldFault, figure, follow };
});
