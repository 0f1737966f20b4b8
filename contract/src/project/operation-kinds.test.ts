import fc from 'fast-check';
import { OPERATION_KINDS, operationDataFault, operationDraft, traitsOf } from '@grain-fold/core/operations';
import { fieldFaults, OPERATION_TYPES } from '../index.ts';

/** Values that may be anything: what a hostile file or a slip of the hand puts into a field. */
const anything = fc.oneof(
  fc.double(),
  fc.double({ min: -400, max: 1200, noNaN: true }),
  fc.integer({ min: -200, max: 200 }),
  fc.constantFrom<unknown>(
    'auto',
    'left',
    'right',
    'centre',
    'both',
    'knife',
    'tool',
    'skin',
    'tape',
    90,
    180,
    null,
    '',
    1,
    6,
    7,
  ),
);

test.each(OPERATION_KINDS)('%s: the file takes what a command takes, and refuses what it refuses', (kind) => {
  const rules = OPERATION_TYPES.find(({ name }) => name === kind)!.value;
  const whole = { ...operationDraft(kind), id: 'o1', on: { pathId: 'l1' } };
  expect(fieldFaults(rules, whole)).toEqual([]);
  const { fields } = traitsOf(kind);
  if (fields.length === 0) return;
  fc.assert(
    fc.property(fc.constantFrom(...fields), anything, (field, value) => {
      // Null is no value of a field that was left out: a file says so by leaving it out.
      fc.pre(value !== null || !(field.isFromAirframe || field.usual !== undefined));
      const changed = { ...whole, [field.key]: value };
      const isRefused = operationDataFault(changed as never) !== undefined;
      expect(fieldFaults(rules, changed).length > 0).toBe(isRefused);
    }),
    { numRuns: 300 },
  );
});
