import { featureTraits, isOnEdge, storedFieldFault, type Feature } from '../features/index.ts';
import { BOARD_FACES, operationDataFault, type Operation } from '../operations/index.ts';
import { SIZINGS } from '../paths/index.ts';
import { GRAIN_RULES } from '../stock/index.ts';
import { DIMENSION_WAYS } from './dimension.ts';
import { GUIDE_KINDS, type Guide } from './guide.ts';
import {
  EDGE_REFERENCE,
  IDENTIFIER,
  KEPT_SLOT_MM,
  LONGEST_NAME,
  LONGEST_NOTES,
  LONGEST_SHORT_NAME,
  MOST_FEATURES,
  MOST_GUIDES,
  MOST_IDS,
  MOST_JOINTS,
  MOST_NODES,
  MOST_OPERATIONS,
  MOST_PATHS,
  MOST_VARIANTS,
  SLOT_FIT_MM,
  SMALLEST_GUIDE_RADIUS_MM,
  STEEPEST_PLATE_SLANT_DEGREES,
  WIDEST_GUIDE_TURN_DEGREES,
  WIDEST_JOINT_TURN_DEGREES,
  WIDEST_TURN_DEGREES,
} from './part-bounds.ts';
import {
  CENTRE_LINES,
  FURTHEST_COORDINATE_MM,
  PART_HANDS,
  PART_SIZINGS,
  pathsOf,
  type Contour,
  type DrawnLine,
  type Joint,
  type Part,
  type Place,
} from './part.ts';
import { lengthText } from '../units/index.ts';

/**
 * Which number, name or count of a part the project file would refuse, in words; undefined when it can be kept. Every edit is held against
 * this, so that nothing is drawn that cannot be saved.
 */
export function outOfBounds(part: Part): string | undefined {
  return firstOf([
    () => detailFault(part),
    () => countFault(part),
    ...pathsOf(part).map((path) => () => pathFault(path)),
    ...part.operations.map((operation) => () => operationFault(operation)),
    ...(part.features ?? []).map((feature) => () => featureFault(feature)),
    ...(part.guides ?? []).map((guide) => () => guideFault(guide)),
    ...(part.pathGroups ?? []).map(
      ({ name }) =>
        () =>
          textFault('The name of a group of lines', name, LONGEST_SHORT_NAME),
    ),
    ...(part.dimensions ?? []).map(
      ({ along }) =>
        () =>
          choiceFault('A dimension runs', along, DIMENSION_WAYS),
    ),
    () => seamFault(part),
    ...(part.joints ?? []).map((joint) => () => jointFault(joint)),
    () => part.place && placeFault(part.place),
    () =>
      part.symmetry &&
      (choiceFault('A centre line is', part.symmetry.along, CENTRE_LINES) ??
        numberFault('The place of a centre line', part.symmetry.atMm, FURTHEST_COORDINATE_MM, 'length')),
  ]);
}

const firstOf = (checks: readonly (() => string | undefined)[]): string | undefined => {
  for (const check of checks) {
    const fault = check();
    if (fault !== undefined) return fault;
  }
  return undefined;
};

// Neither NaN nor an infinity passes a comparison.
const isBetween = (value: unknown, least: number, most: number): boolean =>
  typeof value === 'number' && value >= least && value <= most;
const betweenFault = (word: string, value: unknown, least: number, most: number, unit: string): string | undefined =>
  isBetween(value, least, most)
    ? undefined
    : `${word} goes from ${quantity(least, unit)} to ${quantity(most, unit)}, got ${typeof value === 'number' ? quantity(value, unit) : String(value)}`;
/** A number with its unit; a length in mm is worded in the builder's. */
const quantity = (value: number, unit: string): string =>
  unit === 'length' ? lengthText(value, 2) : `${value}${unit}`;
const numberFault = (word: string, value: unknown, most: number, unit: string): string | undefined =>
  betweenFault(word, value, -most, most, unit);
