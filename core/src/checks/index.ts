export type { AirframeAction, Fault, Mend } from './fault.ts';
export { partFaults } from './part-faults.ts';
