/** A list twice as long with the same beginning. */
export function grown<T extends Float64Array | Float32Array | Int32Array>(list: T, Kind: new (length: number) => T): T {
  const larger = new Kind(2 * list.length);
  larger.set(list);
  return larger;
}