const turnFault = (word: string, value: unknown): string | undefined =>
  numberFault(word, value, WIDEST_TURN_DEGREES, '°');
const textFault = (word: string, value: unknown, most: number): string | undefined =>
  typeof value === 'string' && value.length <= most
    ? undefined
    : `${word} has at most ${most} letters${typeof value === 'string' ? `, this one ${value.length}` : ''}`;
const nameFault = (word: string, value: unknown, most: number): string | undefined =>
  textFault(word, value, most) ?? ((value as string).trim() === '' ? `${word} must not be blank` : undefined);
const choiceFault = (word: string, value: unknown, choices: readonly string[]): string | undefined =>
  choices.includes(value as string)
    ? undefined
    : `${word} ${choices.slice(0, -1).join(', ')} or ${choices.at(-1)}, got ${String(value)}`;
const mostFault = (word: string, count: number | undefined, most: number): string | undefined =>
  (count ?? 0) <= most ? undefined : `a part has at most ${most} ${word}, this would be ${count}`;
const idFault = (word: string, value: unknown, pattern: RegExp): string | undefined =>
  typeof value === 'string' && pattern.test(value) ? undefined : `${word} cannot be "${String(value)}"`;

function variantsFault(variants: readonly string[] | undefined): string | undefined {
  if (variants === undefined) return undefined;
  if (!Array.isArray(variants) || variants.length === 0 || variants.length > MOST_VARIANTS)
    return `a thing is in 1 to ${MOST_VARIANTS} variants`;
  return firstOf(variants.map((name) => () => nameFault('The name of a variant', name, LONGEST_SHORT_NAME)));
}

function detailFault(part: Part): string | undefined {
  return (
    nameFault('The name of a part', part.name, LONGEST_NAME) ??
    nameFault('The name of a material', part.material, LONGEST_NAME) ??
    textFault('The name of a group', part.group, LONGEST_NAME) ??
    textFault('A note', part.notes, LONGEST_NOTES) ??
    choiceFault('A part is made as', part.handed, PART_HANDS) ??
    choiceFault('A part is', part.sizing, PART_SIZINGS) ??
    choiceFault('Grain runs', part.grain.rule, GRAIN_RULES) ??
    turnFault('The direction of the grain', part.grain.directionDegrees) ??
    variantsFault(part.variants)
  );
}

function countFault(part: Part): string | undefined {
  return (
    mostFault('outlines and holes', part.contours.length, MOST_PATHS) ??
    mostFault('lines', part.lines.length, MOST_PATHS) ??
    mostFault('lines of work', part.operations.length, MOST_OPERATIONS) ??
    mostFault('dimensions', part.dimensions?.length, MOST_OPERATIONS) ??
    mostFault('features', part.features?.length, MOST_FEATURES) ??
    mostFault('guides', part.guides?.length, MOST_GUIDES) ??
    mostFault('points on guides', part.attachments?.length, MOST_NODES) ??
    mostFault('groups of lines', part.pathGroups?.length, MOST_PATHS) ??
    mostFault('seams', part.seams?.length, MOST_OPERATIONS) ??
    mostFault('places to stand', part.joints?.length, MOST_JOINTS) ??
    mostFault('folds in their order', part.foldOrder?.length, MOST_OPERATIONS) ??
    mostFault('inside sizes', part.insideSizes?.length, MOST_OPERATIONS) ??
    (part.lastId <= MOST_IDS ? undefined : `a part takes up to ${MOST_IDS} edits: duplicate it and go on`)
  );
}

