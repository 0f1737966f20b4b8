import dxf from '../../../../demo/plans/siskin-parts.dxf?url&no-inline';
import pdf from '../../../../demo/plans/dunlin-tiled.pdf?url&no-inline';
import svg from '../../../../demo/plans/plover-tail.svg?url&no-inline';

/** A made-up plan to try with. */
export interface Example {
  readonly name: string;
  readonly address: string;
  readonly words: string;
}

export const EXAMPLES: readonly Example[] = [
  { name: 'dunlin-tiled.pdf', address: pdf, words: 'A profile glider on twelve printed pages' },
  { name: 'siskin-parts.dxf', address: dxf, words: 'Wing parts in inches: blocks, lines drawn twice' },
  { name: 'plover-tail.svg', address: svg, words: 'Tail parts in nested groups, sized in dots' },
];

/** The file of an example, or undefined for a name that is none, or when it could not be fetched. */
export async function exampleFile(name: string): Promise<File | undefined> {
  const example = EXAMPLES.find((one) => one.name === name);
  if (!example) return undefined;
  const answer = await fetch(example.address);
  return answer.ok ? new File([await answer.blob()], name) : undefined;
}
