import { pointsOf, withChanges, type ShellSite } from '@grain-fold/core/forms';
import type { Point, Point3 } from '@grain-fold/core/geometry';
import { formatLength, formatLengthWithUnit, type LengthUnit } from '@grain-fold/core/units';
import type { Shape, ShapeHandle, ShapeViews } from '../mat/shape-views.ts';
import type { FormChosen } from '../use-forms.ts';

/** Room between the views, as a share of the shell's height, and at least, in mm. */
const APART_SHARE = 0.45;
const LEAST_APART_MM = 40;

/** How the three views lie on the mat. */
interface Laid {
  /** Height of the middle line of the view from above. */
  readonly above: number;
  /** How far right the middle of the view from behind lies. */
  readonly behind: number;
  readonly least: Point3;
  readonly most: Point3;
}

function layViews({ whole }: ShellSite): Laid {
  const all = [...whole.vertices.values()];
  const end = (of: (p: Point3) => number, pick: (...numbers: number[]) => number): number => pick(...all.map(of));
  const least = { x: end(({ x }) => x, Math.min), y: end(({ y }) => y, Math.min), z: end(({ z }) => z, Math.min) },
    most = { x: end(({ x }) => x, Math.max), y: end(({ y }) => y, Math.max), z: end(({ z }) => z, Math.max) };
  const apart = Math.max(LEAST_APART_MM, APART_SHARE * (most.z - least.z));
  return { above: least.z - apart - most.y, behind: most.x + apart + most.y, least, most };
}

/** The faces in a view, those behind first. */
function faces(
  site: ShellSite,
  key: string,
  depth: (p: Point3) => number,
  seen: (p: Point3) => Point,
): readonly Shape[] {
  const middle = (points: readonly Point3[]): number => points.reduce((sum, p) => sum + depth(p), 0) / points.length;
  return site.whole.faces
    .map((face) => ({ face, points: pointsOf(site.whole, face) }))
    .sort((a, b) => middle(a.points) - middle(b.points))
    .map(({ face, points }): Shape => ({ key: `${key}-${face.name}`, ring: points.map(seen), look: 'face' }));
}

function handles(
  site: ShellSite,
  laid: Laid,
  unit: LengthUnit,
  section: number,
  chosen: FormChosen | undefined,
): readonly ShapeHandle[] {
  const { form, shell } = site,
    length = (mm: number): string => formatLengthWithUnit(mm, unit);
  const { corners } = shell.sections[section]!;
  const limits = (index: number): readonly [number, number] => [
    (shell.sections[index - 1]?.aftMm ?? -Infinity) + 5,
    (shell.sections[index + 1]?.aftMm ?? Infinity) - 5,
  ];
  return [
    ...shell.sections.map(({ aftMm, corners: own }, index): ShapeHandle => ({
      key: `section-${index}`,
      at: { x: aftMm, y: Math.max(...own.map(({ upMm }) => upMm)) },
      word: `section ${index + 1} at ${length(aftMm)}`,
      isDark: true,
      chooses: { kind: 'sections', index },
      isChosen: chosen?.kind === 'sections' && chosen.index === index,
      drag: (to, onStep) => {
        const [least, most] = limits(index);
        return withChanges(form, [
          { path: `sections.${index}.aftMm`, value: Math.max(0, Math.min(most, Math.max(least, onStep(to.x)))) },
        ]);
      },
    })),
    ...corners.map(({ outMm, upMm }, corner): ShapeHandle => ({
      key: `corner-${corner}`,
      at: { x: laid.behind + outMm, y: upMm },
      word: `corner ${corner + 1}: ${length(outMm)} out, ${length(upMm)} up`,
      drag: (to, onStep) =>
        withChanges(form, [
          { path: `sections.${section}.corners.${corner}.outMm`, value: Math.max(0, onStep(to.x - laid.behind)) },
          { path: `sections.${section}.corners.${corner}.upMm`, value: onStep(to.y) },
        ]),
    })),
  ];
}

/** The views of a shell: from the side, its nose to the left; from above; and a section from behind, whose corners are dragged. */
export function shellViews(site: ShellSite, unit: LengthUnit, chosen: FormChosen | undefined): ShapeViews {
  const laid = layViews(site),
    { sections } = site.shell,
    widest = sections.reduce(
      (best, { corners }, index) =>
        Math.max(...corners.map(({ outMm }) => outMm)) > Math.max(...sections[best]!.corners.map(({ outMm }) => outMm))
          ? index
          : best,
      0,
    ),
    section = chosen?.kind === 'sections' && sections[chosen.index] ? chosen.index : widest;
  const { least, most } = laid;
  const ringOf = ({ corners }: (typeof sections)[number]): readonly Point[] => [
    ...corners.map(({ outMm, upMm }) => ({ x: laid.behind + outMm, y: upMm })),
    ...[...corners].reverse().map(({ outMm, upMm }) => ({ x: laid.behind - outMm, y: upMm })),
  ];
  return {
    label: `Shell from the side, from above and from behind: ${site.whole.faces.length} faces`,
    bounds: { minX: least.x, maxX: laid.behind + most.y, minY: laid.above - most.y, maxY: most.z },
    titles: [
      { at: { x: least.x, y: most.z + 22 }, text: 'From the side, nose to the left' },
      { at: { x: least.x, y: laid.above + most.y + 6 }, text: 'From above' },
      { at: { x: laid.behind - most.y, y: most.z + 22 }, text: `Section ${section + 1}, from behind` },
    ],
    shapes: [
      ...faces(
        site,
        'side',
        ({ y }) => -y,
        ({ x, z }) => ({ x, y: z }),
      ),
      ...faces(
        site,
        'above',
        ({ z }) => z,
        ({ x, y }) => ({ x, y: laid.above + y }),
      ),
      ...sections.map((one, index): Shape => ({
        key: `behind-${one.id}`,
        ring: ringOf(one),
        look: index === section ? 'guest' : 'station',
      })),
      ...site.shell.bulkheads.map(({ id, aftMm }): Shape => ({
        key: `bulkhead-${id}`,
        ring: [
          { x: aftMm, y: least.z },
          { x: aftMm, y: most.z },
        ],
        look: 'station',
        isOpen: true,
      })),
    ],
    labels: sections.map(({ id, aftMm, corners }) => ({
      key: id,
      at: { x: aftMm, y: Math.max(...corners.map(({ upMm }) => upMm)) },
      text: formatLength(aftMm, unit),
      dy: -14,
    })),
    handles: handles(site, laid, unit, section, chosen),
  };
}
