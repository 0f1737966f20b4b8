import {
  DEFAULT_SETTINGS,
  madeOf,
  partAtScale,
  standardBoard,
  withForm,
  withFormsKept,
  withoutForm,
  type Airframe,
} from '../airframe/index.ts';
import { applyCommand, type PartCommand } from '../editing/index.ts';
import type { Part } from '../part/index.ts';
import { EMPTY_PLAN, usualThing, type SurfaceThing } from '../plan/index.ts';
import { withParameter } from './form/index.ts';
import { isWing } from './kinds.ts';
import type { WingForm } from './wing/index.ts';
import { formFromPlanned, wingFromNumbers } from './wing/index.ts';

const form: WingForm = {
  id: 'w1',
  kind: 'wing',
  name: 'Wing',
  parameters: wingFromNumbers({
    spanMm: 900,
    rootChordMm: 180,
    tipChordMm: 180,
    dihedralDegrees: 5,
    sparHeightMm: 10,
    material: 'faced board',
  }),
  place: { at: { x: 0, y: 0, z: 0 }, incidenceDegrees: 0 },
};
const empty: Airframe = {
  id: 'a',
  name: 'A',
  settings: DEFAULT_SETTINGS,
  parts: [],
  boards: [standardBoard('b', 'faced board')],
};
const start = withForm(empty, form);
const skinOf = (airframe: Airframe): Part => airframe.parts.find(({ source }) => source?.role === 'skin-1')!;
const edited = (airframe: Airframe, command: PartCommand): Airframe => {
  const done = applyCommand(skinOf(airframe), command);
  if (!done.ok) throw new Error(done.message);
  return { ...airframe, parts: airframe.parts.map((part) => (part.id === done.part.id ? done.part : part)) };
};
const hole = (x: number, y: number): PartCommand => ({
  name: 'drawHole',
  args: {
    draft: {
      closed: true,
      points: [
        { x, y },
        { x: x + 10, y },
        { x: x + 10, y: y + 6 },
        { x, y: y + 6 },
      ],
      segments: [{ kind: 'line' }, { kind: 'line' }, { kind: 'line' }, { kind: 'line' }],
    },
  } as never,
});
const own = (part: Part) => part.contours.filter(({ id }) => !id.startsWith('m-'));

describe('parts that a form makes', () => {
  it('should keep what was drawn on them in its place by the nearest edge, when numbers change', () => {
    // 20 mm from the tip, near the tail: when the panel grows, it goes out with the tip.
    const span = form.parameters.panels[0]!.spanMm;
    const before = edited(start, hole(span - 30, 150));
    const longer = withForm(before, {
      ...form,
      parameters: withParameter(form.parameters, 'panels.0.spanMm', span + 100),
    });
    const [kept] = own(skinOf(longer));
    expect(kept!.nodes[0]!.x).toBeCloseTo(span + 70, 6);
    expect(kept!.nodes[0]!.y).toBeCloseTo(150, 6);
    expect(longer.forms![0]!.parked).toBeUndefined();
  });
  it('should park what no longer lies on them, and take it back when it fits again', () => {
    const before = edited(start, hole(300, 150));
    const small = withForm(before, {
      ...form,
      parameters: {
        ...form.parameters,
        rootChordMm: 120,
        panels: [{ ...form.parameters.panels[0]!, spanMm: 100, tipChordMm: 120 }],
      },
    });
    expect(own(skinOf(small))).toHaveLength(0);
    expect(small.forms![0]!.parked).toMatchObject([{ role: 'skin-1', what: 'a hole' }]);
  });
  it('should refuse edits of what is made and keep the details that the builder says', () => {
    const skin = skinOf(start);
    const node = skin.contours[0]!.nodes[0]!;
    const refusals: readonly PartCommand[] = [
      { name: 'moveNodes', args: { nodeIds: [node.id], by: { x: 5, y: 0 } } as never },
      { name: 'changeDetails', args: { changes: { material: 'ply' } } },
      { name: 'removeOperation', args: { operationId: skin.operations[0]!.id } },
    ];
    for (const command of refusals)
      expect(applyCommand(skin, command)).toMatchObject({ ok: false, message: expect.stringContaining('form') });
    const named = edited(start, {
      name: 'changeDetails',
      args: { changes: { name: 'Big skin', notes: 'mind the grain' } },
    });
    const again = withForm(named, { ...form, parameters: withParameter(form.parameters, 'rootChordMm', 190) });
    expect(skinOf(again)).toMatchObject({
      name: 'Big skin',
      notes: 'mind the grain',
      source: { own: ['name', 'notes'] },
    });
  });
  it('should be made anew for the board as it is measured, and left out when the builder takes them out', () => {
    const thicker = withFormsKept(start, { ...start, boards: [{ ...start.boards[0]!, thicknessMm: 6 }] });
    // The skin is longer over a thicker board: depth over the spar is h + 2·t.
    const height = (part: Part): number =>
      Math.max(...part.contours[0]!.nodes.map(({ y }) => y)) - Math.min(...part.contours[0]!.nodes.map(({ y }) => y));
    expect(height(skinOf(thicker))).toBeGreaterThan(height(skinOf(start)) + 1);
    const strip = start.parts.find(({ source }) => source?.role === 'spar-1-2')!;
    const without = withFormsKept(start, { ...start, parts: start.parts.filter((part) => part !== strip) });
    expect(without.forms![0]!.leftOut).toEqual(['spar-1-2']);
    expect(withForm(without, without.forms![0]!).parts.map(({ id }) => id)).not.toContain(strip.id);
  });
  it('should at another scale be those of the scaled numbers, and drawn parts once they are released', () => {
    const scaled: Airframe = { ...start, settings: { ...start.settings, scale: 1.5 } };
    const big = partAtScale(scaled, skinOf(scaled));
    const byHand = withForm(empty, {
      ...form,
      parameters: {
        ...form.parameters,
        rootChordMm: 270,
        sparHeightMm: 15,
        panels: [{ ...form.parameters.panels[0]!, spanMm: form.parameters.panels[0]!.spanMm * 1.5, tipChordMm: 270 }],
      },
    });
    expect(big.contours[0]!.nodes.map(({ x, y }) => [x, y])).toEqual(
      skinOf(byHand).contours[0]!.nodes.map(({ x, y }) => [x, y]),
    );
    const released = withoutForm(start, 'w1', true);
    expect(released.forms).toBeUndefined();
    expect(released.parts.every(({ source }) => source === undefined)).toBe(true);
    expect(withoutForm(start, 'w1', false).parts).toHaveLength(0);
  });
});

