import { nextSaveState, retryAfterMs, type SaveEvent, type SaveState } from './save-state.ts';

const failed = (code: Extract<SaveEvent, { kind: 'failed' }>['code']): SaveEvent => ({ kind: 'failed', code });

test.each<[SaveState, SaveEvent, SaveState]>([
  ['saved', { kind: 'edited' }, 'unsaved'],
  ['unsaved', { kind: 'started' }, 'saving'],
  ['saving', { kind: 'edited' }, 'saving'],
  ['saving', { kind: 'acknowledged', isAll: true }, 'saved'],
  ['saving', { kind: 'acknowledged', isAll: false }, 'unsaved'],
  ['saving', failed('OFFLINE'), 'offline'],
  ['saving', failed('DATABASE_AWAY'), 'offline'],
  ['saving', failed('SERVER_FAULT'), 'offline'],
  ['offline', { kind: 'edited' }, 'offline'],
  ['saving', failed('STALE_SAVE'), 'stale'],
  ['stale', { kind: 'edited' }, 'stale'],
  ['saving', failed('SIGN_IN_NEEDED'), 'signed-out'],
  ['saving', failed('BAD_REQUEST'), 'refused'],
  ['refused', { kind: 'edited' }, 'unsaved'],
])('%s, then %j, is %s', (state, event, next) => expect(nextSaveState(state, event)).toBe(next));

test('tries wait longer with each failure, up to ten seconds', () =>
  expect([1, 2, 3, 4, 5, 50].map(retryAfterMs)).toEqual([1000, 2000, 5000, 10_000, 10_000, 10_000]));