function pathFault(path: Contour | DrawnLine): string | undefined {
  const plate = 'plate' in path ? path.plate : undefined;
  return (
    mostFault('points on one line', path.nodes.length, MOST_NODES) ??
    choiceFault('A line is', path.sizing, SIZINGS) ??
    variantsFault('variants' in path ? path.variants : undefined) ??
    (plate &&
      (nameFault('The material of a plate', plate.material, LONGEST_NAME) ??
        numberFault('The slant of a plate', plate.slantDegrees, STEEPEST_PLATE_SLANT_DEGREES, '°') ??
        betweenFault('The fit of a slot', plate.fitMm, SLOT_FIT_MM.least, SLOT_FIT_MM.most, 'length') ??
        (plate.keptWidthMm === undefined
          ? undefined
          : betweenFault('The width of a slot', plate.keptWidthMm, KEPT_SLOT_MM.least, KEPT_SLOT_MM.most, 'length'))))
  );
}

const operationFault = (operation: Operation): string | undefined =>
  operationDataFault(operation) ??
  textFault('A label', operation.label, LONGEST_NAME) ??
  variantsFault(operation.variants);

function featureFault(feature: Feature): string | undefined {
  return (
    textFault('A label', feature.label, LONGEST_NAME) ??
    variantsFault(feature.variants) ??
    (isOnEdge(feature) ? undefined : turnFault('The turn of a feature', feature.angleDegrees)) ??
    firstOf(
      featureTraits(feature.kind).fields.map(
        (field) => () => storedFieldFault(field, (feature as unknown as Record<string, unknown>)[field.key]),
      ),
    )
  );
}

function guideFault(guide: Guide): string | undefined {
  const named =
    textFault('The name of a guide', guide.name, LONGEST_SHORT_NAME) ??
    choiceFault('A guide is', guide.kind, GUIDE_KINDS);
  if (named !== undefined) return named;
  switch (guide.kind) {
    case 'line':
      return numberFault('The turn of a guide', guide.angleDegrees, WIDEST_GUIDE_TURN_DEGREES, '°');
    case 'circle':
      return betweenFault(
        'The radius of a guide',
        guide.radiusMm,
        SMALLEST_GUIDE_RADIUS_MM,
        FURTHEST_COORDINATE_MM,
        'length',
      );
    case 'beside':
      return numberFault('The distance of a guide', guide.byMm, FURTHEST_COORDINATE_MM, 'length');
  }
}

const seamFault = ({ seams = [] }: Part): string | undefined =>
  firstOf(
    seams.map(
      ({ fromSegmentId, toSegmentId, toPartId }) =>
        () =>
          [fromSegmentId, toSegmentId].every((id) => IDENTIFIER.test(id))
            ? toPartId === undefined
              ? undefined
              : idFault('The part that a seam meets', toPartId, IDENTIFIER)
            : 'a seam runs on edges that are drawn: the drawn half stands for both',
    ),
  );

const jointFault = (joint: Joint): string | undefined =>
  idFault('The edge that a part stands by', joint.ownSegmentId, IDENTIFIER) ??
  idFault('The part that a part stands on', joint.toPartId, IDENTIFIER) ??
  idFault('The line that a part stands on', joint.toSegmentId, EDGE_REFERENCE) ??
  choiceFault('A skin is', joint.ownSkin, BOARD_FACES) ??
  choiceFault('A skin is', joint.toSkin, BOARD_FACES) ??
  numberFault('The turn of a part that stands', joint.turnDegrees, WIDEST_JOINT_TURN_DEGREES, '°') ??
  numberFault('The shift along its line', joint.alongMm, FURTHEST_COORDINATE_MM, 'length');

const placeFault = ({ at, rollDegrees, pitchDegrees, yawDegrees, onPlate }: Place): string | undefined =>
  firstOf([
    ...[at.x, at.y, at.z, ...(onPlate ? [onPlate.x, onPlate.y] : [])].map(
      (value) => () => numberFault('A place', value, FURTHEST_COORDINATE_MM, 'length'),
    ),
    ...[rollDegrees, pitchDegrees, yawDegrees].map((value) => () => turnFault('A turn in the airframe', value)),
  ]);
