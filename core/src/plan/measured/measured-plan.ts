import { degrees } from '../../units/index.ts';
import { freshPlanId, type Plan } from '../plan.ts';
import type { PlannedThing } from '../things/thing.ts';
import { twoChords } from '../things/usual-things.ts';
import type { PlanEdit } from '../edits/thing-edits.ts';
import type { MeasureKey, MeasuredModel } from './measured-model.ts';

/** Ids of what is drawn from a measured list: one kind each, so that a number that comes later changes what stands. */
const FROM_LIST = {
  wing: 'measured-wing',
  body: 'measured-body',
  tail: 'measured-tail',
  fin: 'measured-fin',
  wheel: 'measured-wheels',
  propeller: 'measured-propeller',
  motor: 'measured-motor',
} as const;

/** Usual length of a motor before its plate. */
const MOTOR_MM = 25;

/** The things that a measured model has numbers enough for: views fill in as numbers come. */
export function measuredThings({ lengths }: MeasuredModel, boardMm: number): readonly PlannedThing[] {
  const has = (...keys: readonly MeasureKey[]): boolean => keys.every((key) => lengths[key] !== undefined);
  const of = (key: MeasureKey, usual = 0): number => lengths[key] ?? usual;
  const board = of('board', boardMm),
    bodyHeight = of('wingBodyHeight', 60),
    // Heights are counted from the bottom of the body at the wing; the middle of the body is the datum's height.
    z = (overBottom: number): number => overBottom - bodyHeight / 2;
  const wingX = of('noseToWing'),
    tailX = wingX + of('wingToTail', of('rootChord') + of('wingEndToTail')),
    end = of('overall', tailX + of('tailChord') + of('tailToEnd'));
  const things: PlannedThing[] = [];
  if (has('overall', 'wingBodyHeight', 'bodyWidth')) {
    const nose = of('noseHeight', 0.8 * bodyHeight),
      tail = of('tailBodyHeight', 0.4 * bodyHeight),
      wingEnd = Math.min(end - 2, wingX + of('rootChord', 0.25 * end));
    const station = (aftMm: number, heightMm: number, widthMm: number) => ({
      aftMm,
      bottomMm: -heightMm / 2,
      topMm: heightMm / 2,
      widthMm,
    });
    const width = of('bodyWidth'),
      isProfile = width <= 4 * board;
    things.push({
      id: FROM_LIST.body,
      kind: 'body',
      name: 'Body',
      at: { x: 0, y: 0, z: 0 },
      stations: [
        station(0, nose, isProfile ? width : 0.85 * width),
        station(Math.max(1, Math.min(wingX, wingEnd - 1)), bodyHeight, width),
        station(wingEnd, bodyHeight, width),
        station(end, tail, isProfile ? width : 0.5 * width),
      ],
    });
  }
  if (has('rootChord', 'tipChord', 'span', 'noseToWing')) {
    const half = of('span') / 2,
      rise = of('tipRise'),
      thicknessMm = Math.max(board, Math.min(0.12 * of('rootChord'), 4 * board));
    things.push({
      id: FROM_LIST.wing,
      kind: 'wing',
      name: 'Wing',
      at: { x: wingX, y: 0, z: z(of('wingHeight', bodyHeight)) + thicknessMm / 2 },
      stations: twoChords(Math.hypot(half, rise), of('rootChord'), of('tipChord'), of('tipBack')),
      angles: [degrees(Math.atan2(rise, half))],
      incidenceDegrees: 0,
      thicknessMm,
      apartMm: 0,
    });
  }
  if (has('tailChord', 'tailSpan') && (has('wingToTail') || has('wingEndToTail', 'rootChord')))
    things.push({
      id: FROM_LIST.tail,
      kind: 'tail',
      name: 'Tail',
      at: { x: tailX, y: 0, z: lengths.tailHeight === undefined ? 0 : z(lengths.tailHeight) },
      stations: twoChords(of('tailSpan') / 2, of('tailChord'), of('tailTipChord', of('tailChord')), 0),
      angles: [0],
      incidenceDegrees: 0,
      thicknessMm: board,
      apartMm: 0,
    });
  if (has('finHeight', 'finChord', 'overall')) {
    const tip = of('finTipChord', 0.7 * of('finChord')),
      x = end - of('finToEnd') - of('finChord');
    things.push({
      id: FROM_LIST.fin,
      kind: 'fin',
      name: 'Fin',
      at: { x, y: 0, z: of('tailBodyHeight', 0.4 * bodyHeight) / 2 },
      // Its trailing edge stands upright: the tip lies back by what it is shorter.
      stations: twoChords(of('finHeight'), of('finChord'), tip, of('finChord') - tip),
      angles: [90],
      incidenceDegrees: 0,
      thicknessMm: board,
      apartMm: 0,
    });
  }
  if (has('propeller')) {
    const depthMm = Math.max(6, 0.05 * of('propeller'));
    things.push({
      id: FROM_LIST.propeller,
      kind: 'propeller',
      name: 'Propeller',
      at: { x: -depthMm / 2 - 6, y: 0, z: 0 },
      diameterMm: of('propeller'),
      depthMm,
    });
  }
  if (has('motorPlate'))
    things.push({
      id: FROM_LIST.motor,
      kind: 'motor',
      name: 'Motor',
      // Before its plate, which closes the nose.
      at: { x: -MOTOR_MM / 2, y: 0, z: 0 },
      lengthMm: MOTOR_MM,
      widthMm: of('motorPlate'),
      heightMm: of('motorPlate'),
    });
  if (has('wheel', 'noseToAxle', 'axleDepth'))
    things.push({
      id: FROM_LIST.wheel,
      kind: 'wheel',
      name: 'Wheels',
      at: { x: of('noseToAxle'), y: 0, z: -bodyHeight / 2 },
      diameterMm: of('wheel'),
      widthMm: Math.max(5, 0.2 * of('wheel')),
      apartMm: of('track'),
      legMm: of('axleDepth'),
    });
  return things;
}

/**
 * A plan with a measured model changed: things that it draws come, or take the new numbers; what else was set of them stays.
 * @param label what the step is called
 */
export function withMeasured(plan: Plan, measured: MeasuredModel, boardMm: number, label: string): PlanEdit {
  const fresh = measuredThings(measured, boardMm),
    ids = new Set<string>(Object.values(FROM_LIST));
  const kept = plan.things
    .filter(({ id }) => !ids.has(id) || fresh.some((thing) => thing.id === id))
    .map((thing): PlannedThing => {
      const drawn = fresh.find(({ id }) => id === thing.id);
      if (!drawn) return thing;
      const { name, massG, goesWith, heldBy } = thing;
      return {
        ...('control' in thing && thing.control ? { control: thing.control } : {}),
        ...drawn,
        name,
        ...(massG === undefined ? {} : { massG }),
        ...(goesWith === undefined ? {} : { goesWith }),
        ...(heldBy === undefined ? {} : { heldBy }),
      } as PlannedThing;
    });
  const added = fresh.filter(({ id }) => !plan.things.some((thing) => thing.id === id));
  const [, counted] = freshPlanId(plan, 'm');
  return { label, plan: { ...counted, measured, things: [...kept, ...added] } };
}
