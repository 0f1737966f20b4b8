import { applyCommand, type PartCommand } from '../editing/index.ts';
import { featureSizing, featureTraits, featureWord, type Feature } from '../features/index.ts';
import { sizedNumbers, withNumberSizing, type Form } from '../forms/index.ts';
import { boundsHeight, boundsOf, boundsWidth, dot, leftOf } from '../geometry/index.ts';
import { traitsOf } from '../operations/index.ts';
import { holesOf, isMadeId, type Contour, type DrawnLine, type Part } from '../part/index.ts';
import { SIZINGS, SIZING_WORDS, type Sizing } from '../paths/index.ts';
import { isBox, type PlannedThing } from '../plan/index.ts';
import { slotDirection } from '../resolve/index.ts';
import type { Airframe } from './airframe.ts';
import { withForm } from './forms-of-airframe.ts';

/** Something with a size of its own, and what scaling the airframe does to it. */
export interface SizedThing {
  readonly of: 'part' | 'path' | 'feature' | 'form' | 'planned';
  /** Of the part, the form or the planned thing that has it, and what that is called. */
  readonly ownerId: string;
  readonly ownerName: string;
  /** Of the path or the feature, or where the number stands in its form; empty for a whole part and a planned thing. */
  readonly id: string;
  readonly word: string;
  /** The size that is kept or grows, as drawn. */
  readonly mm: number;
  readonly sizing: Sizing;
  /** Why it does so when nobody says otherwise. */
  readonly why: string;
  /** What a builder may have it do: one when something else decides. */
  readonly choices: readonly Sizing[];
}

const BOTH: readonly Sizing[] = ['scaled', 'fixed'];
const greatest = (path: Contour | DrawnLine | undefined): number => {
  const bounds = path && boundsOf(path.nodes);
  return bounds ? Math.max(boundsWidth(bounds), boundsHeight(bounds)) : 0;
};

/** Width of a slot across its length. */
function widthOf(path: Contour | DrawnLine): number {
  const across = leftOf(slotDirection(path)),
    reach = path.nodes.map((node) => dot(node, across));
  return Math.max(...reach) - Math.min(...reach);
}

function whyOfPath(path: Contour | DrawnLine, isMade: boolean): string {
  if (isMade) return 'its form makes it so';
  if ('plate' in path && path.plate) return `cut to the plate of ${path.plate.material} that goes through`;
  switch (path.sizing) {
    case 'fixed':
      return 'hardware goes through or into it';
    case 'slot':
      return 'a plate goes through: the length grows';
    case 'scaled':
      return 'it is of the part’s shape';
  }
}

/** Holes, and closed lines that something is worked within. */
function pathThings(part: Part): readonly SizedThing[] {
  const workOn = (pathId: string): Part['operations'][number] | undefined =>
    part.operations.find(({ on }) => on.pathId === pathId);
  const lines = part.lines.filter(({ closed, id }) => closed && workOn(id));
  return [...holesOf(part), ...lines].map((path): SizedThing => {
    const first = 'role' in path ? undefined : workOn(path.id),
      isMade = isMadeId(path.id);
    return {
      of: 'path',
      ownerId: part.id,
      ownerName: part.name,
      id: path.id,
      word: path.sizing === 'slot' ? 'Slot' : first ? capital(traitsOf(first.kind).word) : 'Hole',
      mm: path.sizing === 'slot' ? widthOf(path) : greatest(path),
      sizing: path.sizing,
      why: whyOfPath(path, isMade),
      choices: isMade ? [path.sizing] : SIZINGS,
    };
  });
}

const FEATURE_REASONS: Readonly<Partial<Record<Feature['kind'], string>>> = {
  servo: 'the case and its screws are bought',
  dowel: 'the dowel is bought',
  wire: 'the wire is bought',
  finger: 'a finger stays a finger',
  hatch: 'it is of the part’s shape',
  lightening: 'it is of the part’s shape',
  lettering: 'words grow with what they stand on',
};
const EDGE_REASON = 'it follows the plate that it meets';

function featureThings(part: Part): readonly SizedThing[] {
  return (part.features ?? []).flatMap((feature): readonly SizedThing[] => {
    const { fields } = featureTraits(feature.kind),
      lengths = fields.flatMap(({ kind, key }) => {
        const value = (feature as unknown as Readonly<Record<string, unknown>>)[key];
        return kind === 'length' && typeof value === 'number' ? [value] : [];
      });
    if (lengths.length === 0) return [];
    const sizing = featureSizing(feature);
    return [
      {
        of: 'feature',
        ownerId: part.id,
        ownerName: part.name,
        id: feature.id,
        word: capital(featureWord(feature)),
        mm: Math.max(...lengths),
        sizing: sizing ?? 'fixed',
        why: sizing === undefined ? EDGE_REASON : (FEATURE_REASONS[feature.kind] ?? EDGE_REASON),
        choices: sizing === undefined ? ['fixed'] : BOTH,
      },
    ];
  });
}

