import { OPERATION_KINDS, traitsOf, type BoardFace, type OperationKind, type Stroke } from '../../operations/index.ts';

/** What a layer of a drawing that was written here holds. */
export interface LayerWork {
  readonly work: 'cut' | 'leave' | OperationKind;
  readonly foldDegrees?: number;
  readonly face?: BoardFace;
}

export const CUT_LAYER = 'cut',
  BOARD_LAYER = 'board',
  WORDS_LAYER = 'words',
  EDGES = ' edges';

/** The layer of a stroke: its work, its angle where it has one, and the back where it is worked there. @example 'mitre groove 90 back' */
export const layerOfStroke = ({ kind, angleDegrees, face }: Pick<Stroke, 'kind' | 'angleDegrees' | 'face'>): string =>
  [
    traitsOf(kind).word,
    angleDegrees === undefined ? '' : String(Math.round(angleDegrees * 100) / 100),
    face === 'back' ? 'back' : '',
  ]
    .filter(Boolean)
    .join(' ');

/** What a layer holds by its name, when it is a name that is given here. */
export function workOfLayer(name: string): LayerWork | undefined {
  const plain = name.trim().toLowerCase();
  if (plain === CUT_LAYER) return { work: 'cut' };
  if (plain === BOARD_LAYER || plain === WORDS_LAYER || plain.endsWith(EDGES)) return { work: 'leave' };
  const kind = OPERATION_KINDS.find(
    (one) => plain === traitsOf(one).word || plain.startsWith(`${traitsOf(one).word} `),
  );
  if (!kind) return undefined;
  const [, angle, back] = /^(?: (-?\d+(?:\.\d+)?))?( back)?$/.exec(plain.slice(traitsOf(kind).word.length)) ?? [];
  if (plain !== traitsOf(kind).word && angle === undefined && back === undefined) return undefined;
  return {
    work: kind,
    ...(angle === undefined ? {} : { foldDegrees: Number(angle) }),
    ...(back === undefined ? {} : { face: 'back' }),
  };
}
