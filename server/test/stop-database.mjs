import fs from 'node:fs';

export default async function stop() {
  const { folder, database } = globalThis.grainFoldTest;
  await database.stop();
  fs.rmSync(folder, { recursive: true, force: true });
}
