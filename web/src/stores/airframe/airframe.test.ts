import { jest } from '@jest/globals';
import type { OpenedAirframe, SaveAirframe } from '@grain-fold/contract';
import { DEFAULT_SETTINGS, type Airframe } from '@grain-fold/core/airframe';
import { emptyPart } from '@grain-fold/core/part';
import { rectangleDraft } from '@grain-fold/core/paths';
import { createPinia, setActivePinia } from 'pinia';

const kept = new Map<string, unknown>();
let isClosed = false;
jest.unstable_mockModule('./unsaved-edits.ts', () => ({
  unsavedEdits: {
    keep: (id: string, edits: unknown) => {
      kept.set(id, edits);
      return Promise.resolve();
    },
    find: (id: string) => (isClosed ? Promise.reject(new Error('closed')) : Promise.resolve(kept.get(id))),
    forget: (id: string) => {
      kept.delete(id);
      return Promise.resolve();
    },
  },
}));
const storage = new Map<string, unknown>();
jest.unstable_mockModule('./history-storage.ts', () => ({
  historyStorage: {
    put: (key: string, value: unknown) => Promise.resolve(void storage.set(key, structuredClone(value))),
    get: (key: string) => Promise.resolve(storage.get(key)),
    getAll: (keys: readonly string[]) => Promise.resolve(keys.map((key) => storage.get(key))),
    remove: (keys: readonly string[]) => Promise.resolve(keys.forEach((key) => storage.delete(key))),
  },
}));
const { useAirframe } = await import('./airframe.ts');

const start: Airframe = {
  id: 'x',
  name: 'Tern',
  settings: DEFAULT_SETTINGS,
  parts: [emptyPart('a', 'Rib', 'foam')],
  boards: [],
};
const opened = (airframe: Airframe, version = 1): OpenedAirframe => ({
  airframe,
  version,
  savedAt: '2026-01-02T03:04:05Z',
  versions: {
    settings: 1,
    parts: Object.fromEntries(airframe.parts.map(({ id }) => [id, version])),
    boards: {},
    nest: 0,
    plan: 0,
  },
});

/** A server that acknowledges saves, until it is told to answer otherwise. */
let saves: SaveAirframe[] = [],
  answer: ((body: SaveAirframe) => Response | Promise<Response>) | undefined;
const json = (body: unknown, status = 200): Response =>
  new Response(JSON.stringify(body), {
    status,
    headers: { 'Content-Type': status === 200 ? 'application/json' : 'application/problem+json' },
  });
const receipt = (body: SaveAirframe): Response =>
  json({
    version: saves.length + 1,
    savedAt: '2026-01-02T03:05:00Z',
    parts: Object.fromEntries((body.parts ?? []).map(({ id, basedOn }) => [id, basedOn + 1])),
    boards: {},
  });
beforeEach(() => {
  jest.useFakeTimers({ doNotFake: ['performance', 'queueMicrotask'] });
  setActivePinia(createPinia());
  kept.clear();
  storage.clear();
  saves = [];
  answer = undefined;
  globalThis.fetch = ((_: string, init: RequestInit) => {
    if (init.method !== 'POST') return Promise.resolve(json(opened(start)));
    const body = JSON.parse(init.body as string) as SaveAirframe;
    if (answer) return Promise.resolve(answer(body));
    saves.push(body);
    return Promise.resolve(receipt(body));
  }) as typeof fetch;
});
afterEach(() => {
  jest.useRealTimers();
});
const work = () => {
  const store = useAirframe();
  store.adopt(opened(start));
  return store;
};
const rename = (store: ReturnType<typeof useAirframe>, name: string): boolean =>
  store.run('a', { name: 'changeDetails', args: { changes: { name } } });
const settle = async (milliseconds: number): Promise<void> => {
  await jest.advanceTimersByTimeAsync(milliseconds);
};

