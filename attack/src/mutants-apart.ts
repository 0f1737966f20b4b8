import { spawn } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { attackWithMutants } from './mutants.ts';
import { report, type Report } from './report.ts';

const own = fileURLToPath(import.meta.url);

/** The attack with mutated files in a process of its own, beside what waits for processes most of the time. */
export async function mutantsApart(from: number, count: number, into: Report): Promise<void> {
  const child = spawn(process.execPath, ['--import', 'tsx', own, String(from), String(count)], {
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  let said = '';
  child.stdout.on('data', (chunk: Buffer) => (said += chunk.toString()));
  const code = await new Promise<number | null>((resolve) => child.once('close', resolve));
  into.check('the process with mutants comes to its end', code === 0, { code, said: said.slice(-300) });
  if (code !== 0) return;
  const lines = said.trimEnd().split('\n'),
    [passed, failed] = lines.pop()!.split(' ').map(Number) as [number, number];
  into.add(lines, passed, failed);
}

if (process.argv[1] === own) {
  const told = report((line) => console.log(line));
  attackWithMutants(Number(process.argv[2]), Number(process.argv[3]), told);
  console.log(`${told.passed} ${told.failed}`);
}
