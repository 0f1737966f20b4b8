import { isInside } from '../../geometry/index.ts';
import { formatLengthWithUnit } from '../../units/index.ts';
import { withParameter, type FormContext, type FormFault } from '../form/index.ts';
import { blocking } from '../form/index.ts';
import type { PanelSite } from './panel.ts';
import type { WingParameters } from './parameters.ts';
import { MOST_RIBS, MOST_TUBES, TUBE_FIELDS } from './rib-parameters.ts';
import { ribPlaces, type RibPlace } from './rib-places.ts';
import { leftRound, tubeHoles, type TubeHole } from './rib-tubes.ts';
import { ribRoom } from './skin-room.ts';
import { sparSides } from './spar-place.ts';

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
  return (ribs?.tubes ?? []).flatMap((_, at) => tubeFault(sites, at, unit) ?? []);
}

/** A hole of a tube with the rib that it is in. */
interface HeldHole {
  readonly site: PanelSite;
  readonly place: RibPlace;
  readonly hole: TubeHole;
  /** From its joint. */
  readonly deepMm: number;
  readonly leftMm: number;
  readonly isInSpar: boolean;
}

/** The holes of a tube, from its joint on. */
function holesOf(sites: readonly PanelSite[], at: number): readonly HeldHole[] {
  const { panelId } = sites[0]!.wing.ribs!.tubes[at]!;
  return sites
    .flatMap((site) =>
      ribPlaces(site).flatMap((place) =>
        tubeHoles(site, place)
          .filter(({ tube }) => tube.panelId === panelId)
          .map((hole): HeldHole => {
            const ring = ribRoom(site, place).find((own) => isInside(hole.centre, own));
            const spar = sparSides(site, place.map.origin.x, place.map.origin.x + place.thicknessMm);
            const { centre, radiusMm } = hole;
            return {
              site,
              place,
              hole,
              deepMm: Math.min(place.outMm, site.laid.panel.spanMm - place.outMm),
              leftMm: ring ? leftRound(hole, ring) : -radiusMm,
              isInSpar:
                spar !== undefined &&
                centre.x + radiusMm > spar.frontMm - LEAST_ROUND_MM &&
                centre.x - radiusMm < spar.rearMm + LEAST_ROUND_MM,
            };
          }),
      ),
    )
    .sort((a, b) => a.deepMm - b.deepMm);
}

const isBad = ({ isInSpar, leftMm }: HeldHole): boolean => isInSpar || leftMm < LEAST_ROUND_MM;

/** The first of some values that a tube works with. */
const firstThatWorks = (
  sites: readonly PanelSite[],
  at: number,
  path: string,
  values: readonly number[],
): number | undefined =>
  values.find((value) => {
    const wing = withParameter(sites[0]!.wing, path, value);
    return !holesOf(
      sites.map((site) => ({ ...site, wing })),
      at,
    ).some(isBad);
  });

function tubeFault(sites: readonly PanelSite[], at: number, unit: FormContext['unit']): FormFault | undefined {
  const holes = holesOf(sites, at),
    bad = holes.find(isBad);
  if (!bad) return undefined;
  const { tube } = bad.hole,
    length = (mm: number): string => formatLengthWithUnit(mm, unit);
  const path = (key: keyof typeof TUBE_FIELDS): string => `ribs.tubes.${at}.${key}`;
  const steps = (from: number, by: number, to: number): readonly number[] =>
    Array.from({ length: Math.max(0, Math.floor((to - from) / by)) }, (_, step) => from + by * (step + 1));
  const title = bad.isInSpar
    ? 'A tube runs through the spar'
    : `The tube leaves the section at rib ${bad.place.number} of panel ${bad.site.laid.number}`;
  const tries: readonly (readonly [keyof typeof TUBE_FIELDS, string, readonly number[], (value: number) => string])[] =
    [
      ...(bad.isInSpar
        ? ([
            [
              'atPercent',
              'It goes behind the spar.',
              steps(Math.floor(tube.atPercent), 1, TUBE_FIELDS.atPercent.most),
              (value: number) => `Set ${value} %`,
            ],
          ] as const)
        : []),
      [
        'reachMm',
        'Each panel leans away from it by half the turn of the joint, and tapers.',
        holes
          .map(({ deepMm, place }) => Math.floor(deepMm - 2 * place.thicknessMm - 1))
          .filter((value) => value >= TUBE_FIELDS.reachMm.least && value < tube.reachMm)
          .reverse(),
        (value) => `Set ${length(value)} into each panel`,
      ],
      [
        'diameterMm',
        `Round it ${length(Math.max(0, bad.leftMm))} are left, ${length(LEAST_ROUND_MM)} are wanted.`,
        steps(-Math.floor(tube.diameterMm * 2) / 2 - 0.5, 0.5, -TUBE_FIELDS.diameterMm.least).map((value) => -value),
        (value) => `Set ${length(value)}`,
      ],
    ];
  for (const [key, detail, values, word] of tries) {
    const value = firstThatWorks(sites, at, path(key), values);
    if (value !== undefined)
      return blocking('TUBE', path(key), title, detail, word(value), [{ path: path(key), value }]);
  }
  return blocking(
    'TUBE',
    path('diameterMm'),
    title,
    'The section is too thin there for a tube.',
    'Leave the ribs and tubes out',
    [{ path: 'ribs', value: undefined }],
  );
}