test('undo and redo by name, and a new edit forgets what was undone', () => {
  const store = work();
  rename(store, 'Rib 1');
  store.run('a', { name: 'drawOutline', args: { draft: rectangleDraft({ x: 0, y: 0 }, 10, 10) } });
  expect(store.undoLabel).toBe('Draw outline');
  store.undo();
  store.undo();
  expect(store.airframe).toEqual(start);
  expect(store.redoLabel).toBe('Rename part');
  store.redo();
  expect(store.airframe!.parts[0]!.name).toBe('Rib 1');
  rename(store, 'Rib 2');
  expect(store.redoLabel).toBeUndefined();
});

test('a thousand steps can be walked back to any of them and forward again', () => {
  const store = work();
  const names = Array.from({ length: 1000 }, (_, index) => `Rib ${index}`);
  names.forEach((name) => rename(store, name));
  const name = (): string => store.airframe!.parts[0]!.name;
  store.walk(-400);
  expect(name()).toBe('Rib 599');
  store.walk(150);
  expect(name()).toBe('Rib 749');
  store.walk(-5000);
  expect(store.airframe).toEqual(start);
  store.walk(5000);
  expect(name()).toBe('Rib 999');
  expect(store.history.past).toHaveLength(1000);
  store.walk(-1);
  rename(store, 'Other');
  expect(store.history.future).toEqual([]);
});

test('a refused command changes nothing and says why; of several commands, all are done or none', () => {
  const store = work();
  expect(store.run('a', { name: 'changeDetails', args: { changes: { quantity: 0 } } })).toBeUndefined();
  expect(store.message).toContain('got 0');
  expect(
    store.runAll(
      'a',
      [
        { name: 'changeDetails', args: { changes: { name: 'B' } } },
        { name: 'removeNode', args: { nodeId: 'nowhere' } },
      ],
      'Both',
    ),
  ).toBeUndefined();
  expect(store.airframe).toEqual(start);
  expect(store.undoLabel).toBeUndefined();
});

test('edits are saved together half a second after the last, and only what changed is sent', async () => {
  const store = work();
  rename(store, 'R');
  rename(store, 'Ri');
  expect(kept.has('x')).toBe(true);
  await settle(600);
  expect(saves).toHaveLength(1);
  expect(saves[0]).toMatchObject({
    label: 'Rename part · Ri',
    parts: [{ id: 'a', basedOn: 1, value: { name: 'Ri' } }],
  });
  expect(saves[0]!.settings).toBeUndefined();
  expect(store.saveState).toBe('saved');
  expect(kept.has('x')).toBe(false);
  rename(store, 'Rib');
  await settle(600);
  expect(saves[1]).toMatchObject({ parts: [{ basedOn: 2 }] });
});

test('a version is called by its steps and the parts they changed, each once', async () => {
  const store = work();
  rename(store, 'Rib');
  store.setParts('New part', [...store.airframe!.parts, emptyPart('b', 'Former', 'foam')]);
  store.run('a', { name: 'drawOutline', args: { draft: rectangleDraft({ x: 0, y: 0 }, 10, 10) } });
  await settle(600);
  expect(saves[0]!.label).toBe('Rename part, New part, Draw outline · Rib, Former');
  store.setParts('Remove Former', store.airframe!.parts.slice(0, 1));
  await settle(600);
  expect(saves[1]!.label).toBe('Remove Former');
  store.undo();
  await settle(600);
  expect(saves[2]!.label).toBe('Undo · Former');
});

test('an edit made while a save is under way is saved after it', async () => {
  const store = work();
  let finish: (() => void) | undefined;
  answer = (body) =>
    new Promise((resolve) => {
      finish = () => {
        saves.push(body);
        resolve(receipt(body));
      };
    });
  rename(store, 'First');
  await settle(600);
  rename(store, 'Second');
  answer = undefined;
  finish!();
  await settle(1200);
  expect(saves.map(({ parts }) => parts![0]!.value!.name)).toEqual(['First', 'Second']);
  expect(store.saveState).toBe('saved');
});

