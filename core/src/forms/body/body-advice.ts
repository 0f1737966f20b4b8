import { formatAngle, formatLengthWithUnit } from '../../units/index.ts';
import type { FormFault } from '../form/index.ts';
import type { BodySite } from './body-site.ts';
import { bayFits } from './bay-fits.ts';
import { foamLeft, stripCount } from './corner-strips.ts';
import { LARGEST_CREASE_DEGREES } from './bent-sheet.ts';
import { boardsOfFormer, formerReach } from './former-places.ts';
import { dowelPlaces } from './dowel-places.ts';
import { formerAtDowel } from './hold-downs.ts';
import { boxAdvice } from './held-boxes.ts';
import { heightAt } from './profile.ts';
import { tightestBend } from './tightest-bend.ts';

/** A bend tighter than so many boards creases by itself; of board with paper on both sides. */
const TIGHT_BOARDS = 12;
/** Wall that has to stay under a wing that sits in it from above, as a share of the body's height. */
const LEAST_WALL_SHARE = 0.35;
/** Air goes out through at least so many times the opening that it comes in by. */
const OUT_TIMES = 1.5;

const advice = (code: string, path: string, title: string, detail: string, mend?: FormFault['mend']): FormFault => ({
  code,
  path,
  title,
  detail,
  isBlocking: false,
  ...(mend ? { mend } : {}),
});

type Length = (mm: number) => string;

function bendAdvice(site: BodySite, length: Length): readonly FormFault[] {
  const { body, board } = site,
    t = board.thicknessMm;
  return (
    [
      ['wall', 'widthLine', 'walls'],
      ['floor', 'bottomLine', 'floor'],
      ['lid', 'topLine', 'lid'],
    ] as const
  ).flatMap(([kind, key, word]): readonly FormFault[] => {
    if (body[key] !== 'curved' || (kind === 'lid' && body.lid === 'none')) return [];
    const radius = tightestBend(site[kind]);
    if (radius === undefined || radius >= TIGHT_BOARDS * t) return [];
    return [
      advice(
        'BEND_TIGHT',
        key,
        `The ${word} bend to ${length(radius)}`,
        `This board takes ${length(TIGHT_BOARDS * t)}; tighter it buckles. Score relief creases across the bend, peel the inner paper, or let the line be straight between stations.`,
        { label: 'Straight between stations', changes: [{ path: key, value: 'straight' }] },
      ),
    ];
  });
}

/** Sheets of one piece that turn outward: a groove closes only inward, and a crease holds but a little. */
function hollowAdvice({ body, wall, floor }: BodySite): readonly FormFault[] {
  const sheets = [
    ...(body.widthLine === 'straight' ? [['walls turn', 'widthMm', 'widthLine', wall] as const] : []),
    ...(body.corners === 'folded' && body.bottomLine === 'straight'
      ? [['floor turns', 'bottomMm', 'bottomLine', floor] as const]
      : []),
  ];
  return sheets.flatMap(([word, key, line, { base, turns }]): readonly FormFault[] => {
    const at = turns.findIndex((turn) => turn < -LARGEST_CREASE_DEGREES);
    if (at < 0) return [];
    const off = body.stations.map(({ aftMm }) => Math.abs(aftMm - base[at]!.x)),
      station = off.indexOf(Math.min(...off));
    return [
      advice(
        'TURNS_OUTWARD',
        `stations.${station}.${key}`,
        `The ${word} outward by ${formatAngle(-turns[at]!)} at station ${station + 1}`,
        `A groove closes only inward, and a crease turns by up to ${formatAngle(LARGEST_CREASE_DEGREES)}. Make the line flatter there, or let it be curved.`,
        { label: 'A curved line', changes: [{ path: line, value: 'curved' }] },
      ),
    ];
  });
}

function seatAdvice(site: BodySite, length: Length): readonly FormFault[] {
  const { body } = site;
  const lost = site.lostSeats.map((id) => {
    const index = body.seats.findIndex((seat) => seat.id === id);
    return advice(
      'SEAT_LOST',
      `seats.${index}.formId`,
      'What sits in this seat is not there',
      'Its form was taken out, or its numbers make no wing. Nothing is cut for it until it is there.',
    );
  });
  const thin = site.cuts.flatMap((cut): readonly FormFault[] => {
    if (cut.side !== 'top' && cut.side !== 'below') return [];
    const from = Math.max(cut.fromMm, site.fromMm),
      to = Math.min(cut.toMm, site.toMm);
    const places = Array.from({ length: 21 }, (_, step) => from + ((to - from) * step) / 20);
    const left = Math.min(...places.map((x) => heightAt(site.wallTop, x) - heightAt(site.wallLow, x))),
      whole = Math.min(...places.map((x) => heightAt(site.lines.top, x) - heightAt(site.lines.bottom, x)));
    if (left >= LEAST_WALL_SHARE * whole) return [];
    const index = body.seats.findIndex(({ id }) => id === cut.seat.id);
    return [
      advice(
        'SEAT_DEEP',
        `seats.${index}.formId`,
        `${cut.name} leaves ${length(Math.max(0, left))} of the walls`,
        `They were ${length(whole)} high there: less than a third stays. Move the wing ${cut.side === 'top' ? 'up' : 'down'}, make the body higher, or put doublers there.`,
      ),
    ];
  });
  const dowels = body.seats.flatMap((seat, index): readonly FormFault[] => {
    const cut = site.cuts.find((one) => one.seat.id === seat.id);
    if (!cut || seat.hold !== 'dowels') return [];
    const found = dowelPlaces(site).filter((place) => place.cut === cut).length;
    return found === 2 || cut.side === 'through'
      ? []
      : [
          advice(
            'DOWEL_OUTSIDE',
            `seats.${index}.aheadMm`,
            `A dowel of ${cut.name} would lie beyond the body`,
            'Bring it nearer to the wing, or make the body longer.',
          ),
        ];
  });
  const crossed = dowelPlaces(site).flatMap((dowel): readonly FormFault[] => {
    const former = formerAtDowel(site, dowel);
    if (former === undefined) return [];
    const index = body.seats.findIndex(({ id }) => id === dowel.cut.seat.id),
      isFore = dowel.name.startsWith('fore'),
      key = isFore ? 'aheadMm' : 'behindMm';
    const boards = boardsOfFormer(site, body.formers[former]!),
      radius = dowel.cut.seat.dowelMm / 2;
    const clear = isFore
      ? dowel.cut.fromMm - (boards[0]!.fore - radius - 1)
      : boards.at(-1)!.aft + radius + 1 - dowel.cut.toMm;
    return [
      advice(
        'DOWEL_FORMER',
        `seats.${index}.${key}`,
        `A dowel of ${dowel.cut.name} would cross former ${former + 1}`,
        `It lies at ${length(dowel.x)}, where the former stands. Move the dowel, or the former.`,
        clear > 0 && clear <= 100
          ? {
              label: `Set ${length(Math.ceil(clear))}`,
              changes: [{ path: `seats.${index}.${key}`, value: Math.ceil(clear) }],
            }
          : undefined,
      ),
    ];
  });
  return [...lost, ...thin, ...dowels, ...crossed];
}

