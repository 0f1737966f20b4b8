/** How many results are remembered for one owner when nothing else is said. */
const USUAL_MOST = 8;

/**
 * Remembers what a pure function gives for an object, as long as the object lives: for data that is never changed, the object is its version.
 * What else the function is given must be told apart by a key; of one owner only the results asked for last are kept.
 *
 * @param make the function; its first argument is the owner
 * @param keyOf a text or number that is the same for arguments that give the same result; may be left out for a function of the owner alone
 * @param most results kept for one owner, at least 1
 * @example const area = memo((part: Part) => ...); area(part) // worked out once for each part
 */
export function memo<Owner extends object, Rest extends readonly unknown[], Result>(
  make: (owner: Owner, ...rest: Rest) => Result,
  keyOf?: (...rest: Rest) => string | number,
  most = USUAL_MOST,
): (owner: Owner, ...rest: Rest) => Result {
  const remembered = new WeakMap<Owner, Map<string | number, Result>>();
  return (owner, ...rest) => {
    const key = keyOf ? keyOf(...rest) : '';
    const known = remembered.get(owner) ?? new Map<string | number, Result>();
    if (known.has(key)) {
      const found = known.get(key)!;
      if (known.size > 1) {
        known.delete(key);
        known.set(key, found);
      }
      return found;
    }
    const made = make(owner, ...rest);
    known.set(key, made);
    if (known.size > most) known.delete(known.keys().next().value!);
    remembered.set(owner, known);
    return made;
  };
}
