/** How many results are remembered for one owner when nothing else is said. */
const USUAL_MOST = 8;

/**
 * Remembers what a pure function gives for an object, as long as the object lives: for data that is never changed, the object is its version.
 * What else the function is given must be told apart by a key; of one owner only the results asked for last are kept.
 *
 * @param make the function; its first argument is the owner
 * @param keyOf a text or number that is the same for arguments that give the same result; left out for a function of the owner alone
 * @param most results kept for one owner, at least 1
 * @example const area = memo((part: Part) => ...); area(part) // worked out once for each part
 */
export function memo<Owner extends object, Rest extends readonly unknown[], Result>(
  make: (owner: Owner, ...rest: Rest) => Result,
  keyOf?: (...rest: Rest) => string | number,
  most = USUAL_MOST,
): (owner: Owner, ...rest: Rest) => Result {
  return keyOf ? byKey(make, keyOf, most) : byOwner(make);
}

function byOwner<Owner extends object, Rest extends readonly unknown[], Result>(
  make: (owner: Owner, ...rest: Rest) => Result,
): (owner: Owner, ...rest: Rest) => Result {
  const remembered = new WeakMap<Owner, { readonly result: Result }>();
  return (owner, ...rest) => {
    const known = remembered.get(owner);
    if (known) return known.result;
    const result = make(owner, ...rest);
    remembered.set(owner, { result });
    return result;
  };
}

function byKey<Owner extends object, Rest extends readonly unknown[], Result>(
  make: (owner: Owner, ...rest: Rest) => Result,
  keyOf: (...rest: Rest) => string | number,
  most: number,
): (owner: Owner, ...rest: Rest) => Result {
  const remembered = new WeakMap<Owner, Map<string | number, Result>>();
  return (owner, ...rest) => {
    const key = keyOf(...rest);
    const known = remembered.get(owner) ?? new Map<string | number, Result>();
    const isKnown = known.has(key);
    const result = isKnown ? known.get(key)! : make(owner, ...rest);
    // A map keeps the order in which keys were set: the one asked for last stands last, the first is the oldest.
    known.delete(key);
    known.set(key, result);
    if (known.size > most) known.delete(known.keys().next().value!);
    if (!isKnown) remembered.set(owner, known);
    return result;
  };
}

const identities = new WeakMap<object, number>();
let identitiesGiven = 0;

/** A number that an object keeps as long as it lives, for the keys of a memory; 0 for nothing. It says nothing else and is never stored. */
export function identityOf(thing: object | undefined): number {
  if (!thing) return 0;
  const known = identities.get(thing);
  if (known !== undefined) return known;
  identitiesGiven += 1;
  identities.set(thing, identitiesGiven);
  return identitiesGiven;
}
