import type { IncomingMessage } from 'node:http';
import { ServerProblem } from './server-problem.ts';

/** Deepest nesting that a body may have; a project file has about ten levels. */
const DEEPEST = 40;
const [QUOTE, BACKSLASH] = [0x22, 0x5c];
const OPENING = new Set([0x5b, 0x7b]),
  CLOSING = new Set([0x5d, 0x7d]);

/** Counts how deep JSON nests while it comes in, so that a body of brackets is refused at its first bytes. */
function depthCounter(): (chunk: Buffer) => void {
  let depth = 0,
    isText = false,
    isEscaped = false;
  return (chunk) => {
    for (const byte of chunk) {
      if (isText) {
        if (isEscaped) isEscaped = false;
        else if (byte === BACKSLASH) isEscaped = true;
        else if (byte === QUOTE) isText = false;
      } else if (byte === QUOTE) isText = true;
      else if (OPENING.has(byte)) {
        depth += 1;
        if (depth > DEEPEST) throw new ServerProblem('BAD_REQUEST', `The request nests deeper than ${DEEPEST} levels.`);
      } else if (CLOSING.has(byte)) depth -= 1;
    }
  };
}

/**
 * Reads the JSON body of a request as text, no more of it than it may be long and deep.
 * @param mostBytes longest body
 * @returns undefined for a body of another kind, which no rule of a request accepts
 * @throws ServerProblem FILE_TOO_LARGE or BAD_REQUEST; what is left of the body is not read
 */
export async function readJsonText(request: IncomingMessage, mostBytes: number): Promise<string | undefined> {
  const { 'content-type': type = '', 'content-encoding': encoding = 'identity' } = request.headers;
  if (!/^application\/json\s*(;|$)/i.test(type)) return undefined;
  if (encoding.toLowerCase() !== 'identity')
    throw new ServerProblem('BAD_REQUEST', `The request is packed as "${encoding.slice(0, 20)}". Send it as it is.`);
  const tooLarge = (): ServerProblem =>
    new ServerProblem('FILE_TOO_LARGE', `The request is longer than the ${mostBytes} bytes that are taken in here.`);
  if (Number(request.headers['content-length'] ?? 0) > mostBytes) throw tooLarge();
  const chunks: Buffer[] = [],
    count = depthCounter();
  let bytes = 0;
  for await (const chunk of request as AsyncIterable<Buffer>) {
    bytes += chunk.length;
    if (bytes > mostBytes) throw tooLarge();
    count(chunk);
    chunks.push(chunk);
  }
  return Buffer.concat(chunks).toString('utf8');
}

/**
 * Reads the body of a request as bytes, no more of it than it may be long.
 * @throws ServerProblem FILE_TOO_LARGE; what is left of the body is not read
 */
export async function readBytes(request: IncomingMessage, mostBytes: number): Promise<Buffer> {
  const tooLarge = (): ServerProblem =>
    new ServerProblem(
      'FILE_TOO_LARGE',
      `The file is larger than the ${mostBytes / 1024 / 1024} MB that are kept. Save it smaller, or as a JPEG.`,
    );
  if (Number(request.headers['content-length'] ?? 0) > mostBytes) throw tooLarge();
  const chunks: Buffer[] = [];
  let bytes = 0;
  for await (const chunk of request as AsyncIterable<Buffer>) {
    bytes += chunk.length;
    if (bytes > mostBytes) throw tooLarge();
    chunks.push(chunk);
  }
  return Buffer.concat(chunks);
}

/** What a text says as JSON. @throws ServerProblem BAD_REQUEST when it is none */
export function parsed(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    throw new ServerProblem('BAD_REQUEST', 'The request body is not JSON.');
  }
}
