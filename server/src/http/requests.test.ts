import http from 'node:http';
import net from 'node:net';
import { startTestServer, type Browser, type TestServer } from '../../test/test-server.ts';

let server: TestServer, mine: Browser;
beforeAll(async () => {
  server = await startTestServer({ names: ['workshop.example'] });
  mine = await server.newcomer();
});
afterAll(() => server.close());

interface Answer {
  readonly status: number;
  readonly body: string;
  /** Bytes that were sent before the answer came. */
  readonly sent: number;
}
/** Sends a body piece by piece until the server answers. */
function stream(
  path: string,
  piece: string,
  most: number,
  headers: Readonly<Record<string, string>> = {},
): Promise<Answer> {
  return new Promise((resolve, reject) => {
    let sent = 0,
      isAnswered = false;
    const request = http.request(`${server.address}/api${path}`, {
      method: 'POST',
      headers: { Origin: server.address, 'Content-Type': 'application/json', ...headers },
    });
    request.on('response', (response) => {
      isAnswered = true;
      let body = '';
      response.on('data', (chunk: Buffer) => (body += chunk.toString()));
      response.on('end', () => resolve({ status: response.statusCode!, body, sent }));
    });
    // The server may cut off what it does not read.
    request.on('error', (error) => (isAnswered ? undefined : reject(error)));
    const send = (): void => {
      if (isAnswered) return;
      if (sent >= most) return void request.end();
      sent += piece.length;
      request.write(piece, () => setImmediate(send));
    };
    send();
  });
}
const MEGABYTE = 1024 * 1024;

test.each([
  ['/airframes/import', 401],
  ['/airframes/6f9619ff-8b86-4d01-b42d-00cf4fc964ff/save', 401],
  ['/airframes', 401],
  ['/nothing-here', 404],
])('a guest’s body to %s is answered %i before it is read', async (path, status) => {
  const { status: got, sent } = await stream(path, '['.repeat(64 * 1024), 64 * MEGABYTE);
  expect(got).toBe(status);
  expect(sent).toBeLessThan(4 * MEGABYTE);
});

test('a body for signing in may be short only, whatever length it tells', async () => {
  const long = await stream('/session', 'x'.repeat(8 * 1024), 8 * MEGABYTE);
  expect([long.status, JSON.parse(long.body).code]).toEqual([413, 'FILE_TOO_LARGE']);
  const told = await stream('/session', '{', 1, { 'Content-Length': '999999999' });
  expect(told.status).toBe(413);
});

test.each([
  ['brackets', '['.repeat(1000)],
  ['objects', '{"a":'.repeat(1000)],
])('%s that nest without end are refused as they come in', async (_, piece) => {
  const { status, body, sent } = await stream('/accounts', piece, 8 * MEGABYTE);
  expect([status, body]).toEqual([400, expect.stringContaining('nests deeper than 40 levels')]);
  expect(sent).toBeLessThan(MEGABYTE);
});
test('brackets within a text do not nest', async () => {
  const answer = await mine.post('/airframes', { name: `${'['.repeat(60)}\\"${'{'.repeat(10)}`, unit: 'mm' });
  expect(answer.status).toBe(201);
});

test.each([
  ['gzip', 400],
  ['nonsense', 400],
])('a body that says it is packed as %s is refused with %i', async (encoding, status) => {
  const { status: got, body } = await stream('/session', '{}', 2, { 'Content-Encoding': encoding });
  expect([got, body]).toEqual([status, expect.stringContaining(encoding)]);
});
test.each(['{', 'null', '[]', '"text"', '{"name": 7}', '\ud800'])(
  'a body of %s is refused with its field or as no JSON',
  async (text) => {
    const { status } = await stream('/session', text, text.length);
    expect(status).toBe(400);
  },
);

const asked = (host: string): Promise<number> =>
  new Promise((resolve, reject) => {
    http
      .get(`${server.address}/api/session`, { headers: { Host: host } }, (response) => {
        response.resume();
        resolve(response.statusCode!);
      })
      .on('error', reject);
  });
test('only names that the server has are answered, and addresses by number', async () => {
  const port = new URL(server.address).port;
  for (const host of [`127.0.0.1:${port}`, `localhost:${port}`, `[::1]:${port}`, 'Workshop.Example', '192.168.1.7'])
    expect([host, await asked(host)]).toEqual([host, 200]);
  for (const host of ['evil.example', 'localhost.evil.example', '127.0.0.1.nip.example', 'workshop.example.evil'])
    expect([host, await asked(host)]).toEqual([host, 421]);
});

test('what an account is told is kept nowhere on the way; an address that is none is a client’s fault', async () => {
  const list = await mine.get('/airframes');
  expect(list.headers['cache-control']).toBe('no-store');
  const { hostname, port } = new URL(server.address);
  const answer = await new Promise<string>((resolve) => {
    const socket = net.connect(Number(port), hostname, () =>
      socket.end('GET /%E0%A4%A HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\n\r\n'),
    );
    let text = '';
    socket.on('data', (chunk) => (text += chunk.toString()));
    socket.on('close', () => resolve(text));
  });
  expect(answer).toMatch(/^HTTP\/1\.1 4\d\d /);
});
