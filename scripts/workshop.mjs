/** The whole program as processes: a private database and the built server on it. Node's own modules only. */
import { spawn } from 'node:child_process';
import path from 'node:path';
import { databaseVariables, freePort, startDatabase } from './database/database.mjs';
import { ROOT } from './prepare.mjs';

const pause = (milliseconds) =>
  new Promise((resolve) => {
    setTimeout(resolve, milliseconds);
  });

/** Starts the built server on a database and waits until it listens. @returns {Promise<import('node:child_process').ChildProcess>} */
export async function startServer(database, { host = '127.0.0.1', port = 5180, env = {}, quiet = true } = {}) {
  const child = spawn(process.execPath, [path.join(ROOT, 'server/dist/main.js')], {
    cwd: ROOT,
    stdio: ['ignore', 'pipe', 'pipe', 'ipc'],
    env: {
      ...process.env,
      ...databaseVariables(database),
      HOST: host,
      PORT: String(port),
      NODE_ENV: 'production',
      GRAIN_FOLD_PAGES: path.join(ROOT, 'web/dist'),
      GRAIN_FOLD_DEMO: path.join(ROOT, 'demo'),
      ...env,
    },
  });
  let said = '';
  await new Promise((resolve, reject) => {
    const hear = (chunk) => {
      said += chunk;
      // What is said before the start fails is told once, with the error.
      if (!said.includes('is ready at')) return;
      if (!quiet) process.stdout.write(chunk);
      resolve();
    };
    child.stdout.on('data', hear);
    child.stderr.on('data', hear);
    child.once('exit', (code) => reject(new Error(`The server did not start (exit ${code}): ${said.trim()}`)));
  });
  return child;
}

/** Ends a child and waits for its end. */
export async function end(child, signal = 'SIGTERM') {
  if (child.exitCode !== null || child.signalCode !== null) return;
  const ended = new Promise((resolve) => {
    child.once('exit', resolve);
  });
  child.kill(signal);
  await ended;
}

/**
 * Starts database and server, with handles to kill and start each of them again.
 * @param {{ folder: string, host?: string, port?: number, durable?: boolean, env?: Record<string, string>, quiet?: boolean }} options
 */
export async function startWorkshop({ folder, host = '127.0.0.1', port, durable = true, env = {}, quiet = true }) {
  let database = await startDatabase(folder, { durable });
  const chosenPort = port ?? (await freePort());
  const options = { host, port: chosenPort, env, quiet };
  let server;
  try {
    server = await startServer(database, options);
  } catch (error) {
    await database.stop();
    throw error;
  }
  return {
    address: `http://${host}:${chosenPort}`,
    get database() {
      return database;
    },
    get server() {
      return server;
    },
    async killServer() {
      await end(server, 'SIGKILL');
    },
    async startServer() {
      server = await startServer(database, options);
    },
    async killDatabase() {
      try {
        process.kill(database.pid, 'SIGKILL');
      } catch (error) {
        if (error.code !== 'ESRCH') throw error; // it ended by itself: on a full disk it does
      }
      await database.stop();
      await pause(50);
    },
    async startDatabase() {
      database = await startDatabase(folder, { durable, port: database.port });
    },
    async stop() {
      await end(server);
      await database.stop();
    },
  };
}
