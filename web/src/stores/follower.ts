import type { Worked } from '../workers/worked.ts';

/**
 * Asks about what changes faster than it is answered, as a drag does: one question at a time, the newest next, those between left out.
 * @param ask a question that failed is left out too: what is let go in the end is told by itself
 * @param tell an answer; nothing when it was stopped
 */
export class Follower<Asked, Answer> {
  private wanted: { readonly asked: Asked } | undefined;
  private isAsking = false;
  private runs = 0;
  constructor(
    private readonly ask: (asked: Asked) => Promise<Worked<Answer>>,
    private readonly tell: (answer: Answer | undefined) => void,
  ) {}

  follow(asked: Asked): void {
    this.wanted = { asked };
    void this.askOn();
  }
  /** What is asked for now is not told any more. */
  stop(): void {
    this.wanted = undefined;
    this.runs += 1;
    this.tell(undefined);
  }

  private async askOn(): Promise<void> {
    if (this.isAsking) return;
    this.isAsking = true;
    while (this.wanted) {
      const { asked } = this.wanted,
        run = this.runs;
      this.wanted = undefined;
      const answer = await this.ask(asked).catch(() => undefined);
      if (answer?.ok && run === this.runs) this.tell(answer.value);
    }
    this.isAsking = false;
  }
}
