import { faultsIn, slowFigures, type Airframe } from '@grain-fold/core/airframe';
import type { Fault } from '@grain-fold/core/checks';

/** A fault as every command tells it. */
export interface ToldFault extends Pick<Fault, 'code' | 'title' | 'detail' | 'place'> {
  readonly part: string;
  readonly mend: string;
  readonly others: readonly string[];
}

/** Every fault of an airframe: of its parts by themselves, folded, stood together and nested. */
export function toldFaults(airframe: Airframe): readonly ToldFault[] {
  const nameOf = (partId: string): string => airframe.parts.find(({ id }) => id === partId)?.name ?? partId;
  const faults = [...airframe.parts.flatMap((part) => faultsIn(airframe, part)), ...slowFigures(airframe).faults];
  return faults.map(({ partId, code, title, detail, place, mend, others = [] }) => ({
    part: nameOf(partId),
    code,
    title,
    detail,
    place,
    mend: mend.label,
    others: others.map(({ label }) => label),
  }));
}
