import { cutRing, withChanges, type RoundSite } from '@grain-fold/core/forms';
import type { Point } from '@grain-fold/core/geometry';
import { formatLength, formatLengthWithUnit, type LengthUnit } from '@grain-fold/core/units';
import type { Shape, ShapeHandle, ShapeLabel, ShapeViews } from '../mat/shape-views.ts';
import type { FormChosen } from '../use-forms.ts';

/** Room between the views, as a share of the width, and at least, in mm. */
const APART_SHARE = 0.35;
const LEAST_APART_MM = 40;
/** The greatest deviation is drawn so high, as a share of the largest radius. */
const DEVIATION_SHARE = 0.45;
/** Corners that a circle is drawn with. */
const CIRCLE = 72;
const LEAST_BAY_MM = 5;

const circle = (middle: Point, radius: number): readonly Point[] =>
  Array.from({ length: CIRCLE }, (_, index): Point => {
    const angle = (2 * Math.PI * index) / CIRCLE;
    return { x: middle.x + radius * Math.cos(angle), y: middle.y + radius * Math.sin(angle) };
  });
const mirrored = (points: readonly Point[]): readonly Point[] => points.map(({ x, y }) => ({ x, y: -y }));

/** The sheets from the side, their bore, and the curve that they follow. */
function sideShapes({ profile, bore, round }: RoundSite): readonly Shape[] {
  const { corners, wanted } = profile;
  return [
    ...corners.slice(1).map((p, index): Shape => {
      const q = corners[index]!;
      return { key: `sheet-${index}`, ring: [q, p, ...mirrored([p, q])], look: 'face' };
    }),
    ...[bore, mirrored(bore)].map((ring, index): Shape => ({
      key: `bore-${index}`,
      ring,
      look: 'inside',
      isOpen: true,
    })),
    ...(round.profile === 'curved'
      ? [wanted, mirrored(wanted)].map((ring, index): Shape => ({
          key: `wanted-${index}`,
          ring,
          look: 'wanted',
          isOpen: true,
        }))
      : []),
  ];
}

function ringShapes(site: RoundSite): readonly Shape[] {
  return site.round.rings.flatMap((ring): readonly Shape[] => {
    const { radiusMm, holeMm, thicknessMm } = cutRing(site, ring),
      [from, to] = [ring.aftMm, ring.aftMm + thicknessMm];
    const slab = (low: number, high: number): readonly Point[] => [
      { x: from, y: low },
      { x: to, y: low },
      { x: to, y: high },
      { x: from, y: high },
    ];
    return holeMm > 0
      ? [
          { key: `${ring.id}-up`, ring: slab(holeMm, radiusMm), look: 'plate' },
          { key: `${ring.id}-low`, ring: slab(-radiusMm, -holeMm), look: 'plate' },
        ]
      : [{ key: ring.id, ring: slab(-radiusMm, radiusMm), look: 'plate' }];
  });
}

function handles(
  { form, round, bore }: RoundSite,
  unit: LengthUnit,
  chosen: FormChosen | undefined,
): readonly ShapeHandle[] {
  const { stations, rings } = round,
    length = (mm: number): string => formatLengthWithUnit(mm, unit);
  const within = (index: number, x: number): number =>
    Math.max(
      0,
      (stations[index - 1]?.aftMm ?? -Infinity) + LEAST_BAY_MM,
      Math.min((stations[index + 1]?.aftMm ?? Infinity) - LEAST_BAY_MM, x),
    );
  return [
    ...stations.map(({ aftMm, acrossMm }, index): ShapeHandle => ({
      key: `station-${index}`,
      at: { x: aftMm, y: acrossMm / 2 },
      word: `station ${index + 1}: ${length(acrossMm)} across at ${length(aftMm)}`,
      chooses: { kind: 'stations', index },
      isChosen: chosen?.kind === 'stations' && chosen.index === index,
      drag: (to, onStep) =>
        withChanges(form, [
          { path: `stations.${index}.aftMm`, value: within(index, onStep(to.x)) },
          { path: `stations.${index}.acrossMm`, value: Math.max(8, onStep(2 * to.y)) },
        ]),
    })),
    ...rings.map(({ aftMm }, index): ShapeHandle => ({
      key: `ring-${index}`,
      at: { x: aftMm, y: 0 },
      word: `ring ${index + 1} at ${length(aftMm)}`,
      isDark: true,
      chooses: { kind: 'rings', index },
      isChosen: chosen?.kind === 'rings' && chosen.index === index,
      drag: (to, onStep) =>
        withChanges(form, [
          {
            path: `rings.${index}.aftMm`,
            value: Math.min(bore.at(-1)!.x, Math.max(bore[0]!.x, onStep(to.x))),
          },
        ]),
    })),
  ];
}

