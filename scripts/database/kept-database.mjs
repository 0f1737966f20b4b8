/** A database that is started again when it ends by itself. Node's own modules only. */
import { startDatabase } from './database.mjs';

/** Waits between tries to start it again, in ms; the last one from then on. */
const WAITS_MS = [500, 1000, 2000, 5000, 10_000, 30_000];
const pause = (milliseconds) =>
  new Promise((resolve) => {
    setTimeout(resolve, milliseconds);
  });

/**
 * Starts the database of a folder and keeps it running: one that is killed, or ends because the disk is full, is started again on the same
 * port, as often as it takes, and that is said.
 * @param {string} folder
 * @param {{ durable?: boolean, say?: (words: string) => void }} [options]
 */
export async function keepDatabase(folder, { durable, say = () => undefined } = {}) {
  let now = await startDatabase(folder, { durable });
  let isStopping = false,
    starting = Promise.resolve();
  let stopWaiting = () => undefined;
  const stopped = new Promise((resolve) => {
    stopWaiting = resolve;
  });

  async function startAgain() {
    for (let tries = 0; !isStopping; tries++) {
      try {
        now = await startDatabase(folder, { durable, port: now.port });
        say('The database runs again.');
        watch();
        return;
      } catch (error) {
        const wait = WAITS_MS[Math.min(tries, WAITS_MS.length - 1)];
        say(
          `The database does not start: ${error.message.trim()}\nTrying again in ${wait / 1000} s. Edits wait in the browser until then.`,
        );
        await Promise.race([pause(wait), stopped]);
      }
    }
  }
  function watch() {
    void now.ended.then(() => {
      if (isStopping) return;
      say('The database ended by itself: starting it again. Edits wait in the browser until then.');
      starting = startAgain();
    });
  }
  watch();
  return {
    get now() {
      return now;
    },
    async stop() {
      isStopping = true;
      stopWaiting();
      await starting;
      await now.stop();
    },
  };
}