test('without a server the edit is kept and tried again, longer and longer apart', async () => {
  const store = work();
  let tries = 0;
  answer = () => {
    tries += 1;
    throw new TypeError('no network');
  };
  rename(store, 'Kept');
  await settle(600);
  expect(store.saveState).toBe('offline');
  expect(kept.get('x')).toMatchObject({ airframe: { parts: [{ name: 'Kept' }] } });
  await settle(1000);
  expect(tries).toBe(2);
  await settle(1000);
  expect(tries).toBe(2);
  answer = undefined;
  await settle(2000);
  expect(store.saveState).toBe('saved');
  expect(saves).toHaveLength(1);
});

test('a stale save stops saving until it is settled, and keeping both loses nothing', async () => {
  const store = work();
  const theirs = opened({ ...start, parts: [{ ...start.parts[0]!, name: 'Theirs' }] }, 2);
  answer = () =>
    json(
      {
        code: 'STALE_SAVE',
        status: 409,
        title: '',
        detail: 'Newer.',
        mend: 'Choose.',
        conflicts: [{ kind: 'part', id: 'a', current: { version: 2, value: theirs.airframe.parts[0] } }],
      },
      409,
    );
  rename(store, 'Mine');
  await settle(600);
  expect(store.saveState).toBe('stale');
  expect(store.conflicts).toHaveLength(1);
  await settle(20_000);
  expect(saves).toHaveLength(0);
  answer = undefined;
  const fetchNow = globalThis.fetch;
  globalThis.fetch = ((url: string, init: RequestInit) =>
    init.method === 'GET' ? Promise.resolve(json(theirs)) : fetchNow(url, init)) as typeof fetch;
  await store.settle('both');
  await settle(600);
  expect(store.airframe!.parts.map(({ name }) => name)).toEqual(['Theirs', 'Mine (mine)']);
  expect(saves[0]!.parts!.map(({ basedOn }) => basedOn)).toEqual([0]);
});

test('unsaved edits found in the browser come back on the versions they were made from', async () => {
  kept.set('x', {
    airframe: { ...start, parts: [{ ...start.parts[0]!, name: 'From before' }] },
    base: start,
    versions: opened(start).versions,
    at: '2026-01-01T00:00:00Z',
  });
  const store = useAirframe();
  await store.open('x');
  expect(store.found).toBeDefined();
  expect(store.airframe!.parts[0]!.name).toBe('Rib');
  store.bringBack();
  expect(store.airframe!.parts[0]!.name).toBe('From before');
  await settle(600);
  expect(saves[0]).toMatchObject({ parts: [{ id: 'a', basedOn: 1, value: { name: 'From before' } }] });
  store.undo();
  expect(store.airframe!.parts[0]!.name).toBe('Rib');
});

/** Closes the tab and opens the airframe in another, as the server then holds it. */
async function opensAgain(served: OpenedAirframe) {
  setActivePinia(createPinia());
  const answering = globalThis.fetch;
  globalThis.fetch = ((url: string, init: RequestInit) =>
    init.method === 'GET' ? Promise.resolve(json(served)) : answering(url, init)) as typeof fetch;
  const store = useAirframe();
  await store.open('x');
  return store;
}

