import type { WingParameters } from '@grain-fold/core/forms';

type Choices<Key extends keyof WingParameters> = readonly (readonly [WingParameters[Key] & string, string, string])[];

/** How the skin comes round the nose. */
export const NOSES: Choices<'nose'> = [
  ['trench', 'doubled trench', 'A strip of foam comes out and the skin wraps round both edges: blunt, quick, strong.'],
  ['bevels', 'two bevels', 'Both edges are cut back until their faces meet in a fold: sharp, and slow to sand.'],
  ['bent', 'bent', 'Rolled warm over a tube with the inner paper peeled: round, one piece, no edge to sand.'],
  [
    'parted',
    'two sheets',
    'A lower and an upper sheet, the lower one feathered under the upper: where a board is too narrow for both.',
  ],
];
/** The same over a drawn section, whose nose is one fold. */
export const DRAWN_NOSES: Choices<'nose'> = [
  ['bevels', 'folded', 'One skin folded round the nose over two bevels.'],
  ['parted', 'two sheets', 'Both sheets are bevelled to half of the turn at the nose and glued edge to edge.'],
];
export const TAILS: Choices<'tail'> = [
  ['lap', 'bevelled lap', 'The lower edge is feathered and the top comes down over it: one board thick.'],
  ['square', 'square lap', 'The top lies square on the bottom: two boards thick, nothing to bevel.'],
  ['sanded', 'sanded to a line', 'Both skins are feathered to meet in one line: the finest, and the most work.'],
  ['strip', 'over a strip', 'A strip lies between the skins: a stiff, blunt tail to hang a control on.'],
];
export const SPARS: Choices<'sparKind'> = [
  ['strips', 'strips side by side', 'Boards on edge, laminated: cut one by one, glued to each other and to the skin.'],
  ['doubled', 'one strip doubled', 'One strip folded on itself along its foot, paper outward: no glue line to slip.'],
  [
    'channel',
    'a folded channel',
    'One strip folded to two walls and a cap, paper outward: wide, stiff against twist, and light.',
  ],
  ['rod', 'a dowel or tube', 'Bought round, laid on the lower skin: as thick as the spar is high, all along.'],
  ['none', 'none', 'Nothing between the skins: for small wings, or ribs of your own.'],
];
export const SPAR_ENDS: Choices<'sparEnds'> = [
  ['through', 'through to the joint', 'The spars of both panels butt in the joint and carry the bending across it.'],
  [
    'short',
    'stopped short',
    'The spar is a spacer only: the skins carry the joint, and a brace or tape goes across it.',
  ],
];
export const ENDS: Choices<'ends'> = [
  [
    'square',
    'square to the board',
    'Cut upright and trimmed to the face that touches first: a wedge stays open on the other, glue fills it.',
  ],
  ['bevelled', 'bevelled to the joint', 'Every edge lies in the plane of the joint: foam on foam all round.'],
];
export const SKINS: Choices<'skin'> = [
  ['creased', 'creased', 'Dented along lines, flat between them: each crease has its place.'],
  ['bent', 'bent', 'No crease: tape or film outside, the board bends over the spar by itself.'],
];

/** What a control hangs on. */
export const HINGES: readonly (readonly [string, string, string])[] = [
  ['tape', 'tape beneath', 'Cut right out and taped on along the underside: replaced when it tears, free at once.'],
  ['skin', 'the lower skin', 'Cut beside and grooved, never off: the paper is its hinge. Work it until it is free.'],
];

/** What a wing is built of. */
export const BUILDS: readonly (readonly [string, string, string])[] = [
  [
    'folded',
    'a folded skin',
    'One skin folded round a spar and closed at the tail: light, stiff, with a true section.',
  ],
  [
    'stepped',
    'a plate with layers',
    'A flat plate, thickened in steps with layers glued on: quick, tough, flies well small.',
  ],
  [
    'cored',
    'a foam core',
    'Cut from a block with a hot wire between two templates, then covered: a true section, solid.',
  ],
  ['cambered', 'a plate, rolled', 'One sheet rolled to a camber over a tube: the lightest, for small gliders.'],
];

/** What a wing is started as: besides what it is built of, a plate that a sheet is bent over. */
export const START_BUILDS: typeof BUILDS = [
  ...BUILDS,
  [
    'covered',
    'a covered plate',
    'A flat plate, a spar on it, and a second sheet bent over the spar: curved on top without a crease.',
  ],
];

/** What is started. */
export const STARTS: readonly (readonly [string, string, string])[] = [
  ['wing', 'a wing', 'Two halves that meet in the middle; panels are added after.'],
  [
    'flying wing',
    'a flying wing',
    'Swept back 25°, with elevons: nothing behind it holds it level, so balance it well forward.',
  ],
  ['V-tail', 'a V-tail', 'A wing of two, steep: both its controls do the work of rudder and elevator.'],
  ['biplane', 'a biplane', 'Two wings: the lower stands by the upper with stagger, gap and decalage.'],
  ['canard', 'a canard', 'A foreplane ahead of the wing, its nose two degrees higher so that it stalls first.'],
];

/** The sentence of the choice that stands. */
export const sentence = (choices: readonly (readonly [string, string, string])[], value: string): string =>
  choices.find(([one]) => one === value)?.[2] ?? '';
export const rowsOf = (
  choices: readonly (readonly [string, string, string])[],
): readonly (readonly [string, string])[] => choices.map(([value, word]) => [value, word] as const);
