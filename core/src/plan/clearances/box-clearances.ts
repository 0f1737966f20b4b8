import { lengthText } from '../../units/index.ts';
import { bodyAt } from '../things/body-at.ts';
import { isBox, type BodyThing, type BoxThing, type PlannedThing } from '../things/thing.ts';
import type { Clearance } from './clearance.ts';

/** A box that lies within a body along its length is meant inside; one that stands out is told with how far. */
const IN_BODY: readonly BoxThing['kind'][] = ['pack', 'servo', 'receiver', 'speed control', 'motor'];

/** Whether the middle of a box lies within a body: one beside it, a servo in a wing, is not meant in it. */
function isWithin({ at }: BoxThing, body: BodyThing): boolean {
  const section = bodyAt(body, at.x);
  return (
    section !== undefined &&
    Math.abs(at.y - body.at.y) < section.widthMm / 2 &&
    at.z > section.bottomMm &&
    at.z < section.topMm
  );
}

interface Room {
  readonly aside: number;
  readonly over: number;
  readonly under: number;
}

/** The room round a box inside the walls of a body, at both of its ends; undefined where it does not lie along the body. */
function roomIn(box: BoxThing, body: BodyThing, boardMm: number): Room | undefined {
  const sections = [-1, 1].map((end) => bodyAt(body, box.at.x + (end * box.lengthMm) / 2));
  const between = body.stations
    .map(({ aftMm }) => body.at.x + aftMm)
    .filter((x) => Math.abs(x - box.at.x) < box.lengthMm / 2)
    .map((x) => bodyAt(body, x));
  const all = [...sections, ...between].flatMap((section) => (section ? [section] : []));
  if (all.length < sections.length + between.length) return undefined;
  return {
    aside: Math.min(
      ...all.map(({ widthMm }) => widthMm / 2 - boardMm - Math.abs(box.at.y - body.at.y) - box.widthMm / 2),
    ),
    over: Math.min(...all.map(({ topMm }) => topMm - boardMm - box.at.z - box.heightMm / 2)),
    under: Math.min(...all.map(({ bottomMm }) => box.at.z - box.heightMm / 2 - bottomMm - boardMm)),
  };
}

/** Packs, servos and the like inside the walls of the body that they lie in. @param boardMm thickness of its walls */
export function boxClearances(things: readonly PlannedThing[], boardMm: number): readonly Clearance[] {
  const bodies = things.filter((thing): thing is BodyThing => thing.kind === 'body');
  return things.flatMap((box): readonly Clearance[] => {
    if (!isBox(box) || !IN_BODY.includes(box.kind)) return [];
    const found = bodies
      .filter((body) => isWithin(box, body))
      .flatMap((body) => {
        const room = roomIn(box, body, boardMm);
        return room ? [{ body, room, least: Math.min(room.aside, room.over, room.under) }] : [];
      })
      .sort((a, b) => b.least - a.least)[0];
    if (!found) return [];
    const { body, room, least } = found,
      upright = room.over + room.under;
    const z = box.at.z + (room.over - room.under) / 2;
    return [
      {
        key: `box:${box.id}`,
        word: `${box.name} inside ${body.name}`,
        amount: least,
        quantity: 'length',
        least: 0,
        thingIds: [box.id, body.id],
        swept: [],
        place: { view: 'side', at: { x: box.at.x, y: box.at.z } },
        told: `${lengthText(room.aside)} beside it, ${lengthText(room.over)} over it, ${lengthText(room.under)} under it, walls of ${lengthText(boardMm)} counted.`,
        mends: [
          ...(upright >= 0 && room.aside >= 0
            ? [
                {
                  label: `${box.name} to the middle of the walls`,
                  changes: [{ thingId: box.id, at: { ...box.at, z } }],
                },
              ]
            : []),
          ...(room.aside < 0 && box.at.y !== body.at.y
            ? [
                {
                  label: `${box.name} to the middle line`,
                  changes: [{ thingId: box.id, at: { ...box.at, y: body.at.y } }],
                },
              ]
            : []),
          ...wider(body, room, upright),
        ],
      },
    ];
  });
}

/** A body made as much wider or higher as the box wants. */
function wider(body: BodyThing, { aside }: Room, upright: number): Clearance['mends'] {
  const add = aside < 0 ? Math.ceil(-2 * aside) : 0,
    high = upright < 0 ? Math.ceil(-upright) : 0;
  if (add + high === 0) return [];
  const set = Object.fromEntries(
    body.stations.flatMap(({ widthMm, topMm }, index): readonly (readonly [string, number])[] => [
      ...(add > 0 ? [[`stations.${index}.widthMm`, widthMm + add] as const] : []),
      ...(high > 0 ? [[`stations.${index}.topMm`, topMm + high] as const] : []),
    ]),
  );
  const words = [...(add > 0 ? [`${lengthText(add)} wider`] : []), ...(high > 0 ? [`${lengthText(high)} higher`] : [])];
  return [{ label: `${body.name} ${words.join(', ')}`, changes: [{ thingId: body.id, set }] }];
}
