import {
  foldedMouthGap,
  foldOfMouth,
  glueSection,
  grooveWallDegrees,
  LARGEST_GROOVE_FOLD_DEGREES,
  largestFoldOf,
  LEAST_TOOL_DEGREES,
  mitreMouthWidth,
  MOST_TOOL_DEGREES,
  schoolMouthWidth,
  USUAL_TOOL_DEGREES,
  type GrooveCut,
  type GrooveSchool,
} from '../allowance/index.ts';
import { formatAngle, lengthText } from '../units/index.ts';
import { bandOn } from './band.ts';
import { HELD_BY } from './held-by.ts';
import type { HingeGround, OperationBase } from './operation-base.ts';
import { ANGLE_BOUNDS, SIZE_BOUNDS } from './operation-field.ts';
import {
  tapeWord,
  type CutDetails,
  type OperationFault,
  type OperationFigure,
  type OperationTraits,
} from './operation-kind.ts';
import { SAMPLE_RAILS, sampleCentre } from './sample-marks.ts';
import type { StrokeOf } from './stroke.ts';

/** V groove of two bevels that folds toward its own face. */
export interface Groove extends OperationBase {
  readonly kind: 'groove';
  readonly foldDegrees: number;
  /** Width at the mouth in mm; auto follows the measured thickness. */
  readonly mouthMm: number | 'auto';
  /** How it is cut; as the airframe says when undefined. */
  readonly school?: GrooveSchool;
  /** Tilt of the bevel tool from the normal; as the airframe says when undefined. */
  readonly toolDegrees?: number;
  /** As the airframe says when undefined. */
  readonly hingeOn?: HingeGround;
}

/** What cuts a groove, in words. */
export const SCHOOL_WORDS: Readonly<Record<GrooveSchool, string>> = {
  knife: 'knife',
  tool: 'bevel tool',
  sanded: 'sanding',
  square: 'square cut',
};

/** Beyond this the mouth of a groove grows without end, in degrees. */
const FIGURED_UP_TO_DEGREES = 170;
const clamped = (foldDegrees: number): number => Math.min(Math.max(0, foldDegrees), FIGURED_UP_TO_DEGREES);

/** How a groove is cut; by knife where nothing says otherwise. */
export const cutOf = ({ school = 'knife', toolDegrees = USUAL_TOOL_DEGREES }: Groove): GrooveCut => ({
  school,
  toolDegrees,
});
/** The least mouth that lets the fold come round. */
const neededMouth = ({ foldDegrees }: Groove, thicknessMm: number): number =>
  mitreMouthWidth(clamped(foldDegrees), thicknessMm);
const mouthOf = (operation: Groove, thicknessMm: number): number =>
  operation.mouthMm === 'auto'
    ? schoolMouthWidth(clamped(operation.foldDegrees), thicknessMm, cutOf(operation))
    : operation.mouthMm;

/** V groove between two plates that folds toward the grooved face. */
export const groove: OperationTraits<Groove> = {
  kind: 'groove',
  word: 'mitre groove',
  toolWord: 'groove',
  key: 'V',
  hint: 'Click both ends of the fold',
  ground: 'line',
  fold: {
    sign: 1,
    numbers: (by) => ({ foldDegrees: Math.min(by, LARGEST_GROOVE_FOLD_DEGREES) }),
    cannot: (by) =>
      by > LARGEST_GROOVE_FOLD_DEGREES
        ? `A groove folds by up to ${LARGEST_GROOVE_FOLD_DEGREES}°, got ${by}.`
        : undefined,
  },
  fields: [
    { key: 'foldDegrees', word: 'Folds to', name: 'fold', kind: 'angle', ...ANGLE_BOUNDS, isOnLine: true },
    {
      key: 'school',
      word: 'Cut by',
      name: 'way of cutting',
      kind: 'choice',
      choices: Object.entries(SCHOOL_WORDS),
      isFromAirframe: true,
    },
    {
      key: 'toolDegrees',
      word: 'Tool tilts by',
      name: 'tilt of the tool',
      kind: 'angle',
      least: LEAST_TOOL_DEGREES,
      most: MOST_TOOL_DEGREES,
      isFromAirframe: true,
      onlyWith: ['school', 'tool'],
    },
    {
      key: 'mouthMm',
      word: 'Mouth',
      name: 'mouth',
      kind: 'length',
      ...SIZE_BOUNDS,
      auto: 'follows the measured board',
    },
    HELD_BY,
  ],
  defaults: { kind: 'groove', face: 'face', foldDegrees: 90, mouthMm: 'auto' },
  trueWidthMm: mouthOf,
  area: (operation, site) => bandOn(site, mouthOf(operation, site.thicknessMm)),
  cutFace: ({ widthMm }) => ({ kind: 'slopes', reachMm: widthMm / 2 }),
  plateSide: ({ widthMm, face, cut }) => ({
    kind: 'groove',
    runMm: widthMm / 2,
    face: cut?.school === 'square' ? 'both' : face,
  }),
  caption: (operation) =>
    [`fold ${formatAngle(operation.foldDegrees)}`, cutWords(cutOf(operation)), tapeWord(operation)]
      .filter(Boolean)
      .join(' · '),
  angleDegrees: (operation) => operation.foldDegrees,
  figures: (operation, thicknessMm) => [wallFigure(operation), ...gapFigure(operation, thicknessMm)],
  faults: (operation, thicknessMm) => [...steep(operation), ...narrow(operation, thicknessMm)],
  marks: (_stroke, pen) => [...pen.edges(), ...pen.fold(), ...pen.ends()],
  sample: [...SAMPLE_RAILS, sampleCentre('middle', 'long')],
  legend: 'mitre groove, true width',
  cutting: {
    order: 30,
    words: 'mitre groove',
    angleWords: (angle) => `folds ${formatAngle(angle)}`,
    widthWord: 'mouth',
    toSkin: true,
    blades: 'tilted',
    details: cutDetails,
  },
};

