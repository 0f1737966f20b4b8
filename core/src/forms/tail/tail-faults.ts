import { formatLengthWithUnit } from '../../units/index.ts';
import {
  blocking,
  boundFaults,
  numbersUnder,
  type FormContext,
  type FormFault,
  type FormNumber,
} from '../form/index.ts';
import { levelLines } from './tail-outlines.ts';
import {
  BALANCE_TAB_FIELDS,
  ELEVATOR_FIELDS,
  FIN_FIELDS,
  JOINER_FIELDS,
  RUDDER_FIELDS,
  STABILISER_FIELDS,
  TAIL_FIELDS,
  TIP_FIN_FIELDS,
  type TailParameters,
} from './parameters.ts';

/** A plate narrower than this cannot be cut, in mm. */
const LEAST_CHORD_MM = 4;
/** Board that a balance tab leaves before it, in mm. */
const LEAST_BEFORE_TAB_MM = 6;

/** Every number of a tail by its path, with its bounds. */
export const tailNumbers = ({ elevator, fin, rudder }: TailParameters): readonly FormNumber[] => [
  ...numbersUnder('', TAIL_FIELDS),
  ...numbersUnder('stabiliser.', STABILISER_FIELDS),
  ...(elevator ? numbersUnder('elevator.', { ...ELEVATOR_FIELDS, ...BALANCE_TAB_FIELDS, ...JOINER_FIELDS }) : []),
  ...(fin ? numbersUnder('fin.', { ...FIN_FIELDS, ...TIP_FIN_FIELDS }) : []),
  ...(rudder ? numbersUnder('rudder.', { ...RUDDER_FIELDS, ...BALANCE_TAB_FIELDS }) : []),
];

/** Numbers that are well each by itself and not with each other. */
function shapeFaults(tail: TailParameters, { unit }: FormContext): readonly FormFault[] {
  const { stabiliser, elevator, fin, rudder } = tail,
    length = (mm: number): string => formatLengthWithUnit(mm, unit),
    half = stabiliser.spanMm / 2;
  const most = (path: string, word: string, value: number, mostMm: number, why: string): readonly FormFault[] =>
    value <= mostMm
      ? []
      : [
          blocking(
            'PAST_PLATE',
            path,
            `${word}: ${length(value)}`,
            `${why} Up to ${length(mostMm)}.`,
            `Set ${length(mostMm)}`,
            [{ path, value: mostMm }],
          ),
        ];
  const rudderAlone: readonly FormFault[] =
    rudder && !fin
      ? [
          blocking(
            'RUDDER_ALONE',
            'rudder',
            'A rudder without a fin',
            'It hangs on a fin: add one, or leave the rudder out.',
            '',
            [],
          ),
        ]
      : [];
  const { hingeAt, noseAt } = levelLines(tail),
    tipChord = hingeAt(half) - noseAt(half);
  return [
    ...rudderAlone,
    ...(elevator
      ? [
          ...most(
            'elevator.hornMm',
            'Horn of the elevator',
            elevator.hornMm,
            half - LEAST_CHORD_MM,
            'It stands on the elevator.',
          ),
          ...(elevator.tabMm > 0
            ? most(
                'elevator.tabForeMm',
                'Balance tab of the elevator, before the hinge',
                elevator.tabForeMm,
                Math.max(0, Math.floor(tipChord - tail.gapMm - LEAST_BEFORE_TAB_MM)),
                'Some of the stabiliser stays before it.',
              )
            : []),
        ]
      : []),
    ...(fin && rudder
      ? [
          ...most(
            'rudder.footMm',
            'Foot of the rudder over the stabiliser',
            rudder.footMm,
            fin.heightMm - 2 * LEAST_CHORD_MM,
            'It begins below the fin’s top.',
          ),
          ...most(
            'rudder.hornMm',
            'Horn of the rudder over the stabiliser',
            rudder.hornMm,
            fin.heightMm - LEAST_CHORD_MM,
            'It stands on the rudder.',
          ),
          ...(rudder.tabMm > 0
            ? most(
                'rudder.tabForeMm',
                'Balance tab of the rudder, before the hinge',
                rudder.tabForeMm,
                Math.max(0, Math.floor(fin.tipMm - tail.gapMm - LEAST_CHORD_MM)),
                'Some of the fin stays before it.',
              )
            : []),
        ]
      : []),
  ];
}

/** What no tail can be made with. */
export function tailFaults(tail: TailParameters, context: FormContext): readonly FormFault[] {
  const bounds = boundFaults(tail, tailNumbers(tail), context);
  return bounds.length > 0 ? bounds : shapeFaults(tail, context);
}
