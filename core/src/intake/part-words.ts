import { LONGEST_NAME } from '../part/index.ts';

/** What words on a part say: its name, and how many are wanted where they say so. */
export interface PartWords {
  readonly name: string;
  readonly quantity: number;
}

const COUNT = /(?:^|[\s,])\(?(?:(?:x|×)\s?(\d{1,2})|(\d{1,2})\s?(?:x|×|off|pcs?|pieces?))\)?(?=$|[\s,])/i;

/** Reads a part's words. @example partWords('Rib 3 x2') // { name: 'Rib 3', quantity: 2 } */
export function partWords(text: string): PartWords {
  const [whole, after, before] = COUNT.exec(text) ?? [];
  const name = (whole === undefined ? text : text.replace(whole, ' '))
    .replace(/\s+/g, ' ')
    .replace(/^[\s,;:-]+|[\s,;:-]+$/g, '');
  return { name: name.slice(0, LONGEST_NAME), quantity: Math.max(1, Number(after ?? before ?? 1)) };
}
