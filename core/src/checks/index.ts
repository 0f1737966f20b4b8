export type { AirframeAction, Fault } from './fault.ts';
export { partFaults } from './part-faults.ts';
