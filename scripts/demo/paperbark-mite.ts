import { DEFAULT_SETTINGS, withForm, type Airframe } from '@grain-fold/core/airframe';
import { NO_GAUGES, wingFromNumbers, type WingForm } from '@grain-fold/core/forms';
import { closed, Drafter, mark } from './drafter.ts';

const FOAM = 'unfaced foam 3 mm';
const along = { directionDegrees: 0, rule: 'along' } as const;

/** One sheet rolled to a camber, both halves raised; with the gauges that make thirty of them alike. */
const WING: WingForm = {
  id: 'wing',
  kind: 'wing',
  name: 'Wing',
  parameters: {
    ...wingFromNumbers({
      spanMm: 320,
      rootChordMm: 66,
      tipChordMm: 50,
      dihedralDegrees: 10,
      sparHeightMm: 3,
      material: FOAM,
    }),
    build: 'cambered',
    camber: { heightPercent: 4, atPercent: 40 },
    noseRoundMm: 0,
    ends: 'square',
    panels: [{ id: 'p1', spanMm: 164, tipChordMm: 50, sweepDegrees: 2, dihedralDegrees: 10, washoutDegrees: 0 }],
    gauges: { ...NO_GAUGES, hasCamber: true, hasJoints: true, balancePercent: 33 },
  },
  place: { at: { x: 66, y: 0, z: 16 }, incidenceDegrees: 0 },
};

/** The ten-minute chuck glider: one small board, camber rolled in, three gauges. */
export function paperbarkMite(): Airframe {
  const body = Drafter.start('body', 'Body profile', FOAM, 'Body', {
    grain: along,
    quantity: 2,
    notes: 'Two layers, glued face to face, nose weight between them.',
  })
    .outline(
      closed(
        [0, 14],
        [
          [24, 2, { c1: [2, 6], c2: [12, 2] }],
          [92, 0, { c1: [50, 2], c2: [70, 0] }],
          [262, 10],
          [262, 22],
          [148, 24],
          [62, 30, { c1: [120, 25], c2: [90, 30] }],
          [10, 26, { c1: [40, 30], c2: [18, 30] }],
        ],
        { c1: [3, 23], c2: [0, 19] },
      ),
    )
    .slotFor(FOAM, 98, 17, 66, 3)
    .slotFor(FOAM, 228, 15.7, 30, 3)
    .line(
      [
        [60, 4],
        [60, 10],
      ],
      mark('balance'),
    );
  const tail = Drafter.start('tail', 'Tailplane', FOAM, 'Tail', { grain: along })
    .outline(
      closed(
        [0, 0],
        [
          [50, 2],
          [72, 12, { c1: [64, 3], c2: [72, 6] }],
          [66, 36, { c1: [72, 24], c2: [71, 34] }],
          [-66, 36],
          [-72, 12, { c1: [-71, 34], c2: [-72, 24] }],
          [-50, 2, { c1: [-72, 6], c2: [-64, 3] }],
        ],
      ),
    )
    .line(
      [
        [-66, 27],
        [66, 27],
      ],
      mark('elevon bend'),
    );
  const fin = Drafter.start('fin', 'Fin', FOAM, 'Tail', { grain: { directionDegrees: 90, rule: 'along' } }).outline(
    closed(
      [0, 0],
      [
        [46, 0],
        [44, 30],
        [38, 44, { c1: [43, 38], c2: [42, 44] }],
        [26, 40, { c1: [33, 44], c2: [30, 44] }],
      ],
    ),
  );
  const elevon = Drafter.start('elevon-gauge', 'Elevon gauge', FOAM, 'Gauges', {
    sizing: 'fixed',
    notes: 'Trailing edge up by 2 mm.',
  }).outline(
    closed(
      [0, 0],
      [
        [44, 0],
        [44, 10],
        [30, 12],
        [30, 8],
        [0, 8],
      ],
    ),
  );
  const drawn: Airframe = {
    id: 'paperbark-mite',
    name: 'Paperbark Mite',
    settings: {
      ...DEFAULT_SETTINGS,
      nest: { ...DEFAULT_SETTINGS.nest, clearanceMm: 1.5, edgeMarginMm: 2 },
      notes: 'Chuck glider from one offcut. Ten minutes from board to air.',
    },
    parts: [body, tail, fin, elevon].map(({ part }) => part),
    boards: [
      {
        id: 'offcut',
        name: 'Offcut by the window',
        material: FOAM,
        thicknessMm: 3.1,
        widthMm: 420,
        heightMm: 240,
        count: 1,
        price: 0,
        grain: 'width',
        gramsPerSquareMetre: 105,
        outline: [
          { x: 0, y: 0 },
          { x: 420, y: 0 },
          { x: 420, y: 150 },
          { x: 330, y: 240 },
          { x: 0, y: 240 },
        ],
      },
      {
        id: 'sheet',
        name: 'Unfaced sheet',
        material: FOAM,
        thicknessMm: 3.1,
        widthMm: 600,
        heightMm: 400,
        count: 4,
        price: 1.8,
        grain: 'width',
        gramsPerSquareMetre: 105,
      },
    ],
  };
  const made = withForm({ ...drawn, parts: [] }, WING);
  return { ...made, parts: [...drawn.parts, ...made.parts] };
}
