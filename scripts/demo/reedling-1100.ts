import { DEFAULT_SETTINGS, withForm, type Airframe } from '@grain-fold/core/airframe';
import { formFromPlanned, withPlannedShape, type WingForm } from '@grain-fold/core/forms';
import type { Plan, SurfaceThing } from '@grain-fold/core/plan';
import { reedlingPlan } from './plans.ts';
import { box, closed, crease, Drafter, groove, mark, pocket, trench } from './drafter.ts';

const BOARD = 'faced board 5 mm';
const PLY = 'plywood 3 mm';
const alongX = { directionDegrees: 0, rule: 'along' } as const;
const alongY = { directionDegrees: 90, rule: 'along' } as const;

/**
 * Nose of flat facets round a pyramid with its point cut off: a fan of facets, each `facetDegrees` wide at the point, from one radius to
 * another. Neighbours fold by the angle between the pyramid's faces, and the last meets the first.
 */
function facetedNose(facets: number, facetDegrees: number, outerMm: number, innerMm: number): Drafter {
  const at = (radius: number, index: number): [number, number] => [
    radius * Math.cos((index * facetDegrees * Math.PI) / 180),
    radius * Math.sin((index * facetDegrees * Math.PI) / 180),
  ];
  // The pyramid's edges stand round its axis, 360°/n apart, each so far from it that two of them lie the facet's angle apart.
  const around = (2 * Math.PI) / facets,
    across = Math.sin((facetDegrees * Math.PI) / 360) / Math.sin(around / 2),
    along = Math.sqrt(1 - across ** 2);
  const edge = (index: number): [number, number, number] => [
    across * Math.cos(index * around),
    across * Math.sin(index * around),
    along,
  ];
  const normal = (index: number): [number, number, number] => {
    const [a, b] = [edge(index), edge(index + 1)];
    return [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];
  };
  const [m, n] = [normal(0), normal(1)];
  const foldDegrees =
    (Math.acos((m[0] * n[0] + m[1] * n[1] + m[2] * n[2]) / (m[0] ** 2 + m[1] ** 2 + m[2] ** 2)) * 180) / Math.PI;
  const rim = Array.from({ length: facets + 1 }, (_, index) => at(outerMm, index)),
    point = Array.from({ length: facets + 1 }, (_, index) => at(innerMm, facets - index));
  const drawn = Drafter.start('nose', 'Pod nose, ten facets', BOARD, 'Pod', {
    notes: 'Grooves inward; the last facet meets the first.',
  }).outline(closed(rim[0]!, [...rim.slice(1), ...point]));
  const folded = Array.from({ length: facets - 1 }, (_, index) => index + 1).reduce(
    (nose, index) => nose.line([at(innerMm, index), at(outerMm, index)], groove(foldDegrees)),
    drawn,
  );
  return folded.bevel([facets, 2 * facets + 1], foldDegrees / 2, 'closing seam');
}

/** The planned wing as parts: flat in the middle, its tips raised, flaperons in them. */
function reedlingWing({ things }: Plan, boardMm: number): WingForm {
  const thing = things.find(({ id }) => id === 'wing') as SurfaceThing,
    form = formFromPlanned(thing, 'wing', 'Wing', BOARD, boardMm);
  const parameters = withPlannedShape({ ...form.parameters, middle: 'panel' }, thing),
    tip = parameters.panels[1]!;
  return {
    ...form,
    parameters: {
      ...parameters,
      ends: 'bevelled',
      controls: [
        { panelId: tip.id, kind: 'flaperon', fromMm: 20, toMm: 256, chordMm: 34, throwDegrees: 25, gapMm: 1.5 },
      ],
      servos: [{ panelId: tip.id, outMm: 60, aftMm: 4, lengthMm: 23, widthMm: 12, heightMm: 24, leadMm: 150 }],
    },
  };
}

