/** Debian packages that the program needs. Node's own modules only. */
import { execFileSync } from 'node:child_process';
import fs from 'node:fs';
import path from 'node:path';

const isRoot = process.getuid?.() === 0;

function has(command) {
  return (process.env.PATH ?? '')
    .split(':')
    .concat('/usr/sbin', '/usr/bin')
    .some((folder) => fs.existsSync(path.join(folder, command)));
}

/** Installs Debian packages when a command of theirs is missing. Asks nothing. */
export function ensureDebianPackages(wanted) {
  const missing = Object.entries(wanted)
    .filter(([command]) => !has(command))
    .map(([, name]) => name);
  if (missing.length === 0) return;
  console.log(`Installing ${missing.join(', ')} …`);
  const sudo = isRoot ? [] : ['sudo', '-n'];
  const run = (...words) => {
    const [command, ...rest] = [...sudo, ...words];
    execFileSync(command, rest, {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    });
  };
  run('apt-get', 'update', '-qq');
  run('apt-get', 'install', '-y', '-qq', ...missing);
}