/** The views of a round: from the side, its nose to the left, with how far its curve lies off the sheets; and from behind. */
export function roundViews(site: RoundSite, unit: LengthUnit, chosen: FormChosen | undefined): ShapeViews {
  const { profile, round } = site,
    { corners, off, deviationMm } = profile,
    largest = Math.max(...corners.map(({ y }) => y)),
    [nose, tail] = [corners[0]!, corners.at(-1)!];
  const apart = Math.max(LEAST_APART_MM, APART_SHARE * 2 * largest),
    behind = { x: tail.x + apart + largest, y: 0 };
  const isCurved = off.length > 0 && deviationMm > 1e-6,
    zero = -largest - apart - DEVIATION_SHARE * largest,
    high = (DEVIATION_SHARE * largest) / Math.max(1e-6, deviationMm);
  const plot: readonly Shape[] = isCurved
    ? [
        {
          key: 'zero',
          ring: [
            { x: nose.x, y: zero },
            { x: tail.x, y: zero },
          ],
          look: 'station',
          isOpen: true,
        },
        { key: 'off', ring: off.map(({ x, y }) => ({ x, y: zero + y * high })), look: 'wanted', isOpen: true },
      ]
    : [];
  const labels: readonly ShapeLabel[] = [
    ...round.stations.map(({ id, aftMm, acrossMm }) => ({
      key: id,
      at: { x: aftMm, y: acrossMm / 2 },
      text: formatLength(acrossMm, unit),
      dy: -14,
    })),
    ...(isCurved
      ? [
          {
            key: 'off',
            at: {
              x: profile.deviationAftMm,
              y: zero + (off.find(({ x }) => x === profile.deviationAftMm)?.y ?? 0) * high,
            },
            text: formatLength(deviationMm, unit, 2),
            dy: -8,
          },
        ]
      : []),
  ];
  return {
    label: `Round from the side and from behind: ${site.frusta.length} sheets`,
    bounds: {
      minX: nose.x,
      maxX: behind.x + largest,
      minY: isCurved ? zero - DEVIATION_SHARE * largest : -largest,
      maxY: largest,
    },
    titles: [
      { at: { x: nose.x, y: largest + 22 }, text: 'From the side, nose to the left' },
      { at: { x: behind.x - largest, y: largest + 22 }, text: 'From behind' },
      ...(isCurved
        ? [
            {
              at: { x: nose.x, y: zero + DEVIATION_SHARE * largest + 6 },
              text: 'How far the curve lies off the sheets',
            },
          ]
        : []),
    ],
    shapes: [
      ...sideShapes(site),
      ...ringShapes(site),
      ...plot,
      ...[...corners]
        .sort((a, b) => b.y - a.y)
        .map(({ x, y }): Shape => ({
          key: `circle-${x}`,
          ring: circle(behind, y),
          look: y === largest ? 'face' : 'inside',
        })),
      { key: 'bore', ring: circle(behind, Math.min(...site.bore.map(({ y }) => y))), look: 'cut' },
    ],
    labels,
    handles: handles(site, unit, chosen),
  };
}
