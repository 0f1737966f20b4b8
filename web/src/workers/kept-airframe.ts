import type { Airframe } from '@grain-fold/core/airframe';
import type { Part } from '@grain-fold/core/part';

/** What changed of an airframe since it was last sent: only that travels, and what did not change is the same object as before. */
export interface AirframeChange {
  /** Number of the state that this builds on; 0 for a whole airframe. */
  readonly basedOn: number;
  readonly number: number;
  /** Fields that are new or changed, without the parts. */
  readonly fields: Readonly<Record<string, unknown>>;
  /** Fields that are gone. */
  readonly gone: readonly string[];
  /** Ids of all parts in their order. */
  readonly order: readonly string[];
  /** Parts that are new or changed. */
  readonly parts: readonly Part[];
}

/** The receiving end misses the state that a change builds on: it was started anew. */
export const OUT_OF_STEP = 'OUT_OF_STEP';

/** Sends the states of an airframe to one receiver, each as its change from the one sent before. */
export class AirframeSender {
  private last: Airframe | undefined;
  private number = 0;

  /** The next change to send. What is given is taken as received; `forget` when it was not. */
  changeTo(airframe: Airframe): AirframeChange {
    const last = this.last?.id === airframe.id ? this.last : undefined;
    const before: Readonly<Record<string, unknown>> = last ? { ...last } : {};
    const known = new Map(last?.parts.map((part) => [part.id, part]));
    const { parts, ...rest } = airframe;
    const change: AirframeChange = {
      basedOn: last ? this.number : 0,
      number: this.number + 1,
      fields: Object.fromEntries(Object.entries(rest).filter(([key, value]) => before[key] !== value)),
      gone: Object.keys(before).filter((key) => !(key in airframe)),
      order: parts.map(({ id }) => id),
      parts: parts.filter((part) => known.get(part.id) !== part),
    };
    this.last = airframe;
    this.number += 1;
    return change;
  }
  /** The next change is a whole airframe again. */
  forget(): void {
    this.last = undefined;
  }
}

/** Keeps an airframe at the receiving end: parts that did not change stay the same objects, so that nothing is worked out twice. */
export class AirframeKeeper {
  private kept: Airframe | undefined;
  private number = 0;

  /** @returns the airframe as it was sent. @throws Error OUT_OF_STEP when the state that the change builds on is not here */
  take({ basedOn, number, fields, gone, order, parts }: AirframeChange): Airframe {
    if (basedOn !== 0 && basedOn !== this.number) throw new Error(OUT_OF_STEP);
    const base = basedOn === 0 ? undefined : this.kept;
    const known = new Map([...(base?.parts ?? []), ...parts].map((part) => [part.id, part]));
    const isSameList = base !== undefined && parts.length === 0 && base.parts.length === order.length;
    const inOrder = isSameList && base.parts.every(({ id }, index) => id === order[index]);
    const next = { ...base, ...fields, parts: inOrder ? base.parts : order.map((id) => known.get(id)!) };
    this.kept = Object.fromEntries(Object.entries(next).filter(([key]) => !gone.includes(key))) as unknown as Airframe;
    this.number = number;
    return this.kept;
  }
}
