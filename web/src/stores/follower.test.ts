import type { Worked } from '../workers/worked.ts';
import { Follower } from './follower.ts';

/** Questions as they are asked, answered by hand, and what is told. */
function desk() {
  const asked: {
      readonly what: number;
      readonly answer: (worked: Worked<string>) => void;
      readonly fail: () => void;
    }[] = [],
    told: (string | undefined)[] = [];
  const follower = new Follower<number, string>(
    async (what) => new Promise((answer, fail) => asked.push({ what, answer, fail })),
    (answer) => told.push(answer),
  );
  return { asked, told, follower };
}
const settled = async (): Promise<void> => new Promise((done) => setTimeout(done));

test('one question at a time, the newest next', async () => {
  const { asked, told, follower } = desk();
  for (const what of [1, 2, 3]) follower.follow(what);
  expect(asked.map(({ what }) => what)).toEqual([1]);
  asked[0]!.answer({ ok: true, value: 'one' });
  await settled();
  expect(asked.map(({ what }) => what)).toEqual([1, 3]);
  asked[1]!.answer({ ok: true, value: 'three' });
  await settled();
  expect(told).toEqual(['one', 'three']);
  expect(asked).toHaveLength(2);
});

test('what was stopped is not told when its answer comes', async () => {
  const { asked, told, follower } = desk();
  follower.follow(1);
  follower.stop();
  asked[0]!.answer({ ok: true, value: 'late' });
  await settled();
  expect(told).toEqual([undefined]);
  follower.follow(2);
  asked[1]!.answer({ ok: true, value: 'again' });
  await settled();
  expect(told).toEqual([undefined, 'again']);
});

test('a question that cannot be answered, or fails, leaves the next to be asked', async () => {
  const { asked, told, follower } = desk();
  follower.follow(1);
  asked[0]!.answer({ ok: false, message: 'no parts' });
  await settled();
  follower.follow(2);
  asked[1]!.fail();
  await settled();
  follower.follow(3);
  asked[2]!.answer({ ok: true, value: 'three' });
  await settled();
  expect(told).toEqual(['three']);
});
