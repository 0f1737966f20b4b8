export type { AirframeAction, Fault, Mend, PartEdit } from './fault.ts';
export { wordedFaults } from './worded-faults.ts';
export { partFaults } from './part-faults.ts';
export { turnsToFit } from './size-checks.ts';
