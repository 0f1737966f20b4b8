import { proxy, wrap, type Remote } from 'comlink';
import { toRaw } from 'vue';
import type {
  Airframe,
  FoldExtent,
  NestAdviceStep,
  NestScope,
  OtherBoard,
  PageSearch,
  PieceAddress,
  ScaleGoal,
  ScaleSearch,
} from '@grain-fold/core/airframe';
import type { Form } from '@grain-fold/core/forms';
import type { FiguresWorker } from './figures.worker.ts';
import type { Folder } from './folds.worker.ts';
import type { FormsWorker } from './forms.worker.ts';
import { AirframeSender, OUT_OF_STEP, type AirframeChange } from './kept-airframe.ts';
import { nestSideBySide } from './nest-side-by-side.ts';
import type { Nester, NestProgress } from './nest.worker.ts';
import type { Searcher } from './search.worker.ts';

/** A worker that keeps the airframe: what is asked of it goes along with what changed since it was last asked. */
class KeepingWorker<Jobs> {
  private remote: Remote<Jobs> | undefined;
  private readonly sender = new AirframeSender();
  constructor(private readonly start: () => Worker) {}

  get jobs(): Remote<Jobs> {
    return (this.remote ??= wrap<Jobs>(this.start()));
  }
  /** Asks a job about an airframe; a worker that lost its copy is sent the whole of it once more. */
  async ask<Answer>(airframe: Airframe, job: (change: AirframeChange) => Promise<Answer>): Promise<Answer> {
    const own = toRaw(airframe);
    try {
      return await job(this.sender.changeTo(own));
    } catch (error) {
      this.sender.forget();
      if (!(error instanceof Error && error.message === OUT_OF_STEP)) throw error;
      return job(this.sender.changeTo(own));
    }
  }
}

const figures = new KeepingWorker<FiguresWorker>(
  () => new Worker(new URL('./figures.worker.ts', import.meta.url), { type: 'module' }),
);
const folder = new KeepingWorker<Folder>(
  () => new Worker(new URL('./folds.worker.ts', import.meta.url), { type: 'module' }),
);
const forms = new KeepingWorker<FormsWorker>(
  () => new Worker(new URL('./forms.worker.ts', import.meta.url), { type: 'module' }),
);
/** Most searches for a nest that run side by side. */
const MOST_NESTERS = 8;
let nesters: readonly KeepingWorker<Nester>[] = [];
/** One for each core, made when the first nest is asked for. */
function allNesters(): typeof nesters {
  if (nesters.length === 0)
    nesters = Array.from(
      { length: Math.max(1, Math.min(MOST_NESTERS, navigator.hardwareConcurrency)) },
      () =>
        new KeepingWorker<Nester>(() => new Worker(new URL('./nest.worker.ts', import.meta.url), { type: 'module' })),
    );
  return nesters;
}

const searcher = new KeepingWorker<Searcher>(
  () => new Worker(new URL('./search.worker.ts', import.meta.url), { type: 'module' }),
);

type Answer<Job extends (...args: never[]) => unknown> = Promise<Awaited<ReturnType<Job>>>;

