import { lettersMissing, strokeText, type Feature } from '../features/index.ts';
import {
  add,
  bandAlong,
  boundsOf,
  boundsWidth,
  flattenOpenPath,
  growBounds,
  growRegion,
  unionOf,
  type Point,
  type Polygon,
  type Region,
} from '../geometry/index.ts';
import type { Template } from '../pages/index.ts';
import { emptyPart, featureIdOf, IdSource, piecesOf, type Part } from '../part/index.ts';
import { pathFromDraft, polygonDraft, polylineDraft, rectangleDraft, type PathDraft } from '../paths/index.ts';
import { existsIn, resolve, type ResolvedPart } from '../resolve/index.ts';
import { lengthText, memo } from '../units/index.ts';
import type { Airframe } from './airframe.ts';
import { resolveIn } from './funnel.ts';
import { partAtScale, partsInVariant } from './made-at-scale.ts';

/** A letter's strokes are this share of its height wide. */
const STROKE_SHARE = 1 / 7;
/** Film round a decal, and a strip under it that bears its name, in mm. */
const ROUND_MM = 4,
  NAME_STRIP_MM = 8,
  LEAST_WIDTH_MM = 30;
/** How finely lines and the round ends of letters are followed, in mm. */
const TOLERANCE_MM = 0.02;
/** A stroke as a region to be grown from. */
const HAIR_MM = 0.02;

/** Something to be put on a part: closed lines and open ones, in mm about anywhere. */
interface Shape {
  readonly key: string;
  readonly words: readonly string[];
  readonly rings: Region;
  readonly lines: readonly Polygon[];
}

/** Words as bodies with round ends, to be cut out or filled in. */
const lettersOf = memo((feature: Extract<Feature, { kind: 'lettering' }>): Region => {
  const { strokes } = strokeText(feature.text, feature.heightMm);
  const hairs = strokes.flatMap((stroke) => bandAlong(stroke, HAIR_MM));
  return unionOf(growRegion(hairs, (feature.heightMm * STROKE_SHARE - HAIR_MM) / 2, TOLERANCE_MM));
});

/** What is written on a part, whichever way it lies there: words are read on both sides of the airframe. */
function wordsOn(airframe: Airframe, part: Part): readonly Shape[] {
  return (partAtScale(airframe, part).features ?? []).flatMap((feature): readonly Shape[] => {
    if (feature.kind !== 'lettering' || !existsIn(feature, airframe.settings.variant)) return [];
    return [
      {
        key: feature.id,
        words: [`${feature.text} · ${part.name}`, `${piecesOf(part)} off · ${lengthText(feature.heightMm, 1)} high`],
        rings: lettersOf(feature),
        lines: [],
      },
    ];
  });
}

/** What is drawn on the skin of a part by hand: as it lies there. */
function drawnOn(resolved: ResolvedPart, pieces: number): readonly Shape[] {
  const paths = resolved.strokes
    .filter(({ kind, operationId }) => kind === 'engrave' && featureIdOf(operationId) === undefined)
    .flatMap((stroke) => stroke.paths.map((path) => ({ path, isClosed: stroke.closed })));
  if (paths.length === 0) return [];
  const flat = paths.map(({ path, isClosed }) => ({ points: flattenOpenPath(path, TOLERANCE_MM), isClosed }));
  const side = resolved.side === 'single' ? '' : ` · ${resolved.side}`;
  return [
    {
      key: `drawn-${resolved.side}`,
      words: [`Drawn on ${resolved.name}`, `${pieces} off${side}`],
      rings: flat.filter(({ isClosed }) => isClosed).map(({ points }) => points.slice(0, -1)),
      lines: flat.filter(({ isClosed }) => !isClosed).map(({ points }) => points),
    },
  ];
}

/** Height of a decal's name, which is read on the paper and never mirrored, in mm. */
const NAME_MM = 2.5;

/** The strokes of a decal's name from its lower left corner; what they cannot write is left out. */
function nameIn({ words: [name = ''] }: Shape, at: Point): readonly Polygon[] {
  const written = [...name.toUpperCase().replace(/[·–]/g, '-')].map((letter) =>
    lettersMissing(letter).length > 0 ? ' ' : letter,
  );
  return strokeText(written.join(''), NAME_MM).strokes.map((stroke) => stroke.map((p) => add(p, at)));
}

/** A shape as a template: a rectangle of film with its lines, and its name in a strip under it. */
function decal(of: ResolvedPart, shape: Shape, isMirrored: boolean): Template {
  const turn = ({ x, y }: Point): Point => ({ x: isMirrored ? -x : x, y });
  const rings = shape.rings.map((ring) => ring.map(turn)),
    lines = shape.lines.map((line) => line.map(turn));
  const ink = boundsOf([...rings, ...lines].flat()),
    aside = ROUND_MM + Math.max(0, (LEAST_WIDTH_MM - boundsWidth(ink)) / 2 - ROUND_MM),
    film = growBounds(ink, ROUND_MM);
  const box = { ...film, minX: ink.minX - aside, maxX: ink.maxX + aside, minY: ink.minY - NAME_STRIP_MM };
  const empty = emptyPart(`${of.id}:${shape.key}`, shape.words[0]!, of.material),
    ids = new IdSource(empty);
  const outline = pathFromDraft(
    rectangleDraft({ x: box.minX, y: box.minY }, box.maxX - box.minX, box.maxY - box.minY),
    ids,
    'c',
  );
  const name = nameIn(shape, { x: box.minX + NAME_MM, y: box.minY + (NAME_STRIP_MM - ROUND_MM) / 2 });
  const drafts: readonly PathDraft[] = [...rings.map(polygonDraft), ...[...lines, ...name].map(polylineDraft)];
  const drawn = drafts.map((draft) => ({ ...pathFromDraft(draft, ids, 'l'), sizing: 'scaled' as const }));
  const part: Part = {
    ...empty,
    contours: [{ ...outline, role: 'outer', sizing: 'scaled' }],
    lines: drawn,
    operations: drawn.map(({ id }) => ({
      id: ids.next('o'),
      kind: 'engrave',
      face: 'face',
      label: '',
      on: { pathId: id },
    })),
    lastId: ids.lastId,
  };
  return {
    part: resolve(part, { thicknessMm: of.thicknessMm, gramsPerSquareMetre: 0, plateThicknesses: {} }),
    pieces: 1,
    isUnlabelled: true,
    words: isMirrored ? [shape.words[0]!, `${shape.words[1]!} · mirrored`] : shape.words,
  };
}

/**
 * Decals of an airframe's parts at true size: the words on each, and what else is drawn on its skin.
 * @param isWanted whether a part's are wanted, by its id
 * @param isMirrored for film that is laid on face down
 */
export function decalsOf(
  airframe: Airframe,
  isWanted: (partId: string) => boolean,
  isMirrored: boolean,
): readonly Template[] {
  return partsInVariant(airframe)
    .filter(({ id }) => isWanted(id))
    .flatMap((part) => {
      const resolved = resolveIn(airframe, part);
      if (resolved.outer.length === 0) return [];
      return [...wordsOn(airframe, part), ...drawnOn(resolved, piecesOf(part))].map((shape) =>
        decal(resolved, shape, isMirrored),
      );
    });
}
