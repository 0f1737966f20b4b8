import type { FormContext } from '../form/index.ts';
import { balancePlace, layPanels, NO_GAUGES, type WingForm } from '../wing/index.ts';
import { foundControls } from './found-controls.ts';
import { gaugeSight, layGauge, type GaugeSight } from './lay-set.ts';
import { isMiss, cornersOf, standingWithIt } from '../standing/index.ts';
import { gaugeWith, LONGEST_GAUGE_NAME, MOST_GAUGES, type Gauge } from './parameters.ts';

type Wanted = Omit<Parameters<typeof gaugeWith>[0], 'id'>;

/** A station this far within the tip, in mm: nothing is cut where a wing ends. */
const WITHIN_TIP_MM = 8;
/** Halves of a wing that turn more than this against each other are a V-tail, in degrees. */
const V_TAIL_DEGREES = 25;

const partsOfForm = ({ standing }: GaugeSight, formId: string) =>
  standing.parts.map(({ part }) => part).filter(({ source }) => source?.formId === formId);

/** How far out what a part belongs to reaches. */
const reachOf = ({ standing }: GaugeSight, partId: string): number =>
  Math.max(0, ...cornersOf(standingWithIt(standing, partId)).map(({ y }) => -y));

/** Gauges of a wing: its joints, its tips, its stations, its incidence, its camber, its balance. */
function ofWing(form: WingForm, sight: GaugeSight): readonly Wanted[] {
  const { name, id, parameters } = form,
    parts = partsOfForm(sight, id),
    skins = parts.filter(({ source }) => /^skin-\d+$/.test(source!.role));
  const [first] = skins;
  if (!first) return [];
  const out = Math.max(0, reachOf(sight, first.id) - WITHIN_TIP_MM),
    laid = layPanels(parameters);
  const isV = parameters.panels.some(({ dihedralDegrees }) => Math.abs(dihedralDegrees) > V_TAIL_DEGREES);
  const at = (kind: Gauge['kind'], words: string, outMm: number, more: Partial<Gauge> = {}): Wanted => ({
    kind,
    name: `${name} ${words}`,
    partId: first.id,
    outMm,
    ...more,
  });
  const { aftMm } = balancePlace(
    laid.map((one) => ({ laid: one, wing: { ...parameters, gauges: parameters.gauges ?? NO_GAUGES } })),
  );
  return [
    ...(first.handed === 'pair'
      ? [at('angle', isV ? 'V-tail angle' : 'dihedral', 0, { against: 'mirror', quantity: 2 })]
      : []),
    ...skins.slice(1).map((skin, index): Wanted => ({
      kind: 'angle',
      name: `${name} joint ${index + 1}`,
      partId: skin.id,
      against: 'part',
      againstId: skins[index]!.id,
      quantity: 2,
    })),
    ...(isV
      ? [at('angle', 'cant', 0, { against: 'upright', quantity: 2 })]
      : [at('block', 'tip block', out, { quantity: 2 })]),
    ...(isV
      ? []
      : [
          at('cradle', 'middle cradle', 0),
          at('cradle', 'tip cradle', out, { quantity: 2 }),
          at('profile', 'incidence', 0.3 * out),
          ...(parameters.build === 'cambered' ? [at('profile', 'camber', 0.3 * out, { back: 'chord' })] : []),
          at('balance', 'balance stand', Math.min(60, 0.3 * out), { aftMm: form.place.at.x + aftMm }),
        ]),
  ];
}

/** Gauges of a tail: its fin, its incidence. */
function ofTail(formId: string, name: string, sight: GaugeSight): readonly Wanted[] {
  const parts = partsOfForm(sight, formId),
    named = (role: string) => parts.find(({ source }) => source!.role === role);
  const [stabiliser, fin] = [named('stabiliser'), named('fin')];
  if (!stabiliser) return [];
  return [
    ...(fin
      ? [
          {
            kind: 'angle' as const,
            name: `${name} fin square`,
            partId: fin.id,
            against: 'part' as const,
            againstId: stabiliser.id,
            quantity: 2,
          },
        ]
      : []),
    { kind: 'profile', name: `${name} incidence`, partId: stabiliser.id, outMm: 0.3 * reachOf(sight, stabiliser.id) },
  ];
}