describe('a wing of the plan and the form that is made from it', () => {
  const thing = usualThing('wing', 't1', 5) as SurfaceThing;
  const swept: SurfaceThing = {
    ...thing,
    at: { x: 200, y: 0, z: 40 },
    stations: [
      { outMm: 0, sweepMm: 0, chordMm: 200 },
      { outMm: 250, sweepMm: 0, chordMm: 200 },
      { outMm: 550, sweepMm: 30, chordMm: 140 },
    ],
    angles: [0, 12],
  };
  const plan = { ...EMPTY_PLAN, things: [swept] };
  const made = formFromPlanned(swept, 'w1', 'Wing', 'faced board', 5);
  const planned = withForm({ ...empty, plan }, made);

  it('should have its chords, places and angles, and its area by hand', () => {
    const { figures } = madeOf(made, planned);
    const out = 250 + 300 * Math.cos((12 * Math.PI) / 180);
    expect(figures!.spanMm).toBeCloseTo(2 * out, 6);
    expect(figures!.areaMm2).toBeCloseTo(2 * (250 * 200 + 300 * Math.cos((12 * Math.PI) / 180) * 170), 3);
    expect(figures!.stations.at(-1)!.noseMm).toBeCloseTo(30, 6);
  });
  it('should follow it, and be followed by it, whichever is edited', () => {
    const wider = {
      ...planned,
      plan: {
        ...plan,
        things: [{ ...swept, stations: swept.stations.map((one) => ({ ...one, chordMm: one.chordMm + 10 })) }],
      },
    };
    const followed = withFormsKept(planned, wider);
    expect(followed.forms![0]!.parameters).toMatchObject({
      rootChordMm: 210,
      panels: [{ tipChordMm: 210 }, { tipChordMm: 150 }],
    });
    expect(followed.parts).not.toBe(planned.parts);
    const form2 = { ...made, parameters: withParameter(made.parameters, 'panels.1.spanMm', 350) };
    const back = withFormsKept(planned, withForm(planned, form2));
    expect(back.plan!.things[0]).toMatchObject({
      stations: [{ outMm: 0 }, { outMm: 250 }, { outMm: 600, chordMm: 140 }],
      angles: [0, 12],
      at: { x: 200 },
    });
    // What came of the form gives the same form again.
    expect(
      withFormsKept(back, {
        ...back,
        plan: { ...back.plan!, things: [{ ...(back.plan!.things[0] as SurfaceThing) }] },
      }).forms!.find(isWing)!.parameters.panels[1]!.spanMm,
    ).toBeCloseTo(350, 6);
  });
});
