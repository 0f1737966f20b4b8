/** The note of the program's account, beside the data. Node's own modules only. */
import fs from 'node:fs';
import path from 'node:path';

const noteOf = (folder) => path.join(folder, 'database.json');

/** The account as it was noted; undefined where the note is missing, cut off or not one. */
export function readNote(folder) {
  let note;
  try {
    note = JSON.parse(fs.readFileSync(noteOf(folder), 'utf8'));
  } catch {
    return undefined; // a lost note is made anew through the socket
  }
  const { user, password, database } = note ?? {};
  return [user, password, database].every((word) => typeof word === 'string' && word !== '')
    ? { user, password, database }
    : undefined;
}

/** Writes a file so that it is whole or as it was before: beside it, to the disk, then in its place. */
export function writeWhole(file, text) {
  const beside = `${file}.${process.pid}.new`;
  const handle = fs.openSync(beside, 'w', 0o600);
  try {
    fs.writeFileSync(handle, text);
    fs.fsyncSync(handle);
  } finally {
    fs.closeSync(handle);
  }
  fs.renameSync(beside, file);
}

/** Notes the account. */
export const writeNote = (folder, account) => writeWhole(noteOf(folder), JSON.stringify(account));
