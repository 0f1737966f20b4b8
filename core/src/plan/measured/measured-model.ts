export const MEASURE_KEYS = [
  'overall',
  'noseToWing',
  'rootChord',
  'tipChord',
  'tipBack',
  'span',
  'halfSpan',
  'tipRise',
  'wingHeight',
  'noseHeight',
  'wingBodyHeight',
  'tailBodyHeight',
  'bodyWidth',
  'wingToTail',
  'wingEndToTail',
  'tailChord',
  'tailTipChord',
  'tailSpan',
  'tailToEnd',
  'tailHeight',
  'finHeight',
  'finChord',
  'finTipChord',
  'finToEnd',
  'motorPlate',
  'propeller',
  'wheel',
  'noseToAxle',
  'axleDepth',
  'track',
  'board',
] as const;
/** What is measured on a finished model, in the order in which a person measures. */
export type MeasureKey = (typeof MEASURE_KEYS)[number];

/** A model on the bench as far as it is measured: lengths in mm, mass in g. */
export interface MeasuredModel {
  readonly lengths: Readonly<Partial<Record<MeasureKey, number>>>;
  readonly massG?: number;
}

export const NOTHING_MEASURED: MeasuredModel = { lengths: {} };

/** One line of the list: what to measure, how, how exactly, and what waits for it. */
export interface MeasureLine {
  readonly key: MeasureKey;
  readonly word: string;
  readonly how: string;
  /** How far a careful hand may be off. */
  readonly toleranceMm: number;
  /** What cannot be drawn or figured without it; nothing when it only proves others. */
  readonly blocks: string;
  readonly group: 'Length' | 'Wing' | 'Body' | 'Tail' | 'Fin' | 'Motor and wheels';
  /** May be below 0. */
  readonly isSigned?: boolean;
}

const line = (
  group: MeasureLine['group'],
  key: MeasureKey,
  word: string,
  how: string,
  toleranceMm: number,
  blocks: string,
  isSigned = false,
): MeasureLine => ({ key, word, how, toleranceMm, blocks, group, ...(isSigned ? { isSigned } : {}) });

/** The list, in the order of the bench. */
export const MEASURE_LINES: readonly MeasureLine[] = [
  line(
    'Length',
    'overall',
    'Overall length',
    'Nose of the body to the rearmost point, along the table.',
    3,
    'the body',
  ),
  line(
    'Length',
    'noseToWing',
    'Nose to wing',
    'Nose of the body to the leading edge at the body.',
    2,
    'where the wing stands',
  ),
  line('Wing', 'rootChord', 'Root chord', 'Leading to trailing edge beside the body.', 1, 'the wing'),
  line('Wing', 'tipChord', 'Tip chord', 'The same at the tip, rounding left out.', 1, 'the wing'),
  line(
    'Wing',
    'tipBack',
    'Tip behind root',
    'How far the leading edge at the tip lies behind the one at the body; 0 when straight.',
    2,
    '',
    true,
  ),
  line('Wing', 'span', 'Span', 'Tip to tip, straight across.', 3, 'the wing'),
  line('Wing', 'halfSpan', 'Half span', 'Middle of the body to one tip: proves the span.', 2, ''),
  line(
    'Wing',
    'tipRise',
    'Tip over root',
    'Table to the tip, less table to the wing at the body: gives the dihedral.',
    2,
    '',
    true,
  ),
  line(
    'Wing',
    'wingHeight',
    'Wing over the bottom',
    'Bottom of the body to the underside of the wing.',
    2,
    'how high the wing sits',
    true,
  ),
  line('Body', 'noseHeight', 'Body height at the nose', 'Top to bottom, at the motor.', 1, ''),
  line('Body', 'wingBodyHeight', 'Body height at the wing', 'Top to bottom, below or above the wing.', 1, 'the body'),
  line('Body', 'tailBodyHeight', 'Body height at the tail', 'Top to bottom, before the tail.', 1, ''),
  line('Body', 'bodyWidth', 'Body width', 'Across at the wing; of a profile its thickness.', 1, 'the body'),
  line(
    'Tail',
    'wingToTail',
    'Wing to tail',
    'Leading edge of the wing to leading edge of the tail, both at the body.',
    3,
    'where the tail stands',
  ),
  line(
    'Tail',
    'wingEndToTail',
    'Wing end to tail',
    'Trailing edge of the wing to leading edge of the tail: proves the one before.',
    2,
    '',
  ),
  line('Tail', 'tailChord', 'Tail chord', 'At the body, moving part and all.', 1, 'the tail'),
  line('Tail', 'tailTipChord', 'Tail tip chord', 'The same at its tip.', 1, ''),
  line('Tail', 'tailSpan', 'Tail span', 'Tip to tip.', 2, 'the tail'),
  line(
    'Tail',
    'tailToEnd',
    'Tail to the end',
    'Trailing edge of the tail to the rearmost point: proves the length.',
    2,
    '',
    true,
  ),
  line('Tail', 'tailHeight', 'Tail over the bottom', 'Line of the body’s bottom at the wing to the tail.', 2, '', true),
  line('Fin', 'finHeight', 'Fin height', 'Top of the body to the tip of the fin.', 2, 'the fin'),
  line('Fin', 'finChord', 'Fin chord', 'At the body, rudder and all.', 1, 'the fin'),
  line('Fin', 'finTipChord', 'Fin tip chord', 'The same at its tip.', 1, ''),
  line('Fin', 'finToEnd', 'Fin to the end', 'Trailing edge of the fin to the rearmost point.', 2, '', true),
  line('Motor and wheels', 'motorPlate', 'Plate for the motor', 'Its side, if square; the shorter one if not.', 1, ''),
  line(
    'Motor and wheels',
    'propeller',
    'Propeller',
    'Its diameter: printed on a blade.',
    1,
    'room under the propeller',
  ),
  line('Motor and wheels', 'wheel', 'Wheel', 'Diameter of a main wheel.', 1, 'how it stands'),
  line('Motor and wheels', 'noseToAxle', 'Nose to axle', 'Along the table.', 2, 'how it stands'),
  line(
    'Motor and wheels',
    'axleDepth',
    'Axle under the body',
    'Bottom of the body to the middle of the wheel.',
    2,
    'how it stands',
  ),
  line('Motor and wheels', 'track', 'Between the wheels', 'Middle to middle.', 2, ''),
  line('Motor and wheels', 'board', 'Board', 'Thickness, with a calliper on a clean edge.', 0.2, ''),
];

export const measureLine = (key: MeasureKey): MeasureLine => MEASURE_LINES.find((one) => one.key === key)!;

/** What waits for what is not measured yet: by what is blocked, the lengths that are missing. */
export function missingMeasures({ lengths }: MeasuredModel): readonly {
  readonly blocked: string;
  readonly missing: readonly MeasureLine[];
}[] {
  const blocks = [...new Set(MEASURE_LINES.map(({ blocks: one }) => one).filter((one) => one !== ''))];
  return blocks
    .map((blocked) => ({
      blocked,
      missing: MEASURE_LINES.filter((one) => one.blocks === blocked && lengths[one.key] === undefined),
    }))
    .filter(({ missing }) => missing.length > 0);
}
