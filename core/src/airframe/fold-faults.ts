import type { Fault, Mend } from '../checks/index.ts';
import { applyCommand, type PartCommand } from '../editing/index.ts';
import {
  PRESS_FAULT_MM,
  bentBodies,
  bevellingMends,
  clashesOf,
  closingMend,
  edgesNear,
  foldedSizes,
  foldName,
  foldsInOrder,
  sizeCommand,
  type Clash,
  type FoldedPart,
  type SeamState,
  type StandingPart,
} from '../folds/index.ts';
import { drawnId, type Part } from '../part/index.ts';
import { formatLengthWithUnit, memo, type LengthUnit } from '../units/index.ts';
import type { Airframe } from './airframe.ts';
import { standingPart, standingParts } from './made-at-scale.ts';
import { propellerFaults } from './propeller-faults.ts';
import { seeFolded, OPEN_FAULT_MM, standingFaults } from './standing-faults.ts';

/** Every try of a mend folds the part anew: so many presses of a part are tried to mend, each by so many edges. */
const MOST_PRESSES_TRIED = 3;
const MOST_EDGES_TRIED = 6;

/**
 * Pairs of plates that are looked at: where a seam joins bodies that bend, the bevel of its edges runs on over pieces that the seam does
 * not lie on, which their solids do not show; the pieces at the seam are looked at themselves.
 */
function apartFromBentSeams({ tree, seams }: FoldedPart): (a: number, b: number) => boolean {
  const bodyOf = bentBodies(tree);
  const seamed = seams.map(({ edges }) => edges.map(({ edge }) => edge.solid.plate.index));
  return (a, b) =>
    !seamed.some(([p, q]) => {
      const isSamePair = (m: number, n: number): boolean => m === p && n === q;
      const isSameBodies = (m: number, n: number): boolean => bodyOf[m] === bodyOf[p!] && bodyOf[n] === bodyOf[q!];
      return (isSameBodies(a, b) || isSameBodies(b, a)) && !isSamePair(a, b) && !isSamePair(b, a);
    });
}

/** Plates of a part that press into each other when it is folded, the deepest first. Remembered by the folded part. */
const pressesOf = memo((body: FoldedPart): readonly Clash[] =>
  body.tree.turns.length === 0
    ? []
    : clashesOf(body.solids, body.tree, body.maps, apartFromBentSeams(body))
        .filter(({ depthMm }) => depthMm > PRESS_FAULT_MM)
        .sort((a, b) => b.depthMm - a.depthMm),
);
const openSeamsOf = (seams: readonly SeamState[]): readonly SeamState[] =>
  seams.filter(({ gapMm }) => gapMm > OPEN_FAULT_MM);

/**
 * What is wrong when the airframe is folded and stood together: plates and parts that press into each other, declared seams that stay
 * open, folds that nothing lets pass. Each with a mend that was tried where there is one. Takes a fold of every part: for a worker.
 */
export function foldFaults(airframe: Airframe): readonly Fault[] {
  const parts = standingParts(airframe);
  return [
    ...parts.flatMap((standing) => ownFaults(standing, airframe)),
    ...standingFaults(parts, airframe),
    ...propellerFaults(parts, airframe),
  ];
}

function ownFaults({ part, body }: StandingPart, airframe: Airframe): readonly Fault[] {
  const { unit, scale } = airframe.settings;
  const drawn = airframe.parts.find(({ id }) => id === part.id)!;
  const factor = drawn.sizing === 'fixed' ? 1 : scale;
  const presses = pressesOf(body).map((press, index): Fault => {
    const [a, b] = press.plates.map((plate) => plate + 1);
    return {
      code: 'PLATES_PRESS',
      partId: part.id,
      ...(press.widen ? { targetId: drawnId(press.widen.operationId) } : {}),
      title: `Plates ${a} and ${b} of ${part.name} press ${formatLengthWithUnit(press.depthMm, unit, 2)} into each other`,
      detail: press.widen
        ? `${foldName(part, press.widen.operationId)} is too narrow for its turn in ${formatLengthWithUnit(body.resolved.thicknessMm, unit)} board.`
        : `Folded in ${formatLengthWithUnit(body.resolved.thicknessMm, unit)} board they want the same place.`,
      mend:
        press.widen || index < MOST_PRESSES_TRIED
          ? pressMend(airframe, drawn, body, press, factor, unit)
          : seeFolded(part.id),
    };
  });
  const seams = openSeamsOf(body.seams).map((state) => openSeamFault(part, state, airframe, factor));
  const blocked = foldsInOrder(body.resolved).filter(({ isBlocked }) => isBlocked);
  // Plates that press where they end are told as that: nothing else is in the way of their folds.
  const ways =
    presses.length > 0
      ? []
      : blocked.map(({ operationId, reason }): Fault => ({
          code: 'FOLD_BLOCKED',
          partId: part.id,
          targetId: drawnId(operationId),
          title: `${foldName(part, operationId)} of ${part.name} cannot be folded`,
          detail: `${reason.replace(/^./, (letter) => letter.toUpperCase())}.`,
          mend: seeFolded(part.id),
        }));
  return [...presses, ...seams, ...ways];
}

