import { boundsOf, dot3, intersectionOf, subtract3, times3, add3, type Polygon } from '../../geometry/index.ts';
import { sectionFaces } from '../../folds/index.ts';
import type { LaidStrut } from './lay-strut.ts';
import type { StrutSite } from './make-struts.ts';

/** What is seen of the airframe round a strut, in mm beyond it. */
const ROUND_MM = 60;

/** What stands round a strut, cut in its plane, on its flat; and from where to where what its ends stand on reaches. */
export interface RoundStrut {
  readonly rings: readonly Polygon[];
  readonly spans: {
    readonly lower: readonly [from: number, to: number];
    readonly upper: readonly [from: number, to: number];
  };
}

/** What a strut stands between, cut in the middle of its first board. */
export function roundStrut({ form, standing }: StrutSite, { strut, plates }: LaidStrut): RoundStrut {
  const [plate] = plates,
    { map, outline } = plate!,
    half =
      standing.parts.find(({ part }) => part.material === form.parameters.material)?.body.solids[0]?.thicknessMm ?? 0,
    origin = add3(map.origin, times3(map.z, half / 2));
  const ringsOf = (ids: ReadonlySet<string> | undefined): readonly Polygon[] =>
    sectionFaces(
      standing.pieces
        .filter(({ partId }) => !ids || ids.has(partId))
        .flatMap(({ body, maps }) => body.solids.map((solid) => ({ solid, map: maps[solid.plate.index]! }))),
      { normal: map.z, atMm: dot3(origin, map.z) },
    ).map(({ rings }) =>
      rings[0]!.map((p) => {
        const off = subtract3(p, origin);
        return { x: dot3(off, map.x), y: dot3(off, map.y) };
      }),
    );
  const { minX, maxX, minY, maxY } = boundsOf(outline.map(({ at }) => at));
  const window: Polygon = [
    { x: minX - 2 * ROUND_MM, y: minY - ROUND_MM },
    { x: maxX + 2 * ROUND_MM, y: minY - ROUND_MM },
    { x: maxX + 2 * ROUND_MM, y: maxY + ROUND_MM },
    { x: minX - 2 * ROUND_MM, y: maxY + ROUND_MM },
  ];
  const spanOf = (partId: string): readonly [number, number] => {
    const own = standing.parts.find(({ part }) => part.id === partId)?.part;
    const ids = new Set(
      standing.parts
        .filter(({ part }) => part.id === partId || (own?.source && part.source?.formId === own.source.formId))
        .map(({ part }) => part.id),
    );
    const xs = ringsOf(ids)
      .flat()
      .map(({ x }) => x);
    return xs.length === 0 ? [minX, maxX] : [Math.min(...xs), Math.max(...xs)];
  };
  return {
    rings: ringsOf(undefined).flatMap((ring) => intersectionOf([ring], [window]).filter(({ length }) => length > 2)),
    spans: { lower: spanOf(strut.lowerId), upper: spanOf(strut.upperId) },
  };
}
