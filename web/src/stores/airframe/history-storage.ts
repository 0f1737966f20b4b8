import { createStore, del, delMany, get, getMany, set } from 'idb-keyval';

const store = createStore('grain-fold-history', 'steps');

/** Steps of the history in the browser's own storage, apart from the edits that wait for the server. */
export const historyStorage = {
  put: (key: string, value: unknown): Promise<void> => set(key, value, store),
  get: <T>(key: string): Promise<T | undefined> => get<T>(key, store),
  getAll: <T>(keys: readonly string[]): Promise<readonly (T | undefined)[]> => getMany<T>([...keys], store),
  remove: (keys: readonly string[]): Promise<void> =>
    keys.length === 1 ? del(keys[0]!, store) : delMany([...keys], store),
};
