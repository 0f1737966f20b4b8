import type { OperationField } from './operation-field.ts';

/** What holds the plates of a fold together. */
export const HELD_BY: OperationField = {
  key: 'hingeOn',
  word: 'Held by',
  name: 'hold',
  kind: 'choice',
  choices: [
    ['skin', 'its skin'],
    ['tape', 'tape'],
  ],
  isFromAirframe: true,
};
