import { PASSWORD, startTestServer, uniqueName, type TestServer } from '../../test/test-server.ts';
import { SessionRow, Account } from '../models/index.ts';
import { foldedName } from './folded-name.ts';
import { passwordFault } from './password-fault.ts';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

test.each([
  ['Ada', 'ADA'],
  ['paul', 'раul'], // Cyrillic er and a
  ['Bill 10', 'BiIl lo'],
  ['Zoë', 'zoe'],
  ['ｗｉｄｅ', 'wide'],
])('"%s" and "%s" are one name', (one, other) => {
  expect(foldedName(one)).toBe(foldedName(other));
});

test.each([
  ['1234567890', 'one of the commonest'],
  ['aaaaaaaaaaaa', 'few letters'],
  ['zyxwvutsrqp', 'in their order'],
  ['Long-Name.9', 'your name'],
  ['ﬁﬁﬁ', 'at least 10'],
])('the password "%s" is refused: %s', (password, words) => {
  expect(passwordFault(password, 'long-name.9')).toContain(words);
});
test('a password of four plain words is taken', () => {
  expect(passwordFault('eleven wide planks', 'someone')).toBeUndefined();
});

test('a name that looks like another’s is taken; whoever has it signs in however it is typed', async () => {
  const name = `O${uniqueName()}`;
  await server.guest().post('/accounts', { name, password: PASSWORD }).expect(201);
  await server
    .guest()
    .post('/accounts', { name: `0${name.slice(1).toUpperCase()}`, password: PASSWORD })
    .expect(409)
    .expect(({ body }) => expect(body.code).toBe('NAME_TAKEN'));
  await server.guest().post('/session', { name: name.toUpperCase(), password: PASSWORD }).expect(200);
});

test('of two accounts that looked alike before names were folded, both are signed in to', async () => {
  const name = uniqueName(),
    other = `${name}x`;
  for (const one of [name, other])
    await server.guest().post('/accounts', { name: one, password: PASSWORD }).expect(201);
  await Account.update({ foldedName: `${foldedName(name)} later` }, { where: { name: other } });
  for (const one of [name, other])
    expect((await server.guest().post('/session', { name: one, password: PASSWORD }).expect(200)).body.name).toBe(one);
});

test('a password typed with joined or with parted letters is the same', async () => {
  const name = uniqueName();
  await server.guest().post('/accounts', { name, password: 'zwölf weite Bretter' }).expect(201);
  await server.guest().post('/session', { name, password: 'zwo\u0308lf weite Bretter' }).expect(200);
});

test('another password signs every other browser out and keeps this one; the present one must be right', async () => {
  const name = uniqueName(),
    [here, there] = [server.guest(), server.guest()];
  await here.post('/accounts', { name, password: PASSWORD }).expect(201);
  await there.post('/session', { name, password: PASSWORD }).expect(200);
  await here.post('/account/password', { present: 'not the password', next: 'nine narrow spars' }).expect(401);
  await here
    .post('/account/password', { present: PASSWORD, next: '1234567890' })
    .expect(400)
    .expect(({ body }) => expect(body.fields[0].field).toBe('next'));
  await there.get('/airframes').expect(200);
  await here.post('/account/password', { present: PASSWORD, next: 'nine narrow spars' }).expect(200);
  await here.get('/airframes').expect(200);
  await there.get('/airframes').expect(401);
  await server.guest().post('/session', { name, password: PASSWORD }).expect(401);
  await server.guest().post('/session', { name, password: 'nine narrow spars' }).expect(200);
  await server.guest().post('/account/password', { present: PASSWORD, next: 'nine narrow spars' }).expect(401);
});

test('wrong passwords for one name are limited wherever they come from, and it is told when the next is possible', async () => {
  const name = uniqueName();
  await server.guest().post('/accounts', { name, password: PASSWORD }).expect(201);
  for (let wrong = 0; wrong < 20; wrong++)
    await server.guest().post('/session', { name, password: 'not the password' }).expect(401);
  const refused = await server.guest().post('/session', { name: name.toUpperCase(), password: PASSWORD }).expect(429);
  expect(Number(refused.headers['retry-after'])).toBeGreaterThan(600);
  expect(refused.body.detail).toMatch(/in \d+ s/);
});

test('a session key has 192 random bits, and an account has twenty browsers at most', async () => {
  const name = uniqueName();
  const answer = await server.guest().post('/accounts', { name, password: PASSWORD });
  const key = /grain_fold_session=([^;]+)/.exec(String(answer.headers['set-cookie']))![1]!;
  expect(Buffer.from(key, 'base64url')).toHaveLength(24);
  const { id } = (await Account.findOne({ where: { name } }))!;
  for (let browser = 0; browser < 22; browser++)
    await server.guest().post('/session', { name, password: PASSWORD }).expect(200);
  expect(await SessionRow.count({ where: { accountId: id } })).toBe(20);
}, 30_000);
