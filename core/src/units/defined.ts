/** Fields that may be undefined, where there is only what is there. */
type Defined<T> = { [Key in keyof T]?: Exclude<T[Key], undefined> };

/**
 * The fields that have a value; those that are undefined are left out, so that data is the same whether a thing was never there or is gone.
 * @example ({ id: 'p1', ...defined({ seams: undefined, place }) }) // { id: 'p1', place }
 */
export const defined = <T extends object>(fields: T): Defined<T> =>
  Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined)) as Defined<T>;
