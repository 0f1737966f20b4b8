/** What must be there before the program runs: packages as locked, and a build of the present sources. Node's own modules only. */
import { execFileSync, spawn } from 'node:child_process';
import fs from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..');
/** Folder of the program's data; GRAIN_FOLD_DATA moves it. */
export const DATA = path.resolve(ROOT, process.env.GRAIN_FOLD_DATA ?? '.grain-fold');

const at = (...parts) => path.join(ROOT, ...parts);
const changedAt = (file) => (fs.existsSync(file) ? fs.statSync(file).mtimeMs : 0);

/** Installs the packages of the lock file when they are missing or another lock file's. */
export function ensurePackages() {
  const installed = at('node_modules/.grain-fold-lock');
  const lock = fs.readFileSync(at('package-lock.json'), 'utf8');
  if (fs.existsSync(installed) && fs.readFileSync(installed, 'utf8') === lock) return;
  console.log('Installing packages …');
  execFileSync('npm', ['ci', '--loglevel=error'], { cwd: ROOT, stdio: ['ignore', 'ignore', 'inherit'] });
  fs.writeFileSync(installed, lock);
}

function newestSource() {
  const skip = new Set(['node_modules', 'dist', 'test-results']);
  const newest = (folder) =>
    fs.readdirSync(folder, { withFileTypes: true }).reduce((latest, entry) => {
      if (skip.has(entry.name)) return latest;
      const file = path.join(folder, entry.name);
      return Math.max(latest, entry.isDirectory() ? newest(file) : changedAt(file));
    }, 0);
  return Math.max(
    changedAt(at('package-lock.json')),
    ...['core', 'contract', 'server', 'web'].map((name) => newest(at(name))),
  );
}

/** Whether the built pages and server are of the present sources. */
export const isBuilt = () =>
  Math.min(changedAt(at('web/dist/index.html')), changedAt(at('server/dist/main.js'))) > newestSource();

/** Builds pages and server when a source is newer than they are. */
export function ensureBuilt() {
  if (isBuilt()) return;
  console.log('Building …');
  for (const workspace of ['web', 'server'])
    execFileSync('npm', ['run', 'build', '--silent', '--workspace', workspace], {
      cwd: ROOT,
      stdio: ['ignore', 'ignore', 'inherit'],
    });
}

/** Runs a command to its end. @returns {Promise<{ code: number, output: string, seconds: number }>} */
export function run(command, words, env = {}) {
  const start = Date.now();
  return new Promise((resolve, reject) => {
    const child = spawn(command, words, {
      cwd: ROOT,
      env: { ...process.env, ...env },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    let output = '';
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (chunk) => {
        output += chunk;
      });
    child.once('error', reject);
    child.once('exit', (code) => resolve({ code: code ?? 1, output, seconds: (Date.now() - start) / 1000 }));
  });
}