/** Gauges of a firewall: how far it is turned aside and down. */
function ofPower(formId: string, name: string, sight: GaugeSight): readonly Wanted[] {
  const firewall = partsOfForm(sight, formId).find(({ source }) => source!.role === 'front-1');
  return firewall
    ? [
        { kind: 'angle', name: `${name} thrust aside`, partId: firewall.id, against: 'upright' },
        { kind: 'angle', name: `${name} thrust down`, partId: firewall.id, against: 'table' },
      ]
    : [];
}

/** Strips that hold wing and tail square to each other. */
function squares(forms: FormContext['forms'], sight: GaugeSight): readonly Wanted[] {
  const largest = (formId: string) =>
    partsOfForm(sight, formId).find(({ source }) => /^skin-\d+$/.test(source!.role) || source!.role === 'stabiliser');
  const lifting = (forms ?? [])
    .filter(({ kind }) => kind === 'wing' || kind === 'tail')
    .flatMap(({ id, name }) => {
      const part = largest(id);
      return part ? [{ name, part, reach: reachOf(sight, part.id) }] : [];
    })
    .sort((a, b) => b.reach - a.reach);
  const [wing, ...others] = lifting;
  return wing
    ? others.flatMap(({ name, part }): readonly Wanted[] => [
        { kind: 'square', name: `${wing.name} square`, partId: wing.part.id, againstId: part.id },
        { kind: 'square', name: `${name} square`, partId: part.id, againstId: wing.part.id },
      ])
    : [];
}

/** Drawn parts that stand on or by another: the angle between both. */
const ofDrawn = ({ standing }: GaugeSight): readonly Wanted[] =>
  standing.parts.flatMap(({ part }): readonly Wanted[] => {
    if (part.source) return [];
    const mates = [...(part.joints ?? []), ...(part.seams ?? [])].flatMap(({ toPartId }) =>
      toPartId === undefined || toPartId === part.id ? [] : [toPartId],
    );
    return [...new Set(mates)].flatMap((againstId) => {
      const other = standing.parts.find((one) => one.part.id === againstId);
      return other
        ? [
            {
              kind: 'angle' as const,
              name: `${part.name} to ${other.part.name}`,
              partId: part.id,
              against: 'part' as const,
              againstId,
            },
          ]
        : [];
    });
  });

/** Stations nearer than this are the same to a builder, in mm. */
const SAME_STATION_MM = 20;

/** Whether two gauges hold the same. */
export function holdAlike(a: Gauge, b: Gauge): boolean {
  if (a.kind !== b.kind) return false;
  if (a.kind === 'throw') return a.formId === b.formId && a.control === b.control;
  if (a.partId !== b.partId) return false;
  if (a.kind === 'angle') return a.against === b.against && (a.against !== 'part' || a.againstId === b.againstId);
  if (a.kind === 'square') return a.againstId === b.againstId;
  return a.back === b.back && (a.kind === 'balance' || Math.abs(a.outMm - b.outMm) < SAME_STATION_MM);
}

/** The gauges that an airframe has something for: of its forms, their controls, and drawn parts that stand together. */
export function foundGauges(material: string, context: FormContext): readonly Gauge[] {
  const { forms = [] } = context,
    sight = gaugeSight(material, [], context);
  const wanted: readonly Wanted[] = [
    ...forms.flatMap((form): readonly Wanted[] =>
      form.kind === 'wing'
        ? ofWing(form as WingForm, sight)
        : form.kind === 'tail'
          ? ofTail(form.id, form.name, sight)
          : form.kind === 'power'
            ? ofPower(form.id, form.name, sight)
            : [],
    ),
    ...foundControls(forms).map(({ formId, control, name, chordMm, upDegrees, downDegrees }): Wanted => ({
      kind: 'throw',
      name: `${name} throw`,
      partId: '',
      formId,
      control,
      chordMm,
      upDegrees,
      downDegrees,
    })),
    ...squares(forms, sight),
    ...ofDrawn(sight),
  ];
  const gauges = wanted
      .slice(0, MOST_GAUGES)
      .map((one, index) => gaugeWith({ ...one, id: `g${index + 1}`, name: one.name.slice(0, LONGEST_GAUGE_NAME) })),
    laidOn = gaugeSight(material, gauges, context);
  return gauges.filter((gauge) => !isMiss(layGauge(gauge, laidOn)));
}