/** How a groove is cut, in words that stand on its line; nothing for a knife. */
function cutWords({ school, toolDegrees }: GrooveCut): string {
  return { knife: '', tool: `${formatAngle(toolDegrees)} tool`, sanded: 'sanded', square: 'square cut' }[school];
}

function wallFigure(operation: Groove): OperationFigure {
  const cut = cutOf(operation);
  return cut.school === 'square'
    ? { word: 'Walls', kind: 'words', value: 'upright' }
    : { word: 'Bevel each side', kind: 'angle', value: grooveWallDegrees(clamped(operation.foldDegrees), cut) };
}

/** A gap that is not worth a figure, in mm. */
const LEAST_GAP_MM = 0.05;

/** How far a groove's lips stand apart when it is folded; glue fills it. */
function gapFigure(operation: Groove, thicknessMm: number): readonly OperationFigure[] {
  const mouth = mouthOf(operation, thicknessMm);
  const gap = foldedMouthGap(clamped(operation.foldDegrees), mouth, thicknessMm);
  return gap > LEAST_GAP_MM ? [{ word: 'Stays open, folded', kind: 'length', value: gap }] : [];
}

/** Glue that is not worth a figure, in ml. */
const LEAST_GLUE_ML = 0.05;

function cutDetails(stroke: StrokeOf<string>, thicknessMm: number): CutDetails {
  const cut = stroke.cut ?? { school: 'knife', toolDegrees: USUAL_TOOL_DEGREES },
    foldDegrees = clamped(stroke.angleDegrees ?? 0);
  const glueMl = (glueSection(foldDegrees, stroke.widthMm, thicknessMm, cut.school) * stroke.lengthMm) / 1000;
  return {
    words: cutWords(cut),
    bladeDegrees: grooveWallDegrees(foldDegrees, cut),
    ...(glueMl > LEAST_GLUE_ML ? { glueMl } : {}),
  };
}

const WHO_CUTS = {
  knife: 'A knife cuts',
  tool: 'This tool cuts',
  sanded: 'Sanding makes',
  square: 'A square cut takes',
} as const;

function steep(operation: Groove): readonly OperationFault[] {
  const cut = cutOf(operation),
    largest = largestFoldOf(cut);
  if (operation.foldDegrees > 0 && operation.foldDegrees <= largest + 1e-6) return [];
  const mended = operation.foldDegrees <= 0 ? Math.min(90, largest) : largest;
  const isTool = cut.school === 'tool' && operation.foldDegrees > 0;
  return [
    {
      code: 'GROOVE_STEEP',
      title: `A groove cannot fold ${formatAngle(operation.foldDegrees)}${isTool ? ` with a ${formatAngle(cut.toolDegrees)} tool` : ''}`,
      detail: `${WHO_CUTS[cut.school]} grooves for more than 0° and up to ${formatAngle(largest)}. Beyond that, ${isTool ? 'cut it by knife' : 'use a trench'}.`,
      mend: isTool
        ? { label: 'Cut it by knife', changes: { school: 'knife' } }
        : { label: `Fold ${formatAngle(mended)}`, changes: { foldDegrees: mended } },
    },
  ];
}

function narrow(operation: Groove, thicknessMm: number): readonly OperationFault[] {
  const needed = neededMouth(operation, thicknessMm);
  const isTooSteep = operation.foldDegrees > largestFoldOf(cutOf(operation));
  if (operation.mouthMm === 'auto' || isTooSteep || operation.mouthMm >= needed - 0.05) return [];
  return [
    {
      code: 'GROOVE_NARROW',
      title: `Groove ${lengthText(operation.mouthMm)} is too narrow for ${formatAngle(operation.foldDegrees)}`,
      detail: `${lengthText(thicknessMm)} board needs a mouth of ${lengthText(needed)}. The wall would stop at ${formatAngle(Math.round(foldOfMouth(operation.mouthMm, thicknessMm)))}.`,
      mend: { label: `Widen to ${lengthText(needed)}`, changes: { mouthMm: 'auto' } },
    },
  ];
}