/** The first edit that takes a press away without pressing or opening anything else; else a look at it. */
function pressMend(
  airframe: Airframe,
  drawn: Part,
  body: FoldedPart,
  press: Clash,
  scale: number,
  unit: LengthUnit,
): Mend {
  if (press.widen)
    return {
      label: `Widen it to ${formatLengthWithUnit(press.widen.toMm, unit, 2)}`,
      command: {
        name: 'changeOperation',
        args: { operationId: drawnId(press.widen.operationId), changes: { mouthMm: 'auto' } },
      },
    };
  // Square edges of a closed corner are bevelled one after the other.
  const corner = body.seams.find(({ edges }) =>
    edges.every(({ edge }) => press.plates.includes(edge.solid.plate.index)),
  );
  const [bevel] = corner ? bevellingMends(corner) : [];
  if (bevel) return { label: 'Bevel the edge to meet', command: bevel.command };
  const depth = formatLengthWithUnit(press.depthMm, unit, 2);
  const tries = [...shorterEdges(body, press, scale, depth), ...movedFolds(body, drawn, press, scale, depth)];
  return tries.find(({ command }) => isBetter(airframe, drawn, body, press, command)) ?? seeFolded(drawn.id);
}

type PressTry = Extract<Mend, { command: PartCommand }>;

/** The edges of two pressing plates drawn in by what they press. */
const shorterEdges = (body: FoldedPart, press: Clash, scale: number, depth: string): readonly PressTry[] =>
  edgesNear(body, press)
    .slice(0, MOST_EDGES_TRIED)
    .map(({ segmentId, isBoardLeft }) => ({
      label: `Shorten its edge by ${depth}`,
      command: {
        name: 'moveEdge',
        args: { segmentId: drawnId(segmentId), acrossMm: ((isBoardLeft ? 1 : -1) * press.depthMm) / scale },
      },
    }));

/** A fold of the plate in the middle between two that press, moved out by what they press. */
const movedFolds = (body: FoldedPart, drawn: Part, press: Clash, scale: number, depth: string): readonly PressTry[] =>
  foldedSizes(body)
    .filter(({ plate, ends }) => plate === middleBetween(body, press) && ends.every(({ operationId }) => operationId))
    .map((size) => ({
      label: `Move ${foldName(drawn, size.ends[1].operationId!)} by ${depth}`,
      command: sizeCommand(drawn, size, 'outer', size.outerMm + press.depthMm, scale),
    }));

/** The plate of board in the middle of the folds that lead from one pressing plate to the other. */
function middleBetween({ tree, solids }: FoldedPart, { plates: [a, b] }: Clash): number | undefined {
  const upFrom = (plate: number): readonly number[] => {
    const parent = tree.turns.find(({ child }) => child === plate)?.parent;
    return parent === undefined ? [plate] : [plate, ...upFrom(parent)];
  };
  const [up, down] = [upFrom(a), upFrom(b)],
    meeting = up.find((plate) => down.includes(plate));
  if (meeting === undefined) return undefined;
  const way = [...up.slice(0, up.indexOf(meeting) + 1), ...down.slice(0, down.indexOf(meeting)).reverse()].filter(
    (plate) => solids.find((solid) => solid.plate.index === plate)?.plate.kind === 'board',
  );
  return way.length > 2 ? way[Math.floor(way.length / 2)] : undefined;
}

function isBetter(airframe: Airframe, drawn: Part, before: FoldedPart, press: Clash, command: PartCommand): boolean {
  const edited = applyCommand(drawn, command);
  const after = edited.ok
    ? standingPart(
        { ...airframe, parts: airframe.parts.map((part) => (part === drawn ? edited.part : part)) },
        edited.part,
      )
    : undefined;
  if (!after) return false;
  const [old, now] = [pressesOf(before), pressesOf(after.body)];
  const isGone = !now.some(({ plates }) => plates.join() === press.plates.join());
  return isGone && now.length < old.length && openSeamsOf(after.body.seams).length <= openSeamsOf(before.seams).length;
}

function openSeamFault(part: Part, state: SeamState, { settings: { unit } }: Airframe, scale: number): Fault {
  const closing = closingMend(state, scale);
  return {
    code: 'SEAM_OPEN',
    partId: part.id,
    title: `A seam of ${part.name} is open by ${formatLengthWithUnit(state.gapMm, unit, 2)}`,
    detail: 'Its two edges are declared to meet when it is folded.',
    mend: closing ? { label: 'Move the edge to meet', command: closing.command } : seeFolded(part.id),
  };
}
