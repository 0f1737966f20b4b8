import fc from 'fast-check';
import {
  FEATURE_KINDS,
  featureFieldFault,
  featureTraits,
  scaledFeature,
  type Feature,
} from '@grain-fold/core/features';
import { FEATURE_TYPES, fieldFaults } from '../index.ts';

/** Values that may be anything: what a hostile file or a slip of the hand puts into a field. */
const anything = fc.oneof(
  fc.double(),
  fc.double({ min: -400, max: 2500, noNaN: true }),
  fc.integer({ min: -100, max: 400 }),
  fc.string({ maxLength: 100 }),
  fc.constantFrom<unknown>('auto', 'loose', 'level', 'p1/f2', 'p1/f', 'x'.repeat(80), 'x'.repeat(81), null, []),
  fc.array(
    fc.record(
      { atMm: fc.double({ min: -10, max: 30_000 }), name: fc.string({ maxLength: 60 }) },
      { noNullPrototype: true },
    ),
  ),
);
const rulesOf = (kind: string) => FEATURE_TYPES.find(({ name }) => name === kind)!.value;
const whole = (kind: (typeof FEATURE_KINDS)[number]): Feature =>
  ({
    ...featureTraits(kind).defaults,
    id: 'f1',
    label: '',
    ...(featureTraits(kind).ground === 'edge' ? { on: { pathId: 'p1', segmentId: 's1' } } : { at: { x: 1, y: 2 } }),
  }) as Feature;

test.each(FEATURE_KINDS)('%s: what a command takes can be saved, and grown with the airframe too', (kind) => {
  const feature = whole(kind);
  expect(fieldFaults(rulesOf(kind), feature)).toEqual([]);
  const { fields } = featureTraits(kind);
  if (fields.length === 0) return;
  fc.assert(
    fc.property(fc.constantFrom(...fields), anything, (field, value) => {
      const changed = { ...feature, [field.key]: value };
      const isRefused = featureFieldFault(field, value) !== undefined;
      const isUnsavable = fieldFaults(rulesOf(kind), changed).length > 0;
      if (!isRefused) expect(isUnsavable).toBe(false);
      // Words that the strokes cannot write may stand in a file, and what grew may have any size.
      else if (!field.grows && field.kind !== 'text') expect(isUnsavable).toBe(true);
    }),
    { numRuns: 400 },
  );
});

test.each([0.05, 1 / 3, 5])(
  'every feature is saved after growing by %p: what follows hardware stays as it was',
  (factor) => {
    for (const kind of FEATURE_KINDS) {
      const grown = scaledFeature(whole(kind), factor);
      expect(fieldFaults(rulesOf(kind), grown)).toEqual([]);
    }
    expect(scaledFeature(whole('servo'), factor)).toEqual(whole('servo'));
    expect(scaledFeature(whole('hatch'), factor)).toMatchObject({ lengthMm: 80 * factor, cornerMm: 5 * factor });
    expect(scaledFeature(whole('stations'), factor)).toMatchObject({
      places: [{ atMm: 50 * factor }, { atMm: 100 * factor }],
    });
  },
);
