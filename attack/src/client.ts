import { randomBytes } from 'node:crypto';

/** An answer: its status, its kind and its text, whatever came. */
export interface Answer {
  readonly status: number;
  readonly type: string;
  readonly text: string;
}

/** Somebody who asks the server over loopback and keeps a cookie. */
export class Client {
  private cookie = '';
  constructor(private readonly address: string) {}

  async ask(method: string, path: string, body?: string, headers: Record<string, string> = {}): Promise<Answer> {
    const response = await fetch(`${this.address}${path}`, {
      method,
      signal: AbortSignal.timeout(70_000),
      headers: {
        Origin: this.address,
        ...(this.cookie ? { Cookie: this.cookie } : {}),
        ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
        ...headers,
      },
      ...(body === undefined || method === 'GET' || method === 'HEAD' ? {} : { body }),
    });
    for (const one of response.headers.getSetCookie()) this.cookie = one.split(';')[0]!;
    return {
      status: response.status,
      type: response.headers.get('content-type') ?? '',
      text: await response.text(),
    };
  }

  async json<T>(method: string, path: string, body?: unknown): Promise<T> {
    const answer = await this.ask(method, path, body === undefined ? undefined : JSON.stringify(body));
    if (answer.status >= 300) throw new Error(`${method} ${path}: ${answer.status} ${answer.text.slice(0, 200)}`);
    return (answer.text === '' ? undefined : JSON.parse(answer.text)) as T;
  }
}

/** A builder with a workshop of their own. */
export async function newcomer(address: string): Promise<Client> {
  const client = new Client(address);
  await client.json('POST', '/api/accounts', {
    name: `builder-${randomBytes(6).toString('hex')}`,
    password: 'eleven wide planks',
  });
  return client;
}
