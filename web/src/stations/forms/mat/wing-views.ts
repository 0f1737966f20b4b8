import { applyRigid, type Bounds, type Point, type Point3 } from '@grain-fold/core/geometry';
import { controlChordAt, ribPlaces, sheetRings, type MadeWing, type PanelSite } from '@grain-fold/core/forms';

/** One panel as it is seen, port and starboard. */
export interface SeenPanel {
  readonly index: number;
  /** Outlines in the plan view: outboard across, forward up. Two of them but for a middle panel. */
  readonly plan: readonly (readonly Point[])[];
  readonly spar: readonly (readonly Point[])[];
  readonly controls: readonly (readonly Point[])[];
  readonly ribs: readonly (readonly [Point, Point])[];
  /** Edges of the layers on a plate. */
  readonly steps: readonly (readonly [Point, Point])[];
  readonly folds: readonly (readonly [Point, Point])[];
  /** Outlines in the front view: across, and up. */
  readonly front: readonly (readonly Point[])[];
}

/** A handle on the mat: where it stands in its view, and what it changes. */
export interface WingHandle {
  readonly kind: 'break' | 'chord' | 'dihedral' | 'spar';
  readonly index: number;
  readonly view: 'plan' | 'front';
  readonly at: Point;
  readonly word: string;
}

/** A wing in two views, starboard to the right as seen from above, and its handles. */
export interface WingViews {
  readonly panels: readonly SeenPanel[];
  readonly handles: readonly WingHandle[];
  /** Where the front view's table lies, and its middle. */
  readonly frontUp: number;
  readonly bounds: Bounds;
}

/** Room between both views, as a share of the chord. */
const APART_SHARE = 0.5;

/** A place in the wing's own frame seen from above: starboard to the right, forward up. */
const fromAbove = ({ x, y }: Point3): Point => ({ x, y: -y });

const mirrored = (ring: readonly Point[]): readonly Point[] => ring.map(({ x, y }) => ({ x: -x, y }));

/** Where a place of a panel stands in the wing. */
const stood = ({ laid }: PanelSite, p: Point3): Point3 => applyRigid(laid.map, p);

