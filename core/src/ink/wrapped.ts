/** Breaks a text at spaces into lines of at most so many letters; a word that is longer is broken within. */
export function wrapped(text: string, letters: number): readonly string[] {
  const words = text.split(' ').flatMap((word) => word.match(new RegExp(`.{1,${Math.max(1, letters)}}`, 'gu')) ?? ['']);
  return words.reduce<string[]>((lines, word) => {
    const last = lines.at(-1);
    if (last !== undefined && last.length + word.length + 1 <= letters)
      return [...lines.slice(0, -1), `${last} ${word}`];
    return [...lines, word];
  }, []);
}
