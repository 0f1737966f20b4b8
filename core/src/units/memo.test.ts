import fc from 'fast-check';
import { memo } from './memo.ts';

test('a function is worked out once for each owner and key, and gives the same as without a memory', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.integer({ min: 0, max: 3 }), fc.integer({ min: 0, max: 12 })), { maxLength: 60 }),
      fc.integer({ min: 1, max: 5 }),
      (calls, most) => {
        const owners = [{ n: 1 }, { n: 2 }, { n: 3 }, { n: 4 }];
        const remembered = memo((owner: { n: number }, by: number) => owner.n * 100 + by, String, most);
        for (const [at, by] of calls) expect(remembered(owners[at]!, by)).toBe(owners[at]!.n * 100 + by);
      },
    ),
  );
});

test('only the results asked for last are kept', () => {
  let worked = 0;
  const owner = {};
  const squared = memo(
    (_owner: object, n: number) => {
      worked += 1;
      return n * n;
    },
    (n) => n,
    2,
  );
  for (const n of [1, 2, 1, 3, 1, 2]) squared(owner, n);
  // 1 and 2 are made, 1 is known, 3 pushes 2 out, 1 is known, 2 is made again.
  expect(worked).toBe(4);
});

test('an undefined result is remembered too', () => {
  let worked = 0;
  const nothing = memo((_owner: object) => {
    worked += 1;
    return undefined;
  });
  const owner = {};
  nothing(owner);
  nothing(owner);
  expect(worked).toBe(1);
});