test('the last hundred steps outlive a closed tab, those that were taken back too; another version has none', async () => {
  const store = work();
  for (let at = 1; at <= 105; at++) rename(store, `Rib ${at}`);
  store.walk(-2);
  await settle(600);
  const now = store.airframe!;
  const again = await opensAgain(opened(now, store.version));
  expect(again.history.past).toHaveLength(100);
  expect(again.redoLabel).toBe('Rename part');
  again.walk(2);
  expect(again.airframe!.parts[0]!.name).toBe('Rib 105');
  again.walk(-102);
  expect(again.airframe!.parts[0]!.name).toBe('Rib 3');
  expect((await opensAgain(opened(now, store.version + 7))).undoLabel).toBeUndefined();
});
test('a browser that keeps nothing opens the airframe all the same', async () => {
  isClosed = true;
  const store = await opensAgain(opened(start));
  isClosed = false;
  expect([store.airframe?.name, store.found, store.undoLabel]).toEqual(['Tern', undefined, undefined]);
});
test('edits brought back come with their steps; edits that did arrive are not offered', async () => {
  const store = work();
  answer = () => {
    throw new TypeError('no network');
  };
  rename(store, 'Rib 1');
  rename(store, 'Rib 2');
  await settle(600);
  const again = await opensAgain(opened(start));
  again.bringBack();
  again.undo();
  expect(again.airframe!.parts[0]!.name).toBe('Rib 1');
  again.redo();
  const arrived = await opensAgain(opened(again.airframe!, 2));
  expect(arrived.found).toBeUndefined();
  expect(arrived.history.past).toHaveLength(2);
});

test('an edit of several parts is one step, and none of it happens when one of them is refused', () => {
  const store = work();
  const draw = (partId: string) => ({
    partId,
    command: { name: 'drawOutline' as const, args: { draft: rectangleDraft({ x: 0, y: 0 }, 40, 20) } },
  });
  store.setParts('New part', [...store.airframe!.parts, emptyPart('b', 'Former', 'foam')]);
  const steps = store.history.past.length;
  expect(store.runEach([draw('a'), draw('b')], 'Draw both')).toBe(true);
  expect([store.history.past.length - steps, store.undoLabel]).toEqual([1, 'Draw both']);
  expect(store.airframe!.parts.map(({ contours }) => contours.length)).toEqual([1, 1]);
  store.undo();
  expect(store.runEach([draw('a'), draw('gone')], 'Draw both')).toBe(false);
  expect(store.message).toBe('That part is gone.');
  expect(store.airframe!.parts.map(({ contours }) => contours.length)).toEqual([0, 0]);
});

test('a save whose answer is lost or cut off is sent again as it was, and what was edited since on top of it: no conflict with oneself', async () => {
  const store = work();
  const arrived: SaveAirframe[] = [];
  const lost = [
    () => Promise.reject(new TypeError('the network is gone')),
    () => Promise.resolve(new Response('{"version": 2, "savedAt": "20', { status: 200 })),
  ];
  answer = (body) => {
    arrived.push(body);
    return lost[arrived.length - 1]?.() ?? receipt(body);
  };
  rename(store, 'First');
  await settle(600);
  expect(store.saveState).toBe('offline');
  rename(store, 'Second');
  await settle(6000);
  expect(store.saveState).toBe('saved');
  const [first, again, third, fourth] = arrived;
  expect([again, third]).toEqual([first, first]);
  expect(fourth).toMatchObject({ parts: [{ basedOn: 2, value: { name: 'Second' } }] });
  expect(fourth!.id).not.toBe(first!.id);
  expect(fourth!.client).toBe(first!.client);
});

test('a save that was under way when the page was closed is sent again as it was once the edits are brought back', async () => {
  const store = work();
  answer = () => Promise.reject(new TypeError('the network is gone'));
  rename(store, 'First');
  await settle(600);
  rename(store, 'Second');
  jest.clearAllTimers(); // the page is closed
  const { sent } = kept.get('x') as { sent: { changes: SaveAirframe } };
  setActivePinia(createPinia());
  const next = useAirframe();
  const arrived: SaveAirframe[] = [];
  answer = (body) => {
    arrived.push(body);
    return receipt(body);
  };
  await next.open('x');
  next.bringBack();
  await settle(3000);
  expect(arrived[0]).toEqual(sent.changes);
  expect(arrived[1]).toMatchObject({ parts: [{ basedOn: 2, value: { name: 'Second' } }] });
  expect(next.saveState).toBe('saved');
});