/** What takes long, done off the interface's thread. */
export const slowly = {
  figures: (airframe: Airframe): Answer<FiguresWorker['slow']> =>
    figures.ask(airframe, async (change) => figures.jobs.slow(change)),
  pages: (airframe: Airframe, isChanged: boolean): Answer<FiguresWorker['pages']> =>
    figures.ask(airframe, async (change) => figures.jobs.pages(change, isChanged)),
  cutList: (airframe: Airframe): Answer<FiguresWorker['cutList']> =>
    figures.ask(airframe, async (change) => figures.jobs.cutList(change)),
  /** The rests of each board of the kept nest. */
  rests: (airframe: Airframe, leastMm: number): Answer<FiguresWorker['rests']> =>
    figures.ask(airframe, async (change) => figures.jobs.rests(change, leastMm)),
  wholeRest: (airframe: Airframe, board: number): Answer<FiguresWorker['wholeRest']> =>
    figures.ask(airframe, async (change) => figures.jobs.wholeRest(change, board)),
  sentTo: (airframe: Airframe, from: PieceAddress, board: number): Answer<FiguresWorker['sentTo']> =>
    figures.ask(airframe, async (change) => figures.jobs.sentTo(change, { ...from }, board)),
  /** What is to be bought so that every piece finds a place. */
  toBuy: (airframe: Airframe): Answer<FiguresWorker['toBuy']> =>
    figures.ask(airframe, async (change) => figures.jobs.toBuy(change)),
  takenAlong: (airframe: Airframe, other: Airframe, id: string): Answer<FiguresWorker['takenAlong']> =>
    figures.ask(airframe, async (change) => figures.jobs.takenAlong(change, other, id)),
  atScale: (airframe: Airframe, scale: number): Answer<FiguresWorker['atScale']> =>
    figures.ask(airframe, async (change) => figures.jobs.atScale(change, scale)),
  folded: (airframe: Airframe, partId: string, extent: FoldExtent): Answer<Folder['view']> =>
    folder.ask(airframe, async (change) => folder.jobs.view(change, partId, extent)),
  thicknessBreaks: (airframe: Airframe, material: string, thicknessMm: number): Answer<Folder['thickness']> =>
    folder.ask(airframe, async (change) => folder.jobs.thickness(change, material, thicknessMm)),
  otherBoard: (airframe: Airframe, material: string, to: OtherBoard): Answer<Folder['otherBoard']> =>
    folder.ask(airframe, async (change) => folder.jobs.otherBoard(change, material, { ...to })),
  ring: (
    airframe: Airframe,
    partId: string,
    seam: { readonly fromSegmentId: string; readonly toSegmentId: string },
    freeIds: readonly string[] | undefined,
  ): Answer<Folder['ring']> => folder.ask(airframe, async (change) => folder.jobs.ring(change, partId, seam, freeIds)),
  followed: (airframe: Airframe, form: Form): Answer<FormsWorker['followed']> =>
    forms.ask(airframe, async (change) => forms.jobs.followed(change, toRaw(form))),
  measured: (airframe: Airframe): Answer<FormsWorker['measured']> =>
    forms.ask(airframe, async (change) => forms.jobs.measured(change)),
  /** As many searches as there are cores, each of so many steps. */
  nest: (
    airframe: Airframe,
    tries: number,
    scope: NestScope,
    onProgress: (progress: NestProgress) => void,
  ): Answer<Nester['search']> =>
    nestSideBySide(
      allNesters().map(
        (nester) => async (seed, tell) =>
          nester.ask(airframe, async (change) => nester.jobs.search(change, seed, tries, { ...scope }, proxy(tell))),
      ),
      airframe.settings.nest.seed,
      onProgress,
    ),
  stopNest: async (): Promise<void> => {
    await Promise.all(nesters.map(async ({ jobs }) => jobs.stop()));
  },
  solveScale: (
    airframe: Airframe,
    goal: ScaleGoal,
    onProgress: (search: ScaleSearch) => void,
  ): Answer<Searcher['solve']> =>
    searcher.ask(airframe, async (change) => searcher.jobs.solve(change, goal, proxy(onProgress))),
  searchPages: (airframe: Airframe, onProgress: (search: PageSearch) => void): Answer<Searcher['pages']> =>
    searcher.ask(airframe, async (change) => searcher.jobs.pages(change, proxy(onProgress))),
  nestAdvice: (airframe: Airframe, onProgress: (step: NestAdviceStep) => void): Answer<Searcher['advice']> =>
    searcher.ask(airframe, async (change) =>
      searcher.jobs.advice(change, airframe.settings.nest.seed, proxy(onProgress)),
    ),
  stopSearch: (): Promise<void> => searcher.jobs.stop(),
} as const;
