import {
  boardsOfFormer,
  dowelPlaces,
  formerReach,
  heightAt,
  isWing,
  withChanges,
  type BodyFigures,
  type BodyForm,
  type BodySite,
  type Form,
  type Profile,
} from '@grain-fold/core/forms';
import type { Point } from '@grain-fold/core/geometry';
import { formatLength, formatLengthWithUnit, type LengthUnit } from '@grain-fold/core/units';
import type { Shape, ShapeHandle, ShapeLabel, ShapeViews } from '../mat/shape-views.ts';
import { heldBoxShapes, rectangle } from './held-box-shapes.ts';
import type { FormChosen } from '../use-forms.ts';

/** Room between both views, as a share of the body's height, and at least, in mm. */
const APART_SHARE = 0.7;
const LEAST_APART_MM = 50;

const points = (profile: Profile, up: number): readonly Point[] => profile.map(({ x, z }) => ({ x, y: z + up }));
/** How the side view and the view from above lie on the mat. */
interface Laid {
  /** Height of the middle line of the view from above. */
  readonly middle: number;
  readonly highest: number;
  readonly lowest: number;
  readonly widest: number;
}

function layViews({ lines }: BodySite): Laid {
  const highest = Math.max(...lines.breaks.map(({ top }) => top)),
    lowest = Math.min(...lines.breaks.map(({ bottom }) => bottom)),
    widest = Math.max(...lines.breaks.map(({ half }) => half));
  const apart = Math.max(LEAST_APART_MM, APART_SHARE * (highest - lowest));
  return { middle: lowest - apart - widest, highest, lowest, widest };
}

function sideShapes(site: BodySite, roomy: ReadonlySet<string>): readonly Shape[] {
  const { body } = site;
  return [
    { key: 'wall', ring: [...points(site.wallLow, 0), ...[...points(site.wallTop, 0)].reverse()], look: 'foam' },
    { key: 'floor', ring: points(site.floorTop, 0), look: 'inside', isOpen: true },
    { key: 'lid', ring: points(site.lidUnder, 0), look: 'inside', isOpen: true },
    ...site.cuts.flatMap(({ seat, side, under, upper }): readonly Shape[] =>
      side === 'through'
        ? [{ key: `cut-${seat.id}`, ring: [...points(under, 0), ...[...points(upper, 0)].reverse()], look: 'cut' }]
        : [],
    ),
    ...body.formers.flatMap((former) =>
      boardsOfFormer(site, former).flatMap((board, index): readonly Shape[] => {
        const reach = formerReach(site, board);
        return reach
          ? [
              {
                key: `former-${former.id}-${index}`,
                ring: rectangle(board.fore, board.aft, reach.fore.low, reach.fore.top),
                look: 'plate',
              },
            ]
          : [];
      }),
    ),
    ...body.bays.map(({ id, fromMm, lengthMm, heightMm }): Shape => {
      const low = heightAt(site.floorTop, fromMm + lengthMm / 2);
      return {
        key: `bay-${id}`,
        ring: rectangle(fromMm, fromMm + lengthMm, low, low + heightMm),
        look: roomy.has(id) ? 'bay' : 'tight',
      };
    }),
    ...body.openings
      .filter(({ on }) => on === 'walls')
      .map(({ id, aftMm, upMm, lengthMm, widthMm }): Shape => ({
        key: `opening-${id}`,
        ring: rectangle(aftMm - lengthMm / 2, aftMm + lengthMm / 2, upMm - widthMm / 2, upMm + widthMm / 2),
        look: 'cut',
      })),
    ...dowelPlaces(site).map(({ name, x, z, cut: { seat } }): Shape => ({
      key: `dowel-${name}`,
      ring: rectangle(x - seat.dowelMm / 2, x + seat.dowelMm / 2, z - seat.dowelMm / 2, z + seat.dowelMm / 2),
      look: 'cut',
    })),
  ];
}

