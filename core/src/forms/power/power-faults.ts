import { distance } from '../../geometry/index.ts';
import { formatLengthWithUnit } from '../../units/index.ts';
import {
  blocking,
  boundFaults,
  numbersUnder,
  type FormContext,
  type FormFault,
  type FormNumber,
} from '../form/index.ts';
import {
  BOLTS_FIELD,
  BOX_DOWEL_FIELDS,
  FIREWALL_FIELDS,
  PATTERN_FIELDS,
  POWER_BOX_FIELDS,
  RING_PLATE_FIELDS,
  SECOND_FIELD,
  THRUST_FIELDS,
  type PowerParameters,
} from './parameters.ts';
import type { PowerSite } from './power-site.ts';

/** Plate that holes leave between them and at an edge, in mm. */
const LEAST_PLATE_MM = 2;
/** A ring narrower than this breaks, in mm. */
const LEAST_RIM_MM = 2;

/** Every number of a power box by its path, with its bounds. */
export const powerNumbers = ({ ring, dowels }: PowerParameters): readonly FormNumber[] => [
  ...numbersUnder('', { ...POWER_BOX_FIELDS, ...THRUST_FIELDS, ...FIREWALL_FIELDS }),
  ...numbersUnder('pattern.', { ...PATTERN_FIELDS, ...SECOND_FIELD, ...BOLTS_FIELD }),
  ...(ring ? numbersUnder('ring.', RING_PLATE_FIELDS) : []),
  ...(dowels ? numbersUnder('dowels.', BOX_DOWEL_FIELDS) : []),
];

/** What no power box can be made with. */
export function powerFaults(power: PowerParameters, context: FormContext): readonly FormFault[] {
  const bounds = boundFaults(power, powerNumbers(power), context);
  if (bounds.length > 0) return bounds;
  const length = (mm: number): string => formatLengthWithUnit(mm, context.unit),
    { insideHeightMm, lineMm, ring } = power;
  const line: readonly FormFault[] =
    lineMm > insideHeightMm
      ? [
          blocking(
            'LINE_OVER_BOX',
            'lineMm',
            `The propeller’s line lies ${length(lineMm)} over the floor`,
            `The box is ${length(insideHeightMm)} high inside: the motor has to stand on its firewall.`,
            `Set ${length(insideHeightMm / 2)}`,
            [{ path: 'lineMm', value: insideHeightMm / 2 }],
          ),
        ]
      : [];
  const rim: readonly FormFault[] =
    ring && ring.outerMm - ring.innerMm < 2 * LEAST_RIM_MM
      ? [
          blocking(
            'RING_THIN',
            'ring.innerMm',
            `The nose ring is ${length((ring.outerMm - ring.innerMm) / 2)} wide`,
            `At least ${length(LEAST_RIM_MM)} all round hold.`,
            `Set ${length(ring.outerMm - 2 * LEAST_RIM_MM)}`,
            [{ path: 'ring.innerMm', value: ring.outerMm - 2 * LEAST_RIM_MM }],
          ),
        ]
      : [];
  return [...line, ...rim];
}

/** What is better otherwise, though a power box can be made with it. */
export function powerAdvice(site: PowerSite): readonly FormFault[] {
  const { power, board, widthMm, heightMm, motor, bolts, lead, unit } = site,
    { pattern, leadMm, lineMm } = power,
    length = (mm: number): string => formatLengthWithUnit(mm, unit);
  const advice = (code: string, path: string, title: string, detail: string): FormFault => ({
    code,
    path,
    title,
    detail,
    isBlocking: false,
  });
  const toLine = board.thicknessMm + lineMm,
    holes = [
      ...bolts.map((at, index) => ({
        word: `Bolt ${index + 1}`,
        path: 'pattern.firstMm',
        at,
        acrossMm: pattern.boltMm,
      })),
      ...(pattern.shaftMm > 0
        ? [{ word: 'The shaft’s hole', path: 'pattern.shaftMm', at: motor, acrossMm: pattern.shaftMm }]
        : []),
      ...(leadMm > 0 ? [{ word: 'The leads’ hole', path: 'leadDownMm', at: lead, acrossMm: leadMm }] : []),
    ];
  const past = holes.flatMap(({ word, path, at, acrossMm }): readonly FormFault[] => {
    const left = Math.min(widthMm / 2 - Math.abs(at.x), at.y + toLine, heightMm - toLine - at.y) - acrossMm / 2;
    return left >= LEAST_PLATE_MM
      ? []
      : [
          advice(
            'HOLE_AT_EDGE',
            path,
            `${word} leaves ${length(Math.max(0, left))} of plate at its edge`,
            `At least ${length(LEAST_PLATE_MM)} hold: a smaller pattern, or a larger box.`,
          ),
        ];
  });
  const meet = holes.flatMap((one, index) =>
    holes.slice(index + 1).flatMap((other): readonly FormFault[] => {
      const left = distance(one.at, other.at) - (one.acrossMm + other.acrossMm) / 2;
      return left >= LEAST_PLATE_MM
        ? []
        : [
            advice(
              'HOLES_MEET',
              other.path,
              `${one.word} and ${other.word.toLowerCase()} stand ${length(Math.max(0, left))} apart`,
              `At least ${length(LEAST_PLATE_MM)} of plate hold between them.`,
            ),
          ];
    }),
  );
  const soft =
    power.plateMaterial === power.material
      ? [
          advice(
            'FIREWALL_OF_FOAM',
            'plateMaterial',
            `The firewall is cut from ${power.plateMaterial}`,
            'Bolts pull through it: enter a sheet of ply in stock, and cut its plates from that.',
          ),
        ]
      : [];
  return [...soft, ...past, ...meet.slice(0, 2)];
}