function partThings(part: Part): readonly SizedThing[] {
  const isMade = part.source !== undefined,
    [outline] = part.contours.filter(({ role }) => role === 'outer');
  const whole: SizedThing = {
    of: 'part',
    ownerId: part.id,
    ownerName: part.name,
    id: '',
    word: 'The whole part',
    mm: greatest(outline),
    sizing: part.sizing,
    why: isMade
      ? 'its form makes it so'
      : part.sizing === 'fixed'
        ? 'a plate, a gauge or hardware stays'
        : 'the airframe grows',
    choices: isMade ? [part.sizing] : BOTH,
  };
  // What a plate that stays holds stays with it.
  return part.sizing === 'fixed' ? [whole] : [whole, ...pathThings(part), ...featureThings(part)];
}

/** What of a form a number is of, as its path has it: `Bay 1: ` of `bays.0.lengthMm`. */
function groupOf(path: string): string {
  const keys = path.split('.').slice(0, -1),
    at = keys.findLastIndex((key) => !/^\d+$/.test(key)),
    name = keys[at],
    number = keys[at + 1];
  if (name === undefined) return '';
  const words = name.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);
  return `${capital(number === undefined ? words : `${words.replace(/s$/, '')} ${Number(number) + 1}`)}: `;
}

const formThings = (form: Form): readonly SizedThing[] =>
  sizedNumbers(form).map(({ path, word, mm, sizing, usual, isChangeable }): SizedThing => ({
    of: 'form',
    ownerId: form.id,
    ownerName: form.name,
    id: path,
    word: `${groupOf(path)}${word}`,
    mm,
    sizing,
    why: usual === 'fixed' ? 'it follows the board, or what is bought' : 'it is of the form’s shape',
    choices: isChangeable ? BOTH : [sizing],
  }));

/** What of a plan is bought, and so stays what it is. */
function boughtSize(thing: PlannedThing): number | undefined {
  if (thing.kind === 'wheel' || thing.kind === 'propeller') return thing.diameterMm;
  return isBox(thing) ? Math.max(thing.lengthMm, thing.widthMm, thing.heightMm) : undefined;
}
const plannedThings = ({ plan }: Airframe): readonly SizedThing[] =>
  (plan?.things ?? []).flatMap((thing): readonly SizedThing[] => {
    const mm = boughtSize(thing);
    if (mm === undefined) return [];
    const why = 'it is bought: another is typed on Plan';
    return [
      {
        of: 'planned',
        ownerId: thing.id,
        ownerName: thing.name,
        id: '',
        word: capital(thing.kind),
        mm,
        sizing: 'fixed',
        why,
        choices: ['fixed'],
      },
    ];
  });

const capital = (word: string): string => `${word[0]!.toUpperCase()}${word.slice(1)}`;

/** Everything of an airframe that has a size of its own beside the outlines of parts, and what scaling does to it: parts, forms, what is planned. */
export const sizedThings = (airframe: Airframe): readonly SizedThing[] => [
  ...airframe.parts.flatMap(partThings),
  ...(airframe.forms ?? []).flatMap(formThings),
  ...plannedThings(airframe),
];

/** What makes a thing of a part grow or stay. */
function commandFor({ of, id }: SizedThing, sizing: Sizing): PartCommand | undefined {
  if (of === 'path') return { name: 'changeSizing', args: { pathId: id, sizing } };
  if (sizing === 'slot') return undefined;
  if (of === 'part') return { name: 'changeDetails', args: { changes: { sizing } } };
  return of === 'feature' ? { name: 'changeFeatureSizing', args: { featureId: id, sizing } } : undefined;
}

/** An airframe in which a thing grows, or stays, when it is scaled; or why that cannot be said of it. */
export function withThingSized(
  airframe: Airframe,
  thing: SizedThing,
  sizing: Sizing,
):
  | { readonly ok: true; readonly label: string; readonly airframe: Airframe }
  | { readonly ok: false; readonly message: string } {
  const refused = (message: string): { readonly ok: false; readonly message: string } => ({ ok: false, message });
  if (!thing.choices.includes(sizing))
    return refused(`${thing.ownerName}: nothing else can be said of ${thing.word.toLowerCase()}; ${thing.why}.`);
  if (thing.of === 'form') {
    const form = airframe.forms?.find(({ id }) => id === thing.ownerId);
    if (!form || sizing === 'slot') return refused(`${thing.ownerName} is gone.`);
    const label = `${form.name}: ${thing.word.toLowerCase()} ${SIZING_WORDS[sizing]}`;
    return { ok: true, label, airframe: withForm(airframe, withNumberSizing(form, { path: thing.id, sizing })) };
  }
  const part = airframe.parts.find(({ id }) => id === thing.ownerId),
    command = commandFor(thing, sizing);
  if (!part || !command) return refused(`${thing.ownerName} is gone.`);
  const done = applyCommand(part, command);
  return done.ok
    ? {
        ok: true,
        label: `${part.name}: ${thing.word.toLowerCase()} ${SIZING_WORDS[sizing]}`,
        airframe: { ...airframe, parts: airframe.parts.map((one) => (one === part ? done.part : one)) },
      }
    : refused(done.message);
}
