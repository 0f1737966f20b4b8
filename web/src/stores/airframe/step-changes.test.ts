import fc from 'fast-check';
import { DEFAULT_SETTINGS, standardBoard, type Airframe } from '@grain-fold/core/airframe';
import { emptyPart } from '@grain-fold/core/part';
import { changed, changeTo } from './step-changes.ts';

const entity = fc.record({ id: fc.constantFrom('a', 'b', 'c', 'd'), name: fc.constantFrom('Rib', 'Spar', 'Former') });
const entities = fc.uniqueArray(entity, { selector: ({ id }) => id });
const anyAirframe = fc
  .record({ name: fc.constantFrom('Tern', 'Gull'), scale: fc.constantFrom(1, 2), parts: entities, boards: entities })
  .chain((chosen) => fc.boolean().map((hasNest) => ({ ...chosen, hasNest })))
  .map(({ name, scale, parts, boards, hasNest }): Airframe => ({
    id: 'x',
    name,
    settings: { ...DEFAULT_SETTINGS, scale },
    parts: parts.map((one) => emptyPart(one.id, one.name, 'foam')),
    boards: boards.map((one) => ({ ...standardBoard(one.id, 'foam'), name: one.name })),
    ...(hasNest ? { nest: { placements: [] } as unknown as NonNullable<Airframe['nest']> } : {}),
  }));

test('a change leads from any state to any other and names nothing that stays', () => {
  fc.assert(
    fc.property(anyAirframe, anyAirframe, (from, to) => {
      expect(changed(from, structuredClone(changeTo(from, to)))).toEqual(to);
      expect(changeTo(from, from)).toEqual({});
      expect(changed(from, {})).toEqual(from);
      const [first] = from.parts;
      if (first) {
        const renamed = { ...from, parts: from.parts.map((one) => (one === first ? { ...one, name: 'Other' } : one)) };
        expect(changeTo(from, renamed).parts!.values).toHaveLength(1);
        expect(changed(renamed, changeTo(renamed, from)).parts.slice(1)).toEqual(renamed.parts.slice(1));
      }
    }),
  );
});
