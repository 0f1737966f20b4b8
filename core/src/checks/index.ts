export type { AirframeAction, Fault, Mend, PartEdit } from './fault.ts';
export { partFaults } from './part-faults.ts';