function bayAdvice(site: BodySite, length: Length): readonly FormFault[] {
  return site.body.bays.flatMap((bay, index): readonly FormFault[] => {
    const { room, inTheWay } = bayFits(site, bay);
    const words = [
      ...(room && room.widthMm < bay.widthMm
        ? [`${length(room.widthMm)} wide inside, it needs ${length(bay.widthMm)}`]
        : []),
      ...(room && room.heightMm < bay.heightMm
        ? [`${length(room.heightMm)} high inside, it needs ${length(bay.heightMm)}`]
        : []),
      ...inTheWay,
    ];
    if (room && words.length === 0) return [];
    return [
      advice(
        'BAY_TIGHT',
        `bays.${index}.fromMm`,
        `${bay.name} does not fit at ${length(bay.fromMm)}`,
        room ? `There it is ${words.join(', and ')}.` : 'It reaches beyond the body.',
      ),
    ];
  });
}

function formerAdvice(site: BodySite, length: Length): readonly FormFault[] {
  const { body } = site;
  return body.formers.flatMap((former, index): readonly FormFault[] => {
    const boards = boardsOfFormer(site, former),
      last = boards.at(-1)!;
    if (boards.every((board) => formerReach(site, board))) return [];
    const isBeyond = last.aft > site.toMm || former.aftMm < site.fromMm,
      thick = last.aft - former.aftMm;
    const nearest = Math.max(site.fromMm, Math.min(site.toMm - thick, former.aftMm));
    return [
      advice(
        'FORMER_OUTSIDE',
        `formers.${index}.aftMm`,
        `Former ${index + 1} ${isBeyond ? `at ${length(former.aftMm)} stands beyond the body` : 'has no room'}`,
        isBeyond
          ? `The body runs from ${length(site.fromMm)} to ${length(site.toMm)}, and it is ${length(thick)} thick.`
          : 'A wing takes all the height there. Move it before or behind the wing.',
        isBeyond
          ? { label: `Set ${length(nearest)}`, changes: [{ path: `formers.${index}.aftMm`, value: nearest }] }
          : undefined,
      ),
    ];
  });
}

function airAdvice({ body }: BodySite): readonly FormFault[] {
  const area = (kind: 'cooling in' | 'cooling out'): number =>
    body.openings.reduce(
      (sum, one) => sum + (one.kind === kind ? one.lengthMm * one.widthMm * (one.on === 'walls' ? 2 : 1) : 0),
      0,
    );
  const [inside, outside] = [area('cooling in'), area('cooling out')];
  return inside > 0 && outside < OUT_TIMES * inside
    ? [
        advice(
          'AIR_OUT',
          'openings',
          `Air comes in by ${Math.round(inside)} mm² and goes out by ${Math.round(outside)} mm²`,
          `Warm air needs more room: let it out by at least ${OUT_TIMES} times as much, behind what it cools.`,
        ),
      ]
    : [];
}

function stripAdvice({ body, board }: BodySite, length: Length): readonly FormFault[] {
  const { strips } = body;
  if (!strips || (!strips.atFloor && !strips.atLid)) return [];
  const count = stripCount(strips, board.thicknessMm);
  if (count === 0)
    return [
      advice(
        'STRIPS_NONE',
        'strips.radiusMm',
        `Corners rounded to ${length(strips.radiusMm)} need no strips`,
        `The board alone leaves ${length(foamLeft(strips, 0, board.thicknessMm))} behind the rounding.`,
      ),
    ];
  return body.doublers.length > 0
    ? [
        advice(
          'STRIPS_DOUBLERS',
          'strips.radiusMm',
          'Corner strips and doublers want the same place',
          'Take the doublers out, or leave the corners square: a strip lies on the wall itself.',
        ),
      ]
    : [];
}

/** What is better otherwise, though a body can be made with it. */
export function bodyAdvice(site: BodySite): readonly FormFault[] {
  const length = (mm: number): string => formatLengthWithUnit(mm, site.unit);
  return [
    ...seatAdvice(site, length),
    ...bendAdvice(site, length),
    ...hollowAdvice(site),
    ...formerAdvice(site, length),
    ...bayAdvice(site, length),
    ...airAdvice(site),
    ...stripAdvice(site, length),
    ...boxAdvice(site),
  ];
}
