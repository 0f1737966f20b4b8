import { proxy, transfer, wrap, type Remote } from 'comlink';
import { kindOfFile } from '@grain-fold/core/formats';
import type { IntakeDesk } from './intake.worker.ts';

type Answer<Name extends keyof IntakeDesk> = Promise<Awaited<ReturnType<IntakeDesk[Name]>>>;

/** A worker that has one drawing on its desk; it is ended with all that it holds, also in the midst of its work. */
export class IntakeWorker {
  private worker: Worker | undefined;
  private desk: Remote<IntakeDesk> | undefined;
  /** Those who wait for an answer: what lets go of them, without one or with an error. */
  private readonly waiting = new Set<(error?: Error) => void>();
  private runs = 0;

  /** Reads a file. @returns undefined when it was stopped meanwhile */
  async open(file: File, onProgress: (done: number, of: number) => void): Promise<Awaited<Answer<'open'>> | undefined> {
    this.stop();
    const run = this.runs;
    const known = kindOfFile(file.name, new Uint8Array(await file.slice(0, 4096).arrayBuffer()), file.size);
    if (!known.ok) return known;
    const bytes = await file.arrayBuffer();
    // Stopped, or given another file, while the file was fetched.
    if (run !== this.runs) return undefined;
    this.worker = new Worker(new URL('./intake.worker.ts', import.meta.url), { type: 'module' });
    this.worker.onerror = ({ message }) => this.letGo(new Error(message || 'its reader ran out of memory'));
    const desk = (this.desk = wrap<IntakeDesk>(this.worker));
    return this.unlessStopped(desk.open(file.name, transfer(bytes, [bytes]), proxy(onProgress)) as Answer<'open'>);
  }
  arrange(...args: Parameters<IntakeDesk['arrange']>): Promise<Awaited<Answer<'arrange'>> | undefined> {
    return this.unlessStopped(this.desk!.arrange(...args) as Answer<'arrange'>);
  }
  catchMove(...args: Parameters<IntakeDesk['catchMove']>): Promise<Awaited<Answer<'catchMove'>> | undefined> {
    return this.unlessStopped(this.desk!.catchMove(...args) as Answer<'catchMove'>);
  }
  take(...args: Parameters<IntakeDesk['take']>): Promise<Awaited<Answer<'take'>> | undefined> {
    return this.unlessStopped(this.desk!.take(...args) as Answer<'take'>);
  }
  make(...args: Parameters<IntakeDesk['make']>): Promise<Awaited<Answer<'make'>> | undefined> {
    return this.unlessStopped(this.desk!.make(...args) as Answer<'make'>);
  }

  /** Clears the desk; what is waited for is answered with nothing. */
  stop(): void {
    this.worker?.terminate();
    this.worker = this.desk = undefined;
    this.runs += 1;
    this.letGo();
  }

  private letGo(error?: Error): void {
    for (const one of [...this.waiting]) one(error);
  }

  private unlessStopped<T>(work: Promise<T>): Promise<T | undefined> {
    return new Promise((resolve, reject) => {
      const letGo = (error?: Error): void => (error ? reject(error) : resolve(undefined));
      this.waiting.add(letGo);
      work.then(resolve, reject).finally(() => this.waiting.delete(letGo));
    });
  }
}
