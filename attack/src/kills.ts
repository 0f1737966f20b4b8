import { emptyPart } from '@grain-fold/core/part';
import { seededRandom } from '@grain-fold/core/units';
import type { Workshop } from '../../scripts/workshop.mjs';
import { newcomer, type Client } from './client.ts';
import type { Report } from './report.ts';

interface Opened {
  readonly version: number;
  readonly airframe: { readonly parts: readonly { readonly id: string; readonly name: string }[] };
}
interface Receipt {
  readonly parts: Readonly<Record<string, number>>;
}
const pause = (milliseconds: number): Promise<void> =>
  new Promise((resolve) => {
    setTimeout(resolve, milliseconds);
  });

/** Saves a stream of edits of two parts, each sent again as it was until it is answered. */
class Editor {
  acknowledged = 0;
  refused = 0;
  private versions: Record<string, number> = {};
  constructor(
    private readonly client: Client,
    private readonly id: string,
  ) {}

  async run(isOver: () => boolean): Promise<void> {
    for (let edit = 1; !isOver(); edit++) {
      const parts = ['a', 'b'].map((id, position) => ({
        id,
        basedOn: this.versions[id] ?? 0,
        position,
        value: emptyPart(id, `Edit ${edit}`, 'foam'),
      }));
      const body = JSON.stringify({ client: 'attack', id: `e${edit}`, label: `Edit ${edit}`, parts });
      await this.until(isOver, body, edit);
    }
  }

  private async until(isOver: () => boolean, body: string, edit: number): Promise<void> {
    for (;;) {
      const answer = await this.client
        .ask('POST', `/api/airframes/${this.id}/save`, body)
        .catch(() => ({ status: 0, text: '' }));
      if (answer.status === 200) {
        this.versions = { ...(JSON.parse(answer.text) as Receipt).parts };
        this.acknowledged = edit;
        return;
      }
      if (answer.status > 0 && answer.status < 500) {
        this.refused += 1;
        return;
      }
      if (isOver()) return;
      await pause(20);
    }
  }
}

/** Kills the server and its database in a stream of saves, and looks after each whether every acknowledged edit is there, whole. */
export async function attackWithKills(
  workshop: Workshop,
  kills: number,
  seed: number,
  { check, figure }: Report,
): Promise<void> {
  const random = seededRandom(seed);
  const client = await newcomer(workshop.address);
  const { airframe } = await client.json<{ airframe: { id: string } }>('POST', '/api/airframes', {
    name: 'Tern',
    unit: 'mm',
  });
  const editor = new Editor(client, airframe.id);
  let isOver = false,
    longestAwayMs = 0;
  const saving = editor.run(() => isOver);
  for (let kill = 0; kill < kills; kill++) {
    await pause(40 + random() * 160);
    const before = editor.acknowledged;
    if (random() < 0.7) {
      await workshop.killServer();
      await workshop.startServer();
    } else {
      await workshop.killDatabase();
      await workshop.startDatabase();
    }
    const asked = Date.now(),
      now = await opened(client, airframe.id);
    longestAwayMs = Math.max(longestAwayMs, Date.now() - asked);
    const edits = now.airframe.parts.map(({ name }) => Number(/\d+/.exec(name)![0]));
    check(`kill ${kill}: no acknowledged edit is lost`, before === 0 || Math.min(...edits) >= before, {
      before,
      edits,
    });
    check(`kill ${kill}: no edit is half there`, new Set(edits).size <= 1, edits);
  }
  isOver = true;
  await saving;
  check('no save met a conflict with itself', editor.refused === 0, editor.refused);
  figure(
    'kills',
    `${kills} from seed ${seed}, ${editor.acknowledged} edits acknowledged, there again ${longestAwayMs} ms after a start at the latest`,
  );
}

/** Everything is started again by then, on a machine that has other work too. */
const LONGEST_AWAY_MS = 60_000;

/** The airframe, asked until the server has its database again. */
async function opened(client: Client, id: string): Promise<Opened> {
  for (const start = Date.now(); ;) {
    try {
      return await client.json<Opened>('GET', `/api/airframes/${id}`);
    } catch (error) {
      if (Date.now() - start > LONGEST_AWAY_MS) throw error;
      await pause(25);
    }
  }
}
