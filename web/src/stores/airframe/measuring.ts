import { withMeasured, type Airframe } from '@grain-fold/core/airframe';
import { withChanged, type ChangedParts } from '../../workers/changed-parts.ts';
import type { Worked } from '../../workers/worked.ts';

/**
 * Has what is made by what stands follow every edit: it takes too long for the interface's thread, so that a worker makes it and the last
 * step of the history takes it in.
 * @param now the airframe as it is
 * @param ask what becomes of it; where that fails it is made here
 * @param take takes it in where nothing was edited since
 */
export class Measuring {
  private isWanted = false;
  private isAsking = false;
  constructor(
    private readonly now: () => Airframe | undefined,
    private readonly ask: (airframe: Airframe) => Promise<Worked<ChangedParts | undefined>>,
    private readonly take: (airframe: Airframe) => void,
  ) {}

  later(): void {
    this.isWanted = true;
    void this.askOn();
  }

  private async askOn(): Promise<void> {
    if (this.isAsking) return;
    this.isAsking = true;
    try {
      while (this.isWanted) {
        this.isWanted = false;
        const airframe = this.now();
        if (!airframe) break;
        const answer = await this.ask(airframe).catch(() => undefined);
        // Edited while it was asked: what was found is of yesterday.
        if (this.now() !== airframe) this.isWanted ||= this.now()?.id === airframe.id;
        else if (!answer?.ok) this.take(withMeasured(airframe));
        else if (answer.value) this.take(withChanged(airframe, answer.value));
      }
    } finally {
      // What cannot be taken in is told by the page, and keeps no later edit from being measured.
      this.isAsking = false;
    }
  }
}
