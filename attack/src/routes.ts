import type Router from '@koa/router';
import { accountRoutes } from '../../server/src/accounts/account.routes.ts';
import { airframeRoutes } from '../../server/src/airframes/airframe.routes.ts';
import { attachmentRoutes } from '../../server/src/attachments/attachment.routes.ts';
import { nestJobRoutes } from '../../server/src/nesting/nest-job.routes.ts';
import { printerRoutes } from '../../server/src/printers/printer.routes.ts';
import { stockRoutes } from '../../server/src/stock/stock.routes.ts';
import { Client, newcomer, type Answer } from './client.ts';
import type { Report } from './report.ts';

/** Only its routes are looked at: nothing of this is called. */
const nothing = {} as never;
const ROUTERS = [
  accountRoutes(nothing, nothing, 1),
  airframeRoutes(nothing, nothing, nothing, nothing, nothing),
  attachmentRoutes(nothing),
  printerRoutes(nothing),
  stockRoutes(nothing),
  nestJobRoutes(nothing),
] as unknown as Router[];

/** Every route that the server has, by method and path. */
export const routesOfServer = (): readonly { readonly method: string; readonly path: string }[] =>
  ROUTERS.flatMap((router) =>
    router.stack.flatMap(({ methods, path }) =>
      methods.filter((method) => method !== 'HEAD').map((method) => ({ method, path: String(path) })),
    ),
  ).filter(({ path }) => !path.includes('(') && !path.includes('{'));

/** Signing in and looking who is signed in need no account. */
const OPEN = [
  'GET /api/session',
  'POST /api/session',
  'POST /api/session/demo',
  'DELETE /api/session',
  'POST /api/accounts',
];

const IDS = [
  'x',
  '%00',
  '..%2f..',
  "' OR 1=1 --",
  '00000000-0000-4000-8000-000000000000',
  '%F0%9F%9B%A9',
  'a'.repeat(5000),
];
const NUMBERS = ['0', '-1', '1e9', 'NaN', '1.5', '99999999999999999999'];
const deep = (levels: number): string => '['.repeat(levels) + ']'.repeat(levels);
const BODIES = [
  'null',
  '[]',
  '""',
  '{}',
  '{"',
  deep(5000),
  '{"name":null,"password":{}}',
  '{"constructor":{},"toString":1}',
  '{"__proto__":{"isDemo":true}}',
  JSON.stringify({ name: '\ud800', unit: 'mm', text: '\ud800', label: 'x', password: '\ud800'.repeat(12) }),
  JSON.stringify({ name: `A${'\u0301'.repeat(5000)}`, label: 'x' }),
  JSON.stringify({ label: 'x', parts: [{ id: 'a', basedOn: 0, position: 0 }], settings: [], nest: null }),
  JSON.stringify({ label: 'x', parts: [null], boards: [[]] }),
  JSON.stringify({ text: 'x'.repeat(20_000), name: 'x'.repeat(20_000) }),
];
const HEADERS: readonly Record<string, string>[] = [
  { 'Content-Type': 'text/plain' },
  { 'Content-Encoding': 'gzip' },
  { 'Content-Encoding': 'nonsense' },
  { Origin: 'http://elsewhere.example' },
  { Cookie: 'grain_fold_session=../../etc' },
  { Accept: '\u00ff', 'Accept-Encoding': 'br;q=x' },
];

/** Asks every route everything that is wrong, as a guest, as a stranger and as its owner. */
export async function attackRoutes(address: string, { check, figure }: Report): Promise<void> {
  const [owner, stranger, guest] = [await newcomer(address), await newcomer(address), new Client(address)];
  const secret = 'Secret Spar 4711';
  const { airframe } = await owner.json<{ airframe: { id: string } }>('POST', '/api/airframes', {
    name: secret,
    unit: 'mm',
  });
  let asked = 0;
  const sound = (what: string, answer: Answer): void => {
    asked += 1;
    check(`${what} answers no fault of the server`, answer.status < 500, answer);
    if (answer.status >= 400)
      check(`${what} is answered by a problem`, answer.type.startsWith('application/problem+json'), answer);
    check(`${what} tells nothing of the server`, !/node_modules|at .*\.js:\d|SELECT /.test(answer.text), answer);
  };
  for (const { method, path } of routesOfServer()) {
    const own = path.replace(':id', airframe.id).replace(':number', '1');
    const isOpen = OPEN.includes(`${method} ${path}`);
    if (!isOpen) {
      const refused = await guest.ask(method, own, '{}');
      sound(`a guest's ${method} ${path}`, refused);
      check(`a guest's ${method} ${path} needs a sign-in`, refused.status === 401 || refused.status === 404, refused);
    }
    if (path.includes(':id')) {
      for (const body of ['{}', ...BODIES.slice(-3), '{"name":"Taken"}']) {
        const stolen = await stranger.ask(method, own, body);
        sound(`a stranger's ${method} ${path}`, stolen);
        check(`a stranger's ${method} ${path} changes and tells nothing`, stolen.status >= 400, stolen);
        check(`a stranger's ${method} ${path} shows nothing`, !stolen.text.includes(secret), stolen);
      }
      for (const id of IDS)
        sound(
          `${method} ${path} of "${id.slice(0, 12)}"`,
          await owner.ask(method, path.replace(':id', id).replace(':number', '1'), '{}'),
        );
    }
    if (path.includes(':number'))
      for (const number of NUMBERS)
        sound(
          `${method} ${path} ${number}`,
          await owner.ask(method, path.replace(':id', airframe.id).replace(':number', number), '{}'),
        );
    // A body is read only where one belongs; what signs in or out is asked by its own client.
    const asker = /^\/api\/(airframes|attachments|printers)/.test(path) ? owner : new Client(address);
    if (method !== 'GET')
      for (const body of BODIES) sound(`${method} ${path} ${body.slice(0, 20)}`, await asker.ask(method, own, body));
    for (const headers of HEADERS)
      sound(`${method} ${path} ${JSON.stringify(headers)}`, await asker.ask(method, own, '{}', headers));
    for (const other of ['PUT', 'OPTIONS', 'PROPFIND']) sound(`${other} ${path}`, await owner.ask(other, own, '{}'));
    for (const query of ['?from=-1', '?from[]=1', '?all=yes&all=no', '?away=%FF', `?${'a=1&'.repeat(2000)}`])
      if (method === 'GET') sound(`GET ${path}${query.slice(0, 12)}`, await owner.ask('GET', `${own}${query}`));
  }
  for (const path of [
    '/api',
    '/api/',
    '/api/../etc/passwd',
    '/..%2f..%2fetc/passwd',
    '/%',
    '/index.html%00',
    '//x',
    '/api/health',
  ])
    for (const method of ['GET', 'POST', 'DELETE']) {
      const answer = await guest.ask(method, path, '{}');
      check(`${method} ${path} answers no fault of the server`, answer.status < 500, answer);
      check(`${method} ${path} shows no file`, !answer.text.includes('root:'), answer.status);
    }
  const kept = await owner.json<{ airframe: { name: string; parts: unknown[] } }>(
    'GET',
    `/api/airframes/${airframe.id}`,
  );
  check('nothing that was asked has changed another’s airframe', kept.airframe.parts.length === 0, kept);
  figure('requests to routes', asked);
}