/** V-tail pusher glider of 1,100 mm span: the main demo. */
export function reedling1100(): Airframe {
  const t = 4.9,
    plan = reedlingPlan(t);
  const tray = Drafter.start('pod-tray', 'Pod tray', BOARD, 'Pod', {
    grain: alongX,
    notes: 'Folds to a box 63.2 mm wide outside.',
  })
    .outline(
      closed(
        [0, 27],
        [
          [32, 10],
          [221, -2],
          [262, 14],
          [262, 42.4],
          [290.4, 42.4],
          [290.4, 105.6],
          [262, 105.6],
          [262, 134],
          [221, 150],
          [32, 138],
          [0, 121],
        ],
      ),
    )
    .line(
      [
        [0, 42.4],
        [262, 42.4],
      ],
      groove(90, 'lower wall'),
    )
    .line(
      [
        [0, 105.6],
        [262, 105.6],
      ],
      groove(90, 'upper wall'),
    )
    .line(
      [
        [262, 42.4],
        [262, 105.6],
      ],
      trench(90, 'tail wall', 'left'),
    )
    .area(box(78, 60, 48, 28), pocket(2.5, 'battery'))
    .round(210, 74, 22)
    .line(
      [
        [60, 47.6],
        [60, 100.4],
      ],
      mark('former 1'),
    )
    .line(
      [
        [173.7, 47.6],
        [173.7, 100.4],
      ],
      mark('former 2'),
    )
    .line(
      [
        [246, 47.6],
        [246, 100.4],
      ],
      mark('former 3'),
    )
    .bevel([11], 30, 'nose')
    .bevel([3, 4, 6, 7], 45, 'tail corners')
    .place(0, -74, 0);
  const deck = Drafter.start('pod-deck', 'Pod deck', BOARD, 'Pod', {
    grain: alongX,
    notes: 'Wraps over the three formers.',
  })
    .outline(
      closed(
        [0, 30],
        [
          [210, 0],
          [210, 112],
          [0, 82],
        ],
      ),
    )
    .line(
      [
        [0, 47],
        [210, 34],
      ],
      crease(22, 'starboard'),
    )
    .line(
      [
        [0, 65],
        [210, 78],
      ],
      crease(22, 'port'),
    );
  const former = (number: number, width: number, height: number): Drafter =>
    Drafter.start(`former-${number}`, `Former ${number}`, BOARD, 'Pod')
      .outline(
        closed(
          [0, 0],
          [
            [width, 0],
            [width, height],
            [0, height, { bulge: 0.32 }],
          ],
        ),
      )
      .hole(
        closed(
          [width * 0.24, 10],
          [
            [width * 0.76, 10],
            [width * 0.76, height - 8],
            [width * 0.24, height - 8, { bulge: 0.25 }],
          ],
        ),
      )
      .stand(0, tray, `former ${number}`);
  const nose = facetedNose(10, 20, 118, 40);
  const boom = Drafter.start('boom', 'Boom, doubled', BOARD, 'Boom', {
    grain: alongX,
    notes: 'Folded back on itself: two boards thick.',
  })
    .outline(
      closed(
        [0, 8],
        [
          [520, 16],
          [520, 70],
          [0, 78],
        ],
      ),
    )
    .line(
      [
        [0, 43],
        [520, 43],
      ],
      trench(180, 'fold'),
    )
    .line(
      [
        [470, 24],
        [470, 38.1],
      ],
      mark('tail, leading edge'),
    )
    .place(262, t, -43 - t, { rollDegrees: 90 });
  const panel = Drafter.start('v-tail', 'V-tail panel', BOARD, 'Tail', {
    handed: 'pair',
    grain: alongX,
    notes: '105° between the two panels.',
  })
    .outline(
      closed(
        [0, 0],
        [
          [190, 22],
          [204, 34, { c1: [198, 23], c2: [204, 27] }],
          [198, 92, { c1: [205, 56], c2: [203, 82] }],
          [0, 110],
        ],
      ),
    )
    .line(
      [
        [0, 76],
        [200, 76],
      ],
      mark('ruddervator hinge'),
    )
    .bevel([4], 37.5, 'root, to the other panel')
    .place(670, 0, 24, { pitchDegrees: -37.5, yawDegrees: -90 });
  // Two panels at 105° turn by 75° from one to the other: the port root meets the starboard root.
  const tail = panel.meets(4, panel, 4);
  const tailGauge = Drafter.start('v-gauge', 'V-tail gauge', BOARD, 'Gauges', {
    sizing: 'fixed',
    notes: '105° included. Stands under the tail while the glue sets.',
  }).outline(
    closed(
      [-84, 0],
      [
        [84, 0],
        [84, 64],
        [60, 64],
        [0, 18],
        [-60, 64],
        [-84, 64],
      ],
    ),
  );
  const mount = Drafter.start('motor-plate', 'Motor plate', PLY, 'Power', { sizing: 'fixed' })
    .outline(
      closed(
        [0, 0],
        [
          [44, 0],
          [44, 44],
          [0, 44],
        ],
      ),
    )
    .round(22, 22, 8)
    .round(13, 13, 3.2)
    .round(31, 13, 3.2)
    .round(13, 31, 3.2)
    .round(31, 31, 3.2);
  const skid = Drafter.start('skid', 'Skid', PLY, 'Pod', { sizing: 'fixed', quantity: 2 }).outline(
    closed(
      [0, 0],
      [
        [92, 0],
        [80, 9],
        [12, 9],
      ],
    ),
  );
  const doubler = Drafter.start('doubler', 'Wing saddle doubler', BOARD, 'Pod', {
    handed: 'pair',
    grain: alongX,
  }).outline(
    closed(
      [0, 0],
      [
        [120, 0],
        [120, 22],
        [0, 22, { c1: [84, 34], c2: [34, 34] }],
      ],
    ),
  );
  const brace = Drafter.start('brace', 'Boom brace', BOARD, 'Boom', { quantity: 2, grain: alongY }).outline(
    closed(
      [0, 0],
      [
        [26, 0],
        [t * 2, 60],
        [0, 60],
      ],
    ),
  );
  const drawn: Airframe = {
    id: 'reedling-1100',
    name: 'Reedling 1100',
    settings: { ...DEFAULT_SETTINGS, notes: 'V-tail pusher motor glider for calm evenings, 1,100 mm span.' },
    plan,
    parts: [
      tray,
      deck,
      former(1, 44, 26),
      former(2, 53, 30),
      former(3, 50, 28),
      nose,
      doubler,
      skid,
      boom,
      brace,
      tail,
      mount,
      tailGauge,
    ].map(({ part }) => part),
    boards: [
      {
        id: 'wedge',
        name: 'Wedge left from the last wing',
        material: BOARD,
        thicknessMm: t,
        widthMm: 420,
        heightMm: 300,
        count: 1,
        price: 0,
        grain: 'width',
        gramsPerSquareMetre: 480,
        outline: [
          { x: 0, y: 0 },
          { x: 420, y: 0 },
          { x: 420, y: 120 },
          { x: 160, y: 300 },
          { x: 0, y: 300 },
        ],
      },
      {
        id: 'full',
        name: 'Faced board 700 × 500',
        material: BOARD,
        thicknessMm: t,
        widthMm: 700,
        heightMm: 500,
        count: 8,
        price: 4.6,
        grain: 'width',
        gramsPerSquareMetre: 480,
      },
      {
        id: 'ply',
        name: 'Ply sheet',
        material: PLY,
        thicknessMm: 3,
        widthMm: 200,
        heightMm: 100,
        count: 1,
        price: 2.2,
        grain: 'none',
        gramsPerSquareMetre: 1950,
      },
    ],
  };
  const made = withForm({ ...drawn, parts: [] }, reedlingWing(plan, t));
  return { ...made, parts: [...made.parts, ...drawn.parts] };
}
