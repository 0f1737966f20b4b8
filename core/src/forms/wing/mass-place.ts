import {
  applyRigid,
  centroid,
  composeRigid,
  point3,
  polygonArea,
  type Point3,
  type RigidMap,
} from '../../geometry/index.ts';
import { placeMap } from '../../folds/index.ts';
import { holesOf, outlineOf, type Part } from '../../part/index.ts';
import { standingOf } from '../form/index.ts';
import type { PanelSite } from './panel.ts';
import { skinSheets } from './skin-sheets.ts';

/** An area and the place of its middle, in the airframe. */
interface Area {
  readonly mm2: number;
  readonly at: Point3;
}

/** The middle of some areas together; undefined for none. */
export function middleOf(areas: readonly { readonly mm2: number; readonly at: Point3 }[]): Point3 | undefined {
  const whole = areas.reduce((sum, { mm2 }) => sum + mm2, 0);
  if (!(whole > 0)) return undefined;
  const along = (key: keyof Point3): number => areas.reduce((sum, { mm2, at }) => sum + mm2 * at[key], 0) / whole;
  return { x: along('x'), y: along('y'), z: along('z') };
}

/** The middle of a plate half way through its board, mapped. */
const plateArea = (
  ring: readonly { readonly x: number; readonly y: number }[],
  map: RigidMap,
  thicknessMm: number,
): Area => {
  const { x, y } = centroid(ring);
  return { mm2: polygonArea(ring), at: applyRigid(map, point3(x, y, thicknessMm / 2)) };
};

/**
 * Where the mass of a made part lies in the airframe: of a skin its folded plates, of a flat part its outline less its holes.
 * @returns undefined for a part without a place
 */
export function partMiddle(part: Part, sites: readonly PanelSite[], thicknessMm: number): Point3 | undefined {
  for (const site of sites) {
    const sheet = skinSheets(site).find(({ role }) => part.source!.role === role);
    if (!sheet) continue;
    const standing = composeRigid(site.laid.map, standingOf(site.place));
    return middleOf(
      sheet.skin.plates.flatMap(({ pieces }) =>
        pieces.map(({ corners, map }) => plateArea(corners, composeRigid(map, standing), thicknessMm)),
      ),
    );
  }
  const outline = outlineOf(part);
  if (!part.place || !outline) return undefined;
  const map = placeMap(part.place);
  const holes = holesOf(part).map((hole) => plateArea(hole.nodes, map, thicknessMm));
  return middleOf([plateArea(outline.nodes, map, thicknessMm), ...holes.map(({ mm2, at }) => ({ mm2: -mm2, at }))]);
}

/** Share of the chord at which the middle of a section's area lies. */
const SECTION_MIDDLE = 0.42;

/** Where the core of a panel has its mass, in the airframe: the wider its chord, the more of it lies there. */
export function coreMiddle({ laid, place }: PanelSite): Point3 {
  const standing = composeRigid(laid.map, standingOf(place));
  const steps = Array.from({ length: 21 }, (_, index) => index / 20);
  return middleOf(
    steps.map((share) => {
      const chord = laid.rootChordMm + (laid.panel.tipChordMm - laid.rootChordMm) * share,
        nose = laid.rootNoseMm + (laid.tipNoseMm - laid.rootNoseMm) * share;
      return {
        mm2: chord ** 2,
        at: applyRigid(standing, point3(share * laid.panel.spanMm, nose + SECTION_MIDDLE * chord, 0)),
      };
    }),
  )!;
}
