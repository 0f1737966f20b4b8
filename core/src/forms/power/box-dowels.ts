import { applyRigid, point3, STILL } from '../../geometry/index.ts';
import { formatLengthWithUnit } from '../../units/index.ts';
import { blocking, type FormFault, type MadeHole, type StandingBox } from '../form/index.ts';
import type { BoxDowels } from './parameters.ts';
import { stood, type PowerSite } from './power-site.ts';

/** Foam that stays round a dowel's hole, in boards. */
const WEB_BOARDS = 1;

/** Places of the dowels' middles behind the firewall. */
export const dowelMiddles = ({ count, firstMm, apartMm }: BoxDowels): readonly number[] =>
  Array.from({ length: count }, (_, index) => firstMm + index * apartMm);

/** The holes for dowels in every wall of the strip. */
export function dowelHoles({ power: { dowels }, strip, board, heightMm }: PowerSite): readonly MadeHole[] {
  if (!dowels) return [];
  const up = board.thicknessMm + dowels.upMm,
    along = (name: string): number | undefined => strip.find((line) => line.name === name)?.along;
  // Outer walls stand up from the floor's fold, inner ones hang down from the skin over both.
  const rows = [
    ['port', along('floor-port')! - up],
    ['starboard', along('floor-starboard')! + up],
    ['inner-port', along('trench-port')],
    ['inner-starboard', along('trench-starboard')],
  ] as const;
  const hang = { 'inner-port': -(heightMm - up), 'inner-starboard': heightMm - up, port: 0, starboard: 0 } as const;
  return rows.flatMap(([wall, y]) =>
    y === undefined
      ? []
      : dowelMiddles(dowels).map((x, index): MadeHole => ({
          name: `dowel-${wall}-${index + 1}`,
          sizing: 'fixed',
          round: { centre: { x, y: y + hang[wall] }, radiusMm: dowels.acrossMm / 2 },
        })),
  );
}

/** Where the plates within end behind the firewall, where they reach furthest. */
function plugEnd({ power, plate, strip }: PowerSite): number {
  return Math.max(...strip.map(({ frontMm }) => frontMm)) + power.plugLayers * plate.thicknessMm;
}

/** Dowels that would break out of the walls, or run through the plates of the firewall. */
export function dowelFaults(site: PowerSite): readonly FormFault[] {
  const { power, board, unit } = site,
    { dowels } = power;
  if (!dowels) return [];
  const length = (mm: number): string => formatLengthWithUnit(mm, unit),
    rest = dowels.acrossMm / 2 + WEB_BOARDS * board.thicknessMm,
    span = (dowels.count - 1) * dowels.apartMm;
  const along = [plugEnd(site) + rest, power.lengthMm - rest - span] as const,
    upright = [rest, power.insideHeightMm - rest] as const;
  const glue = [{ path: 'dowels', value: undefined }] as const;
  const within = (path: string, word: string, at: number, [least, most]: readonly [number, number]) => {
    if (at >= least - 1e-6 && at <= most + 1e-6) return [];
    // On a tenth that lies within.
    const nearest = at < least ? Math.ceil(least * 10 - 1e-6) / 10 : Math.floor(most * 10 + 1e-6) / 10,
      hasRoom = nearest >= least - 1e-6 && nearest <= most + 1e-6;
    return [
      blocking(
        'BOX_DOWEL_OUTSIDE',
        path,
        `${word} stands ${length(at)} ${path.endsWith('upMm') ? 'over the floor' : 'behind the firewall'}`,
        hasRoom
          ? `A board of foam stays round its hole, and it keeps clear of the plates within: from ${length(least)} to ${length(most)}.`
          : 'A board of foam stays round its hole, and the box leaves no room for that: fewer or thinner dowels, or a larger box.',
        hasRoom ? `Set ${length(nearest)}` : 'Glue it in',
        hasRoom ? [{ path, value: nearest }] : glue,
      ),
    ];
  };
  const close: readonly FormFault[] =
    dowels.count > 1 && dowels.apartMm < dowels.acrossMm + WEB_BOARDS * board.thicknessMm
      ? [
          blocking(
            'BOX_DOWELS_MEET',
            'dowels.apartMm',
            `The dowels stand ${length(dowels.apartMm)} apart`,
            'A board of foam stays between their holes.',
            `Set ${length(Math.ceil(dowels.acrossMm + board.thicknessMm))}`,
            [{ path: 'dowels.apartMm', value: Math.ceil(dowels.acrossMm + board.thicknessMm) }],
          ),
        ]
      : [];
  return [
    ...close,
    ...within('dowels.firstMm', dowels.count > 1 ? 'The first dowel' : 'The dowel', dowels.firstMm, along),
    ...within('dowels.upMm', 'The dowels’ line', dowels.upMm, upright),
  ];
}

/** A box as what it slides into sees it. */
export function boxAsItStands(site: PowerSite): StandingBox {
  const { form, power, board, strip, widthMm, heightMm } = site,
    at = (x: number, z: number) => applyRigid(stood(site, STILL), point3(x, 0, z)),
    ends = [at(Math.min(...strip.map(({ frontMm }) => frontMm)), 0).x, at(power.lengthMm, 0).x];
  return {
    formId: form.id,
    name: form.name,
    isPusher: power.isPusher === true,
    fromMm: Math.min(...ends),
    toMm: Math.max(...ends),
    lowMm: at(0, 0).z,
    topMm: at(0, heightMm).z,
    asideMm: form.place.at.y,
    halfMm: widthMm / 2,
    dowels: power.dowels
      ? dowelMiddles(power.dowels).map((x) => {
          const place = at(x, board.thicknessMm + power.dowels!.upMm);
          return { x: place.x, z: place.z, acrossMm: power.dowels!.acrossMm };
        })
      : [],
  };
}