/** The views of a wing as it is made. */
export function wingViews({ sites }: MadeWing): WingViews {
  const longest = Math.max(...sites.map(({ laid }) => Math.max(laid.rootChordMm, laid.panel.tipChordMm)));
  const lowest = Math.min(
    ...sites.flatMap((site) => site.skin.ends.flatMap(({ tip, root }) => [stood(site, tip).z, stood(site, root).z])),
  );
  const aft = Math.max(
    ...sites.flatMap((site) => site.skin.ends.flatMap(({ tip, root }) => [stood(site, tip).y, stood(site, root).y])),
  );
  const highest = Math.max(
    ...sites.flatMap((site) => site.skin.ends.flatMap(({ tip, root }) => [stood(site, tip).z, stood(site, root).z])),
  );
  const frontUp = -aft - APART_SHARE * longest - highest;
  const inFront = ({ x, z }: Point3): Point => ({ x, y: z + frontUp });
  const panels = sites.map((site, index): SeenPanel => {
    const { skin, laid, sections } = site;
    const line = (at: number): readonly [Point, Point] => {
      const { root, tip } = skin.ends[at]!;
      return [fromAbove(stood(site, root)), fromAbove(stood(site, tip))];
    };
    const tail = line(0),
      nose = line(noseLine(site));
    const onLine = ([a, b]: readonly [Point, Point], out: number): Point => {
      const share = out / laid.panel.spanMm;
      return { x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share };
    };
    const outline = [tail[0], tail[1], nose[1], nose[0]];
    const depth = (end: 'root' | 'tip'): readonly Point[] => {
      const places = skin.ends.map((one) => stood(site, one[end]));
      if (sections[end].section.isOpen) return sheetDepth(site, end).map((at) => inFront(stood(site, at)));
      const top = places.reduce((a, b) => (b.z > a.z ? b : a)),
        low = places.reduce((a, b) => (b.z < a.z ? b : a));
      return [inFront(low), inFront(top)];
    };
    const [rootLow, rootTop] = depth('root'),
      [tipLow, tipTop] = depth('tip');
    const front = [rootLow!, tipLow!, tipTop!, rootTop!];
    const hasSpar = sparStands(site),
      width = sections.root.section.spar?.widthMm ?? 0;
    const sparAt = (out: number, aftMm: number): Point => fromAbove(stood(site, { x: out, y: aftMm, z: 0 }));
    const spar = [
      sparAt(0, laid.rootNoseMm + sections.root.sparFrontMm),
      sparAt(laid.panel.spanMm, laid.tipNoseMm + sections.tip.sparFrontMm),
      sparAt(laid.panel.spanMm, laid.tipNoseMm + sections.tip.sparFrontMm + width),
      sparAt(0, laid.rootNoseMm + sections.root.sparFrontMm + width),
    ];
    const tail0 = skin.ends[0]!,
      tailAft = (out: number): number =>
        tail0.root.y + ((tail0.tip.y - tail0.root.y) * (out - tail0.root.x)) / (tail0.tip.x - tail0.root.x);
    const controls = site.wing.controls
      .filter(({ panelId }) => panelId === laid.panel.id)
      .map((control): readonly Point[] => {
        const { fromMm, toMm } = control;
        return [
          sparAt(fromMm, tailAft(fromMm)),
          sparAt(toMm, tailAft(toMm)),
          sparAt(toMm, tailAft(toMm) - controlChordAt(control, toMm)),
          sparAt(fromMm, tailAft(fromMm) - controlChordAt(control, fromMm)),
        ];
      });
    const folds = (sections.root.section.isSolid ? [] : skin.ends.slice(1, -1)).flatMap(
      (_, at): readonly (readonly [Point, Point])[] => {
        const own = line(at + 1);
        return [own, [mirrored([own[0]])[0]!, mirrored([own[1]])[0]!]];
      },
    );
    const ribs = ribPlaces(site).flatMap(({ outMm }): readonly (readonly [Point, Point])[] => {
      const across: readonly [Point, Point] = [onLine(tail, outMm), onLine(nose, outMm)];
      return laid.isMiddle ? [across] : [across, [mirrored([across[0]])[0]!, mirrored([across[1]])[0]!]];
    });
    const steps = (site.wing.build === 'stepped' ? (site.wing.layers ?? []) : []).flatMap(
      ({ fromPercent, toPercent }) =>
        [fromPercent, toPercent].flatMap((percent): readonly (readonly [Point, Point])[] => {
          const place = (end: 0 | 1): Point => {
            const [a, b] = [nose[end], tail[end]];
            return { x: a.x + ((b.x - a.x) * percent) / 100, y: a.y + ((b.y - a.y) * percent) / 100 };
          };
          const own: readonly [Point, Point] = [place(0), place(1)];
          return [own, [mirrored([own[0]])[0]!, mirrored([own[1]])[0]!]];
        }),
    );
    const both = (ring: readonly Point[]): readonly (readonly Point[])[] =>
      laid.isMiddle ? [ring] : [ring, mirrored(ring)];
    return {
      index,
      plan: both(outline),
      spar: hasSpar ? both(spar) : [],
      controls: controls.flatMap(both),
      folds,
      ribs,
      steps,
      front: both(front),
    };
  });
  const handles = sites.flatMap((site, index): readonly WingHandle[] => {
    const { skin, laid, sections } = site,
      isLast = index === sites.length - 1;
    const tail = skin.ends[0]!,
      nose = skin.ends[noseLine(site)]!;
    const name = isLast ? 'tip' : `joint ${index + 1}`;
    const middle = fromAbove(stood(site, { x: laid.panel.spanMm, y: (tail.tip.y + nose.tip.y) / 2, z: 0 }));
    return [
      { kind: 'break', index, view: 'plan', at: middle, word: `span to the ${name}` },
      ...(laid.isMiddle
        ? []
        : [
            {
              kind: 'chord' as const,
              index,
              view: 'plan' as const,
              at: fromAbove(stood(site, tail.tip)),
              word: `chord at the ${name}`,
            },
          ]),
      ...(laid.isMiddle
        ? []
        : [
            {
              kind: 'dihedral' as const,
              index,
              view: 'front' as const,
              at: inFront(stood(site, { x: laid.panel.spanMm, y: 0, z: 0 })),
              word: `dihedral of panel ${index + 1}`,
            },
          ]),
      ...(index === 0 && sparStands(site)
        ? [
            {
              kind: 'spar' as const,
              index,
              view: 'plan' as const,
              at: fromAbove(
                stood(site, {
                  x: laid.isMiddle ? laid.panel.spanMm / 2 : 0,
                  y: laid.rootNoseMm + sections.root.sparFrontMm,
                  z: 0,
                }),
              ),
              word: 'place of the spar',
            },
          ]
        : []),
    ];
  });
  const half = Math.max(...sites.map((site) => stood(site, { x: site.laid.panel.spanMm, y: 0, z: 0 }).x)),
    forward = Math.min(...sites.flatMap((site) => site.skin.ends.flatMap(({ root, tip }) => [root.y, tip.y])));
  return {
    panels,
    handles,
    frontUp: frontUp + lowest,
    bounds: { minX: -half, maxX: half, minY: frontUp + lowest, maxY: -forward },
  };
}

/** Whether a wing has a spar between its skins. */
const sparStands = ({ wing, sections }: PanelSite): boolean =>
  wing.sparKind !== 'none' && !sections.root.section.isOpen && !sections.root.section.isSolid;

/** The lowest and the highest place of a plate with its layers, at an end of its panel. */
function sheetDepth(site: PanelSite, end: 'root' | 'tip'): readonly [Point3, Point3] {
  const heights = sheetRings(site, end).flatMap((ring) => ring.map(({ y }) => y));
  const { x, y } = site.skin.ends[0]![end];
  return [
    { x, y, z: Math.min(...heights) },
    { x, y, z: Math.max(...heights) },
  ];
}

/** The line of the skin that is furthest forward. */
const noseLine = ({ skin }: PanelSite): number =>
  skin.ends.reduce(
    (best, line, index) => (line.root.y + line.tip.y < skin.ends[best]!.root.y + skin.ends[best]!.tip.y ? index : best),
    0,
  );
