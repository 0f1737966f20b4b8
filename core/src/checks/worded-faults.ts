import { memo, worded, type LengthUnit } from '../units/index.ts';
import type { Fault, Mend } from './fault.ts';

/** Faults with their lengths in the builder's unit. Remembered by the list. */
export const wordedFaults = (faults: readonly Fault[], unit: LengthUnit): readonly Fault[] => wordedIn(faults)(unit);

const wordedIn = memo((faults: readonly Fault[]) => {
  const byUnit = new Map<LengthUnit, readonly Fault[]>();
  return (unit: LengthUnit): readonly Fault[] => {
    const known = byUnit.get(unit) ?? faults.map((fault) => wordedFault(fault, unit));
    byUnit.set(unit, known);
    return known;
  };
});

function wordedFault(fault: Fault, unit: LengthUnit): Fault {
  const mend = (one: Mend): Mend => ({ ...one, label: worded(one.label, unit) });
  return {
    ...fault,
    title: worded(fault.title, unit),
    detail: worded(fault.detail, unit),
    mend: mend(fault.mend),
    ...(fault.others ? { others: fault.others.map(mend) } : {}),
  };
}
