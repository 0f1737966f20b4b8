type Choices = readonly (readonly [string, string, string])[];

/** How a line runs from station to station. */
export const LINES: Choices = [
  ['straight', 'straight', 'Plane sheets, creased or grooved at the stations.'],
  ['curved', 'curved', 'One smooth bend through the stations: tape outside, nothing cut.'],
];
/** How walls and floor meet. */
export const CORNERS: Choices = [
  ['between', 'floor between the walls', 'Square cuts only; the walls cover the floor’s edges and take the landing.'],
  ['on floor', 'walls on the floor', 'The walls stand on a full-wide floor: easy to keep square while the glue sets.'],
  ['mitred', 'mitred', 'Both edges cut to half of the true angle: paper on paper all along the corner.'],
  [
    'folded',
    'walls folded up',
    'Walls and floor of one sheet, grooved where both run straight, mitred where they turn.',
  ],
];
/** How the lid closes the top. */
export const LIDS: Choices = [
  ['between', 'between the walls', 'Dropped in between, square cuts only.'],
  ['on walls', 'on the walls', 'Laid on both walls, full wide.'],
  ['mitred', 'mitred', 'Both edges cut to half of the true angle.'],
  ['none', 'none', 'Open above: for a wrapped deck, or a canopy of your own.'],
];
/** How a wing is held on its seat. */
export const HOLDS: Choices = [
  ['none', 'glued', 'Nothing is cut for it.'],
  [
    'dowels',
    'bands over dowels',
    'Dowels through both walls on pads, before its nose and behind its tail: it gives way.',
  ],
  ['bolts', 'a bolt', 'A plate between the walls under its tail, drilled for the bolt.'],
];
export const HATCHES: Choices = [
  ['tongue', 'a tongue before, a magnet behind', 'A tongue under its fore edge slips under the lid.'],
  ['folding', 'taped along its fore edge', 'The tape is its hinge.'],
];
/** How a wing lies to what is cut for it, in words. */
export const SIDES: Readonly<Record<string, (cut: string) => string>> = {
  top: (cut) => `cut into the ${cut} from above`,
  through: (cut) => `put through the ${cut}`,
  below: (cut) => `cut into the ${cut} from below`,
  clear: (cut) => `clear of the ${cut}`,
};
