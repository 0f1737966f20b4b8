import { boundsOf, isInside } from '../../geometry/index.ts';
import { formatLengthWithUnit } from '../../units/index.ts';
import type { FormContext, FormFault } from '../form/index.ts';
import { blocking } from './blocking.ts';
import type { PanelSite } from './panel.ts';
import type { WingParameters } from './parameters.ts';
import { MOST_RIBS, MOST_TUBES, TUBE_FIELDS } from './rib-parameters.ts';
import { ribPlaces } from './rib-places.ts';
import { leftRound, tubeHoles } from './rib-tubes.ts';
import { ribRoom } from './ribs.ts';
import { sparSides } from './spar-strips.ts';

/** Board that is left round a tube's hole, in mm. */
const LEAST_ROUND_MM = 1.2;

/** What of the ribs can be told from the numbers alone. */
export function ribNumberFaults(wing: WingParameters, { unit }: FormContext): readonly FormFault[] {
  const { ribs } = wing;
  if (!ribs || (wing.build ?? 'folded') !== 'folded') return [];
  const longest = Math.max(...wing.panels.map(({ spanMm }) => spanMm));
  if (longest / ribs.spacingMm > MOST_RIBS) {
    const value = Math.ceil(longest / MOST_RIBS);
    return [
      blocking(
        'RIBS',
        'ribs.spacingMm',
        `Ribs every ${formatLengthWithUnit(ribs.spacingMm, unit)} are more than ${MOST_RIBS} in a panel`,
        'So many ribs are heavier than a thicker skin.',
        `Set ${formatLengthWithUnit(value, unit)}`,
        [{ path: 'ribs.spacingMm', value }],
      ),
    ];
  }
  const joints = new Set(wing.panels.slice(wing.middle === 'panel' ? 1 : 0).map(({ id }) => id));
  const wrong = ribs.tubes.findIndex(
    ({ panelId }, at) => !joints.has(panelId) || ribs.tubes.findIndex((one) => one.panelId === panelId) < at,
  );
  if (wrong < 0 && ribs.tubes.length <= MOST_TUBES) return [];
  const spare = [...joints].find((id) => !ribs.tubes.some(({ panelId }) => panelId === id));
  return [
    blocking(
      'TUBE_JOINT',
      `ribs.tubes.${Math.max(0, wrong)}.panelId`,
      'A tube has no joint of its own',
      'One tube goes through each joint, and through a panel that runs across the middle none.',
      spare === undefined ? 'Leave the ribs and tubes out' : 'Put it in a joint without one',
      spare === undefined
        ? [{ path: 'ribs', value: undefined }]
        : [{ path: `ribs.tubes.${wrong}.panelId`, value: spare }],
    ),
  ];
}

/** Tubes that leave the section, or run through the spar: told once the skins are known. */
export function tubeFaults(sites: readonly PanelSite[], { unit }: FormContext): readonly FormFault[] {
  const { ribs } = sites[0]!.wing;
  if (!ribs) return [];
  return ribs.tubes.flatMap((tube, at) => {
    const fault = tubeFault(sites, tube.panelId, at, unit);
    return fault ? [fault] : [];
  });
}

function tubeFault(
  sites: readonly PanelSite[],
  panelId: string,
  at: number,
  unit: FormContext['unit'],
): FormFault | undefined {
  const path = (key: keyof typeof TUBE_FIELDS): string => `ribs.tubes.${at}.${key}`,
    length = (mm: number): string => formatLengthWithUnit(mm, unit);
  const holes = sites
    .flatMap((site) =>
      ribPlaces(site).flatMap((place) =>
        tubeHoles(site, place)
          .filter(({ tube }) => tube.panelId === panelId)
          .map((hole) => ({ site, place, hole })),
      ),
    )
    .map((one) => {
      const { site, place, hole } = one;
      const ring = ribRoom(site, place).find((own) => isInside(hole.centre, own));
      const spar = sparSides(site, place.map.origin.x, place.map.origin.x + place.thicknessMm);
      const deep = Math.min(place.outMm, site.laid.panel.spanMm - place.outMm);
      return { ...one, left: ring ? leftRound(hole, ring) : -hole.radiusMm, spar, deep };
    })
    .sort((a, b) => a.deep - b.deep);
  const through = holes.find(
    ({ spar, hole: { centre, radiusMm } }) =>
      spar && centre.x + radiusMm > spar.frontMm - LEAST_ROUND_MM && centre.x - radiusMm < spar.rearMm + LEAST_ROUND_MM,
  );
  if (through) {
    const { site, spar, hole } = through;
    const joint = sites.find(({ laid }) => laid.panel.id === panelId)!.laid;
    const value = Math.ceil(((spar!.rearMm - site.laid.rootNoseMm + hole.radiusMm + 3) / joint.rootChordMm) * 100);
    if (value > hole.tube.atPercent && value <= TUBE_FIELDS.atPercent.most)
      return blocking(
        'TUBE_SPAR',
        path('atPercent'),
        'A tube runs through the spar',
        `Its hole reaches into the spar of panel ${site.laid.number}: it goes behind it.`,
        `Set ${value} %`,
        [{ path: path('atPercent'), value }],
      );
  }
  const out = holes.find(({ left }) => left < LEAST_ROUND_MM) ?? through;
  if (!out) return undefined;
  const before = holes.filter(({ left, deep }) => left >= LEAST_ROUND_MM && deep < out.deep).at(-1);
  const title = `The tube leaves the section at rib ${out.place.number} of panel ${out.site.laid.number}`;
  const reach = before ? Math.floor(out.deep - 2 * out.place.thicknessMm - 1) : 0;
  if (reach >= TUBE_FIELDS.reachMm.least && reach < out.hole.tube.reachMm)
    return blocking(
      'TUBE_LEAVES',
      path('reachMm'),
      title,
      'Each panel leans away from it by half the turn of the joint, and tapers.',
      `Set ${length(reach)} into each panel`,
      [{ path: path('reachMm'), value: reach }],
    );
  const room = boundsOf(
    ribRoom(out.site, out.place).flat().length > 0 ? ribRoom(out.site, out.place).flat() : [{ x: 0, y: 0 }],
  );
  const diameter =
    Math.floor(Math.min(2 * (out.left + out.hole.radiusMm - LEAST_ROUND_MM - 0.3), room.maxY - room.minY) * 2) / 2;
  if (diameter >= TUBE_FIELDS.diameterMm.least && diameter < out.hole.tube.diameterMm)
    return blocking(
      'TUBE_WIDE',
      path('diameterMm'),
      title,
      `Round it ${length(Math.max(0, out.left))} are left, ${length(LEAST_ROUND_MM)} are wanted.`,
      `Set ${length(diameter)}`,
      [{ path: path('diameterMm'), value: diameter }],
    );
  return blocking(
    'TUBE_WIDE',
    path('diameterMm'),
    title,
    'The section is too thin there for a tube.',
    'Leave the ribs and tubes out',
    [{ path: 'ribs', value: undefined }],
  );
}
