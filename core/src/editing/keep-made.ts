import { isMadeId, OWN_DETAILS, type OwnDetail, type Part } from '../part/index.ts';

type Identified = readonly { readonly id: string }[] | undefined;

/** Whether made things of a list are all there and as they were. */
function isKept(before: Identified, after: Identified): boolean {
  if (before === after) return true;
  const now = new Map((after ?? []).map((one) => [one.id, one] as const));
  return (before ?? []).every((one) => {
    if (!isMadeId(one.id)) return true;
    const there = now.get(one.id);
    return there === one || (there !== undefined && JSON.stringify(there) === JSON.stringify(one));
  });
}

/** Details that only the form says. */
const FORMS_OWN = ['material', 'quantity', 'handed', 'sizing', 'place', 'symmetry'] as const;

/** Why an edit cannot be made on a part that a form makes, or undefined. */
export function madeFault(before: Part, after: Part): string | undefined {
  if (!before.source) return undefined;
  const isWhole =
    isKept(before.contours, after.contours) &&
    isKept(before.lines, after.lines) &&
    isKept(before.operations, after.operations) &&
    isKept(before.seams, after.seams);
  const said = FORMS_OWN.find((key) => JSON.stringify(before[key]) !== JSON.stringify(after[key]));
  if (isWhole && said === undefined) return undefined;
  return `${before.name} is made by a form: change ${said ? `its ${said}` : 'this'} there, or release the form to draw it by hand. What you add yourself stays.`;
}

/** An edited part that remembers which of its details the builder says himself. */
export function withOwnDetails(before: Part, after: Part): Part {
  const { source } = before;
  if (!source || !after.source) return after;
  const changed = OWN_DETAILS.filter((key) => JSON.stringify(before[key]) !== JSON.stringify(after[key]));
  const own: readonly OwnDetail[] = [...new Set([...(source.own ?? []), ...changed])];
  return own.length === (source.own?.length ?? 0) ? after : { ...after, source: { ...after.source, own } };
}
