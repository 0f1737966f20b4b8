import type { Part } from '../../part/index.ts';
import type { FormContext, StandingAirframe } from '../form/index.ts';
import { cornersOf, isMiss, standingWithIt } from '../standing/index.ts';
import { layOne } from './make-struts.ts';
import { LONGEST_STRUT_NAME, strutWith, type Strut } from './parameters.ts';

type Wanted = Omit<Parameters<typeof strutWith>[0], 'id'>;

/** Wings whose undersides and tops lie at least so far apart take struts, in mm. */
const LEAST_GAP_MM = 20;
/** Struts between wings stand this share of the shorter one out; supports over a body so far, in mm. */
const OUT_SHARE = 0.62;
const SUPPORT_OUT_MM = 12;

/** What lifts or bears: a form's main part, how high it lies, and how far out it reaches. */
interface Borne {
  readonly kind: string;
  readonly name: string;
  readonly part: Part;
  readonly low: number;
  readonly top: number;
  readonly reach: number;
}

const MAIN: Readonly<Record<string, RegExp>> = {
  wing: /^skin-1$/,
  tail: /^stabiliser$/,
  body: /^(lid.*|wall)$/,
  layered: /^layer-1/,
};

function borneOf(forms: FormContext['forms'], standing: StandingAirframe): readonly Borne[] {
  return (forms ?? []).flatMap(({ id, kind, name }): readonly Borne[] => {
    const parts = standing.parts.map(({ part }) => part).filter(({ source }) => source?.formId === id),
      part = parts.find(({ source }) => MAIN[kind]?.test(source!.role));
    if (!part) return [];
    const corners = cornersOf(standingWithIt(standing, part.id)),
      heights = corners.map(({ z }) => z);
    return [
      {
        kind,
        name,
        part,
        low: Math.min(...heights),
        top: Math.max(...heights),
        reach: Math.max(...corners.map(({ y }) => -y)),
      },
    ];
  });
}

/** Struts between wings that lie over each other, supports from a body to a wing over it, gussets beside a fin. */
export function foundStruts(material: string, context: FormContext): readonly Strut[] {
  const standing = context.standing?.() ?? { parts: [], pieces: [] },
    borne = borneOf(context.forms, standing),
    wings = borne.filter(({ kind }) => kind === 'wing').sort((a, b) => a.low - b.low),
    bodies = borne.filter(({ kind }) => kind === 'body' || kind === 'layered');
  const between = wings.slice(1).flatMap((upper, index): readonly Wanted[] => {
    const lower = wings[index]!;
    if (upper.low - lower.low < LEAST_GAP_MM) return [];
    const out = Math.round(OUT_SHARE * Math.min(lower.reach, upper.reach));
    return [
      {
        kind: 'strut',
        name: index === 0 ? 'Wing strut' : `Wing strut ${index + 1}`,
        lowerId: lower.part.id,
        upperId: upper.part.id,
        lowerOutMm: out,
        upperOutMm: out,
      },
    ];
  });
  const supports = bodies.flatMap((body) =>
    wings
      .filter(({ low }) => low > body.top + LEAST_GAP_MM / 2)
      .map((wing): Wanted => ({
        kind: 'strut',
        name: `${wing.name} support`,
        lowerId: body.part.id,
        upperId: wing.part.id,
        lowerOutMm: Math.min(SUPPORT_OUT_MM, 0.6 * body.reach),
        upperOutMm: Math.min(SUPPORT_OUT_MM, 0.6 * body.reach),
        lowerFromPercent: 25,
        lowerToPercent: 35,
      })),
  );
  const gussets = (context.forms ?? [])
    .filter(({ kind }) => kind === 'tail')
    .flatMap(({ id, name }): readonly Wanted[] => {
      const named = (role: string): Part | undefined =>
        standing.parts.find(({ part }) => part.source?.formId === id && part.source.role === role)?.part;
      const [fin, stabiliser] = [named('fin'), named('stabiliser')];
      return fin && stabiliser
        ? [
            {
              kind: 'gusset',
              name: `${name} gusset`,
              lowerId: stabiliser.id,
              upperId: fin.id,
              firstMm: 25,
              secondMm: 25,
            },
          ]
        : [];
    });
  const { thicknessMm } = context.boardOf(material);
  return [...between, ...supports, ...gussets]
    .map((one, index) => strutWith({ ...one, id: `s${index + 1}`, name: one.name.slice(0, LONGEST_STRUT_NAME) }))
    .filter((strut) => !isMiss(layOne(strut, standing, thicknessMm)));
}