function topShapes(site: BodySite, { middle }: Laid): readonly Shape[] {
  const { body, lines } = site;
  const both = (profile: Profile): readonly Point[] => [
    ...profile.map(({ x, z }) => ({ x, y: middle + z })),
    ...[...profile].reverse().map(({ x, z }) => ({ x, y: middle - z })),
  ];
  return [
    { key: 'outline', ring: both(lines.half), look: 'foam' },
    { key: 'inner', ring: both(site.innerHalf), look: 'inside' },
    ...body.formers.map(({ id, aftMm }): Shape => {
      const half = heightAt(site.innerHalf, aftMm),
        boards = boardsOfFormer(
          site,
          body.formers.find((one) => one.id === id)!,
        );
      return {
        key: `top-${id}`,
        ring: rectangle(aftMm, boards.at(-1)!.aft, middle - half, middle + half),
        look: 'plate',
      };
    }),
    ...(body.hatch
      ? [
          {
            key: 'hatch',
            ring: rectangle(
              body.hatch.fromMm,
              body.hatch.toMm,
              middle - heightAt(site.innerHalf, body.hatch.fromMm),
              middle + heightAt(site.innerHalf, body.hatch.toMm),
            ),
            look: 'station' as const,
          },
        ]
      : []),
    ...body.openings
      .filter(({ on }) => on !== 'walls')
      .map(({ id, aftMm, lengthMm, widthMm }): Shape => ({
        key: `opening-${id}`,
        ring: rectangle(aftMm - lengthMm / 2, aftMm + lengthMm / 2, middle - widthMm / 2, middle + widthMm / 2),
        look: 'cut',
      })),
  ];
}

/** The wings that sit in the body, seen from the side, with a handle each that moves them. */
export function seatedGuests(
  site: Pick<BodySite, 'cuts'>,
  forms: readonly Form[],
): { readonly shapes: readonly Shape[]; readonly handles: readonly ShapeHandle[] } {
  const found = site.cuts.map(({ seat, under, upper }) => ({
    form: forms.find(({ id }) => id === seat.formId),
    ring: [...points(under, 0), ...[...points(upper, 0)].reverse()],
    middle: { x: (under[0]!.x + under.at(-1)!.x) / 2, y: 0 },
    under,
    upper,
    seat,
  }));
  return {
    shapes: found.map(({ ring, seat }) => ({ key: `guest-${seat.id}`, ring, look: 'guest' })),
    handles: found.flatMap(({ form, middle, under, upper, seat }): readonly ShapeHandle[] => {
      if (!isWing(form) || form.standsBy) return [];
      const at = { x: middle.x, y: (heightAt(under, middle.x) + heightAt(upper, middle.x)) / 2 },
        { place } = form,
        offX = place.at.x - at.x,
        offZ = place.at.z - at.y;
      return [
        {
          key: `guest-${seat.id}`,
          at,
          word: form.name,
          isDark: true,
          drag: (to, onStep) => ({
            ...form,
            place: { ...place, at: { ...place.at, x: onStep(to.x + offX), z: onStep(to.y + offZ) } },
          }),
        },
      ];
    }),
  };
}

