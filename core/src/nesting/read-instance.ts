const MOST_POINTS = 20_000;
const LONGEST_MM = 100_000;

/** Finds what is wrong with nest data from a file: the field and the reason, or undefined when it can be nested. */
export function instanceFault(data: unknown): string | undefined {
  if (!isObject(data)) return 'the file must hold one JSON object with boards and parts';
  if (!Array.isArray(data.boards) || data.boards.length === 0) return 'boards: at least one is needed';
  if (!Array.isArray(data.parts) || data.parts.length === 0) return 'parts: at least one is needed';
  if (!isLength(data.clearance, 0)) return `clearance: must be 0 or more mm, got ${String(data.clearance)}`;
  if (data.edgeMargin !== undefined && !isLength(data.edgeMargin, 0))
    return `edgeMargin: must be 0 or more mm, got ${String(data.edgeMargin)}`;
  if (data.kerf !== undefined && !isLength(data.kerf, 0)) return `kerf: must be 0 or more mm, got ${String(data.kerf)}`;
  return (
    firstOf(data.boards, 'boards', boardFault) ??
    firstOf(data.parts, 'parts', partFault) ??
    repeatedId(data.boards, 'boards') ??
    repeatedId(data.parts, 'parts') ??
    pairsFault(data.sideBySide, data.parts)
  );
}

function pairsFault(pairs: unknown, parts: readonly unknown[]): string | undefined {
  if (pairs === undefined) return undefined;
  if (!Array.isArray(pairs)) return 'sideBySide: must be a list of pairs of ids';
  const known = new Set(parts.map((part) => (part as { id: string }).id)),
    paired = new Set<string>();
  for (const [index, pair] of pairs.entries()) {
    if (!Array.isArray(pair) || pair.length !== 2 || !pair.every((id) => known.has(id as string)))
      return `sideBySide[${index}]: must be the ids of two parts`;
    const twice = pair.find((id) => paired.has(id as string)) as string | undefined;
    if (twice !== undefined) return `sideBySide[${index}]: "${twice}" is in a pair already`;
    for (const id of pair) paired.add(id as string);
  }
  return undefined;
}

type Json = Readonly<Record<string, unknown>>;
const isObject = (data: unknown): data is Json => typeof data === 'object' && data !== null && !Array.isArray(data);
const isLength = (value: unknown, least: number): value is number =>
  typeof value === 'number' && Number.isFinite(value) && value >= least && value <= LONGEST_MM;
const isCount = (value: unknown): boolean =>
  typeof value === 'number' && Number.isInteger(value) && value >= 1 && value <= 10_000;

function firstOf(
  list: readonly unknown[],
  field: string,
  faultOf: (one: Json) => string | undefined,
): string | undefined {
  for (const [index, one] of list.entries()) {
    const fault = isObject(one) ? faultOf(one) : 'must be an object';
    if (fault) return `${field}[${index}].${fault}`;
  }
  return undefined;
}

function repeatedId(list: readonly unknown[], field: string): string | undefined {
  const ids = list.map((one) => (one as { id: string }).id);
  const repeated = ids.findIndex((id, index) => ids.indexOf(id) !== index);
  return repeated < 0 ? undefined : `${field}[${repeated}].id: "${ids[repeated]}" is used twice`;
}

function boardFault(board: Json): string | undefined {
  if (typeof board.id !== 'string' || board.id === '') return 'id: must be a name';
  if (!isLength(board.width, 1) || !isLength(board.height, 1)) return 'width, height: must be at least 1 mm';
  if (!isCount(board.count)) return `count: must be a whole number from 1, got ${String(board.count)}`;
  return (
    (board.polygon === undefined ? undefined : ringFault(board.polygon, 'polygon')) ??
    ringsFault(board.holes) ??
    takenFault(board)
  );
}

function takenFault({ taken, count }: Json): string | undefined {
  if (taken === undefined) return undefined;
  if (!Array.isArray(taken)) return 'taken: must be a list of shapes';
  if (count !== 1) return `count: a board with shapes on it is there once, got ${String(count)}`;
  for (const [index, shape] of taken.entries()) {
    const fault = isObject(shape)
      ? (ringFault(shape.polygon, 'polygon') ?? ringsFault(shape.holes))
      : 'must be an object';
    if (fault) return `taken[${index}].${fault}`;
  }
  return undefined;
}

function partFault(part: Json): string | undefined {
  if (typeof part.id !== 'string' || part.id === '') return 'id: must be a name';
  if (!isCount(part.quantity)) return `quantity: must be a whole number from 1, got ${String(part.quantity)}`;
  if (
    !Array.isArray(part.rotations) ||
    part.rotations.length === 0 ||
    part.rotations.length > 720 ||
    !part.rotations.every((turn) => typeof turn === 'number' && Number.isFinite(turn))
  )
    return 'rotations: a list of 1 to 720 turns in degrees is needed';
  if (part.turnsFreely !== undefined && typeof part.turnsFreely !== 'boolean')
    return 'turnsFreely: must be true or false, or left out';
  if (part.boards !== undefined && !(Array.isArray(part.boards) && part.boards.every((id) => typeof id === 'string')))
    return 'boards: must be a list of ids of boards';
  return ringFault(part.polygon, 'polygon') ?? ringsFault(part.holes);
}

function ringsFault(holes: unknown): string | undefined {
  if (holes === undefined) return undefined;
  if (!Array.isArray(holes)) return 'holes: must be a list of polygons';
  for (const [index, hole] of holes.entries()) {
    const fault = ringFault(hole, `holes[${index}]`);
    if (fault) return fault;
  }
  return undefined;
}

function ringFault(ring: unknown, field: string): string | undefined {
  if (!Array.isArray(ring) || ring.length < 3 || ring.length > MOST_POINTS)
    return `${field}: needs 3 to ${MOST_POINTS} points`;
  const bad = ring.findIndex(
    (p) =>
      !(
        Array.isArray(p) &&
        p.length === 2 &&
        p.every((v) => typeof v === 'number' && Number.isFinite(v) && Math.abs(v) <= LONGEST_MM)
      ),
  );
  if (bad >= 0) return `${field}[${bad}]: must be two numbers within ±${LONGEST_MM}`;
  const area = ring.reduce((sum: number, [x, y]: XYPair, index: number) => {
    const [nextX, nextY] = ring[(index + 1) % ring.length] as XYPair;
    return sum + x * nextY - nextX * y;
  }, 0);
  return Math.abs(area) < 1e-6 ? `${field}: encloses no area` : undefined;
}
type XYPair = readonly [number, number];
