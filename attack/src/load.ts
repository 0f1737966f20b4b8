import fs from 'node:fs';
import { writeProjectFile } from '@grain-fold/contract';
import { heavyAirframes } from '../../core/test/heavy-parts.ts';
import { newcomer, type Client } from './client.ts';
import { percentile, type Report } from './report.ts';

/** In short it runs beside other work, on few requests: only being held up shows there. */
const LONGEST_WAIT_MS = { whole: 100, short: 1000 },
  MOST_MEGABYTES = 1024,
  LOOK_MS = 20;

/** Memory that a process and its threads hold now and held at most, in MB. */
function memoryOf(pid: number): { readonly now: number; readonly most: number } {
  const status = fs.readFileSync(`/proc/${pid}/status`, 'utf8');
  const megabytes = (name: string): number => Number(new RegExp(`${name}:\\s+(\\d+)`).exec(status)![1]) / 1024;
  return { now: megabytes('VmRSS'), most: megabytes('VmHWM') };
}

/** Asks the small things that a page asks, again and again, until it is stopped. @returns how long each took, in ms */
async function others(client: Client, id: string, isOver: () => boolean): Promise<readonly number[]> {
  const took: number[] = [];
  while (!isOver()) {
    const start = performance.now();
    await client.json('GET', took.length % 2 === 0 ? '/api/session' : `/api/airframes/${id}`);
    took.push(performance.now() - start);
    await new Promise((resolve) => {
      setTimeout(resolve, LOOK_MS);
    });
  }
  return took;
}

/** Heavy airframes taken in and made into documents by one account while another works. */
export async function attackWithLoad(
  address: string,
  pid: number,
  { check, figure }: Report,
  isShort: boolean,
): Promise<void> {
  const [attacker, builder] = [await newcomer(address), await newcomer(address)];
  const { airframe } = await builder.json<{ airframe: { id: string } }>('POST', '/api/airframes', {
    name: 'Tern',
    unit: 'mm',
  });
  let isOver = false;
  const watched = others(builder, airframe.id, () => isOver);
  const heavy = heavyAirframes();
  for (const one of isShort ? heavy.slice(0, 2) : heavy) {
    const start = performance.now();
    const taken = await attacker.ask(
      'POST',
      '/api/airframes/import',
      JSON.stringify({ text: writeProjectFile({ ...one, name: one.parts[0]!.name }) }),
    );
    check(
      `${one.parts[0]!.name} is taken in or refused by a word`,
      taken.status === 201 || taken.status === 400,
      taken,
    );
    if (taken.status !== 201) continue;
    const { id } = (JSON.parse(taken.text) as { airframe: { id: string } }).airframe;
    const documents = ['cut-list.csv', 'picture.svg', ...(isShort ? [] : ['pages.pdf', 'cut-list.pdf'])];
    const answers = await Promise.all(documents.map((name) => attacker.ask('GET', `/api/airframes/${id}/${name}`)));
    answers.forEach(({ status, text }, index) =>
      check(`${documents[index]!} of ${one.parts[0]!.name} is made or refused by a word`, status < 500, {
        status,
        text,
      }),
    );
    figure(
      `${one.parts[0]!.name}, taken in and made into ${documents.length} documents`,
      `${(performance.now() - start).toFixed(0)} ms`,
    );
  }
  // Askers that go away before they are answered hold nobody up.
  await Promise.allSettled(
    Array.from({ length: isShort ? 5 : 20 }, () =>
      fetch(`${address}/api/airframes`, { signal: AbortSignal.timeout(5) }),
    ),
  );
  isOver = true;
  const took = await watched,
    slow = percentile(took, 0.95);
  const longestMs = LONGEST_WAIT_MS[isShort ? 'short' : 'whole'];
  check(`others wait less than ${longestMs} ms (95 of 100)`, slow < longestMs, slow);
  const { most } = memoryOf(pid);
  check(`the server takes less than ${MOST_MEGABYTES} MB`, most < MOST_MEGABYTES, most);
  figure(
    'requests of others meanwhile',
    `${took.length}, median ${percentile(took, 0.5).toFixed(1)} ms, 95 of 100 within ${slow.toFixed(1)} ms, worst ${Math.max(...took).toFixed(0)} ms`,
  );
  figure('memory of the server at most', `${most.toFixed(0)} MB`);
}