/** The handles of stations and formers. */
function bodyHandles(
  site: BodySite,
  form: BodyForm,
  laid: Laid,
  unit: LengthUnit,
  chosen: FormChosen | undefined,
): readonly ShapeHandle[] {
  const { stations, formers } = form.parameters,
    length = (mm: number): string => formatLengthWithUnit(mm, unit);
  const between = (mm: number, index: number): number =>
    Math.min(
      (stations[index + 1]?.aftMm ?? Infinity) - 10,
      Math.max((stations[index - 1]?.aftMm ?? -Infinity) + 10, mm),
    );
  const isChosen = (kind: string, index: number): boolean => chosen?.kind === kind && chosen.index === index;
  return [
    ...stations.flatMap(({ aftMm, topMm, bottomMm, widthMm }, index): readonly ShapeHandle[] => {
      const own = { chooses: { kind: 'stations', index }, isChosen: isChosen('stations', index) },
        path = `stations.${index}.`;
      return [
        {
          ...own,
          key: `top-${index}`,
          at: { x: aftMm, y: topMm },
          word: `top ${length(topMm)}, ${length(aftMm)} aft`,
          drag: (to, onStep) =>
            withChanges(form, [
              { path: `${path}topMm`, value: onStep(to.y) },
              { path: `${path}aftMm`, value: between(onStep(to.x), index) },
            ]),
        },
        {
          ...own,
          key: `bottom-${index}`,
          at: { x: aftMm, y: bottomMm },
          word: `bottom ${length(bottomMm)}`,
          drag: (to, onStep) => withChanges(form, [{ path: `${path}bottomMm`, value: onStep(to.y) }]),
        },
        {
          ...own,
          key: `width-${index}`,
          at: { x: aftMm, y: laid.middle + widthMm / 2 },
          word: `width ${length(widthMm)}`,
          drag: (to, onStep) =>
            withChanges(form, [
              { path: `${path}widthMm`, value: Math.max(4, 2 * onStep(Math.abs(to.y - laid.middle))) },
            ]),
        },
      ];
    }),
    ...formers.map(({ aftMm }, index): ShapeHandle => ({
      key: `former-${index}`,
      at: { x: aftMm, y: laid.middle },
      word: `former at ${length(aftMm)}`,
      isDark: true,
      chooses: { kind: 'formers', index },
      isChosen: isChosen('formers', index),
      drag: (to, onStep) =>
        withChanges(form, [
          { path: `formers.${index}.aftMm`, value: Math.min(site.toMm, Math.max(site.fromMm, onStep(to.x))) },
        ]),
    })),
  ];
}

/** Figures written on the body: its stations from the nose, how high and how wide it is there. */
function labels({ body }: BodySite, laid: Laid, unit: LengthUnit): readonly ShapeLabel[] {
  return body.stations.flatMap(({ id, aftMm, topMm, bottomMm, widthMm }) => [
    { key: `h${id}`, at: { x: aftMm, y: bottomMm }, text: `${formatLength(topMm - bottomMm, unit)} high`, dy: 22 },
    {
      key: `w${id}`,
      at: { x: aftMm, y: laid.middle - widthMm / 2 },
      text: `${formatLength(widthMm, unit)} wide`,
      dy: 20,
    },
    { key: `x${id}`, at: { x: aftMm, y: topMm }, text: formatLength(aftMm, unit), dy: -14 },
  ]);
}

/** The views of a body: from the side, its nose to the left, and from above. */
export function bodyViews(
  site: BodySite,
  figures: BodyFigures,
  forms: readonly Form[],
  unit: LengthUnit,
  chosen: FormChosen | undefined,
): ShapeViews {
  const laid = layViews(site),
    beside = seatedGuests(site, forms),
    held = heldBoxShapes(site),
    roomy = new Set(figures.bays.flatMap(({ id, isRoomy }) => (isRoomy ? [id] : [])));
  const all = [...beside.shapes, ...held].flatMap(({ ring }) => ring);
  const stations = site.body.stations.map(({ id, aftMm, topMm }): Shape => ({
    key: `station-${id}`,
    ring: [
      { x: aftMm, y: topMm },
      { x: aftMm, y: laid.middle - laid.widest },
    ],
    look: 'station',
    isOpen: true,
  }));
  const long = site.toMm - site.fromMm;
  return {
    label: `Body from the side and from above: ${formatLengthWithUnit(long, unit)} long, ${site.body.stations.length} stations`,
    bounds: {
      minX: Math.min(site.fromMm, ...all.map(({ x }) => x)),
      maxX: Math.max(site.toMm, ...all.map(({ x }) => x)),
      minY: laid.middle - laid.widest,
      maxY: Math.max(laid.highest, ...all.map(({ y }) => y)),
    },
    titles: [
      {
        at: { x: site.fromMm, y: Math.max(laid.highest, ...all.map(({ y }) => y)) + 18 },
        text: 'From the side, nose to the left',
      },
      { at: { x: site.fromMm, y: laid.middle + laid.widest + 6 }, text: 'From above' },
    ],
    shapes: [...sideShapes(site, roomy), ...topShapes(site, laid), ...stations, ...held, ...beside.shapes],
    labels: labels(site, laid, unit),
    handles: [...bodyHandles(site, site.form, laid, unit, chosen), ...beside.handles],
  };
}
