import { PASSWORD, startTestServer, uniqueName, type TestServer } from '../../test/test-server.ts';
import { Account, SessionRow } from '../models/index.ts';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

test('sign up, who am I, sign out, sign in', async () => {
  const name = uniqueName();
  const browser = server.guest();
  await browser.post('/accounts', { name, password: PASSWORD }).expect(201);
  expect((await browser.get('/session')).body).toMatchObject({ me: { name, isDemo: false } });
  await browser.send('delete', '/session').expect(204);
  expect((await browser.get('/session')).body.me).toBeNull();
  await browser
    .get('/airframes')
    .expect(401)
    .expect('Content-Type', /problem\+json/);
  await browser.post('/session', { name, password: PASSWORD }).expect(200);
  await browser.get('/airframes').expect(200);
});

test('a wrong password and an unknown name are told apart by nobody', async () => {
  const name = uniqueName();
  await server.guest().post('/accounts', { name, password: PASSWORD }).expect(201);
  const wrong = await server.guest().post('/session', { name, password: 'not the password' }).expect(401);
  const unknown = await server.guest().post('/session', { name: uniqueName(), password: PASSWORD }).expect(401);
  expect(wrong.body).toEqual(unknown.body);
  await server
    .guest()
    .post('/accounts', { name, password: PASSWORD })
    .expect(409)
    .expect(({ body }) => expect(body.code).toBe('NAME_TAKEN'));
});

test('passwords and session keys are nowhere in the database in the clear', async () => {
  const name = uniqueName();
  const answer = await server.guest().post('/accounts', { name, password: PASSWORD });
  const account = await Account.findOne({ where: { name } });
  expect(account!.passwordHash).toMatch(/^\$argon2id\$/);
  const cookie = String(answer.headers['set-cookie']);
  expect(cookie).toMatch(/httponly/i);
  expect(cookie).toMatch(/samesite=strict/i);
  const key = /grain_fold_session=([^;]+)/.exec(cookie)![1]!;
  const rows = await SessionRow.findAll();
  expect(rows.some(({ keyHash }) => keyHash === key)).toBe(false);
});

test.each<[string, object, string]>([
  ['a password of nine letters', { name: 'short-one', password: 'ninechars' }, 'password'],
  ['no name', { password: PASSWORD }, 'name'],
  ['a blank name', { name: '   ', password: PASSWORD }, 'name'],
  ['a list for a name', { name: ['a'], password: PASSWORD }, 'name'],
  ['an extra field', { name: 'someone', password: PASSWORD, isDemo: true }, 'isDemo'],
  ['a password of 10,000 letters', { name: 'long-one', password: 'x'.repeat(10_000) }, 'password'],
])('sign-up with %s is refused by field', async (_, body, field) => {
  const { body: problem } = await server.guest().post('/accounts', body).expect(400);
  expect(problem.fields.map((one: { field: string }) => one.field)).toContain(field);
});

test('tries to sign in are limited, and say so', async () => {
  const strict = await startTestServer({ signInTries: 3 });
  const browser = strict.guest();
  for (let attempt = 0; attempt < 3; attempt++)
    await browser.post('/session', { name: 'nobody', password: 'wrong password' }).expect(401);
  await browser
    .post('/session', { name: 'nobody', password: 'wrong password' })
    .expect(429)
    .expect(({ body }) => expect(body.code).toBe('TOO_MANY_TRIES'));
  await strict.close();
});

test('a change that comes from another site is refused, whatever the cookie', async () => {
  const response = await fetch(`${server.address}/api/accounts`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', Origin: 'http://elsewhere.example' },
    body: JSON.stringify({ name: uniqueName(), password: PASSWORD }),
  });
  expect(response.status).toBe(403);
  expect((await fetch(`${server.address}/api/accounts`, { method: 'POST', body: '{}' })).status).toBe(403);
});

test('broken JSON, unknown routes and methods get a problem, never a stack', async () => {
  const broken = await fetch(`${server.address}/api/session`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', Origin: server.address },
    body: '{"name": ',
  });
  expect(broken.status).toBe(400);
  expect(await broken.text()).not.toContain('node_modules');
  await server
    .guest()
    .get('/nothing/here')
    .expect(404)
    .expect('Content-Type', /problem\+json/);
  expect((await server.guest().get('/health')).body).toEqual({ ok: true });
});
