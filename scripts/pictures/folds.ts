/** Worked examples of folding. */
import { facetedNose } from './faceted-nose.ts';
import { type Airframe } from '@grain-fold/core/airframe';
import { applyCommand, type PartCommand } from '@grain-fold/core/editing';
import { emptyPart, outlineOf, type Part } from '@grain-fold/core/part';
import { polylineDraft, rectangleDraft } from '@grain-fold/core/paths';
import { airframe, write } from './draw.ts';

const after = (part: Part, ...commands: readonly PartCommand[]): Part =>
  commands.reduce((now, command) => {
    const result = applyCommand(now, command);
    if (!result.ok) throw new Error(result.message);
    return result.part;
  }, part);
const strip = (sides: readonly number[], folds: readonly number[], style: 'groove' | 'trench'): Part =>
  after(emptyPart('p', 'Strip', 'board'), {
    name: 'foldStrip',
    args: {
      lengthMm: 90,
      thicknessMm: 5,
      sides: sides.map((sizeMm) => ({ sizeMm, is: 'outer' })),
      folds: folds.map((foldDegrees) => ({ foldDegrees, style })),
    },
  });
const plate = (id: string, width: number, height: number, material: string): Part =>
  after(emptyPart(id, id, material), {
    name: 'drawOutline',
    args: { draft: rectangleDraft({ x: 0, y: 0 }, width, height) },
  });
const edge = (part: Part, index: number): string => outlineOf(part)!.segments[index]!.id;
/** A row of creases rolled from one. */
function rolled(): Part {
  const creased = after(plate('p', 90, 140, 'board'), {
    name: 'drawLine',
    args: {
      draft: polylineDraft([
        { x: 0, y: 50 },
        { x: 90, y: 50 },
      ]),
      operation: { kind: 'crease', face: 'face', foldDegrees: 10, label: '' },
    },
  });
  return after(creased, {
    name: 'rollCrease',
    args: { operationId: creased.operations[0]!.id, radiusMm: 30, turnDegrees: 90, creases: 6, side: 'left' },
  });
}
/** Plates of 5 and 3 mm that meet at 90°, both bevelled for it. */
function unequal(): Airframe {
  const floor = after(plate('floor', 90, 60, 'board'), {
    name: 'setPlace',
    args: { place: { at: { x: 0, y: -60, z: 0 }, rollDegrees: 0, pitchDegrees: 0, yawDegrees: 0 } },
  });
  const wall = plate('wall', 90, 40, 'thin');
  return airframe(
    after(floor, { name: 'bevelEdge', args: { segmentId: edge(floor, 2), face: 'face', bevelDegrees: 30.96 } }),
    after(
      wall,
      {
        name: 'addJoint',
        args: {
          joint: {
            ownSegmentId: edge(wall, 0),
            ownSkin: 'back',
            toPartId: 'floor',
            toSegmentId: edge(floor, 2),
            toSkin: 'back',
            turnDegrees: 90,
            alongMm: 0,
            isReversed: false,
          },
        },
      },
      { name: 'bevelEdge', args: { segmentId: edge(wall, 0), face: 'face', bevelDegrees: 59.04 } },
    ),
  );
}

write('channel', airframe(strip([40, 60, 40], [90, 90], 'groove')), 'p', 'part');
write('doubled', airframe(strip([50, 50], [180], 'trench')), 'p', 'part');
write('unequal', unequal(), 'floor', 'airframe');
write('rolled', airframe(rolled()), 'p', 'part');
write('nose', airframe(facetedNose('board', 10, 20, 118, 40)), 'nose', 'part');
