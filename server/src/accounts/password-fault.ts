import { dictionary } from '@zxcvbn-ts/language-common';
import { foldedName } from './folded-name.ts';

const LEAST_LETTERS = 10;
/** The commonest passwords there are, of those long enough to be asked about. */
const COMMON = new Set(dictionary['passwords-common'].filter((password) => password.length >= LEAST_LETTERS));
const IN_ORDER = ['01234567890123456789', 'abcdefghijklmnopqrstuvwxyz', 'qwertyuiopasdfghjklzxcvbnm'];
const RUNS = IN_ORDER.flatMap((run) => [run, [...run].reverse().join('')]);

/** A password as it is kept: the same letters typed on any keyboard and system are one. */
export const normalPassword = (password: string): string => password.normalize('NFKC');

/** Why a password of enough letters would still be guessed at once; undefined when it would not. */
export function passwordFault(password: string, name: string): string | undefined {
  const plain = normalPassword(password).toLowerCase();
  if ([...plain].length < LEAST_LETTERS) return `must have at least ${LEAST_LETTERS} letters, as they are read`;
  if (COMMON.has(plain)) return 'is one of the commonest there are: choose one that nobody else would';
  if (new Set(plain).size < 4) return 'is a few letters repeated: use at least four different ones';
  if (RUNS.some((run) => run.includes(plain))) return 'is letters or digits in their order: choose another';
  const bare = (text: string): string => foldedName(text).replaceAll(' ', '');
  return bare(plain) === bare(name) ? 'is your name: choose another' : undefined;
}
