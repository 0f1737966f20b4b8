import type { Part } from '../../part/index.ts';
import { formatAngle, formatLengthWithUnit } from '../../units/index.ts';
import {
  madePart,
  partArea,
  partMass,
  placeOf,
  roomOnPiece,
  type FormContext,
  type MadeForm,
  type StandingAirframe,
  type WorkingStep,
} from '../form/index.ts';
import { isMiss, type Miss } from '../standing/index.ts';
import { layGusset, layStrut, type LaidStrut } from './lay-strut.ts';
import type { Strut, StrutForm, StrutParameters } from './parameters.ts';
import { missFaults, strutFaults } from './strut-faults.ts';

/** Everything that a set of struts tells of itself. */
export interface StrutFigures {
  readonly struts: readonly (Pick<
    LaidStrut,
    'lengthMm' | 'foreMm' | 'aftMm' | 'lowerDegrees' | 'upperDegrees' | 'lowerBevel' | 'upperBevel' | 'reliefs'
  > & { readonly id: string; readonly name: string; readonly kind: Strut['kind'] })[];
  readonly foamMm2: number;
  readonly massG: number;
  readonly massAt: { readonly x: number; readonly z: number };
}

/** What struts are made from: what stands, and each of them worked out or why not. */
export interface StrutSite {
  readonly form: StrutForm;
  readonly standing: StandingAirframe;
  readonly thicknessMm: number;
  readonly laid: readonly (LaidStrut | Miss)[];
}

/** A set of struts made. */
export interface MadeStruts extends MadeForm<StrutFigures> {
  readonly site: StrutSite | undefined;
}

const NOTHING: StandingAirframe = { parts: [], pieces: [] };

/** A strut or gusset laid between what it is for. */
export const layOne = (strut: Strut, standing: StandingAirframe, thicknessMm: number): LaidStrut | Miss =>
  strut.kind === 'strut' ? layStrut(strut, standing, thicknessMm) : layGusset(strut, standing, thicknessMm);

const partsOf = ({ id: formId, name, parameters }: StrutForm, { strut, plates, isPair }: LaidStrut): readonly Part[] =>
  plates.map(({ outline, edgeWork, map }, index) =>
    madePart({
      formId,
      role: index === 0 ? strut.id : `${strut.id}-${index + 1}`,
      name: plates.length > 1 ? `${strut.name}, board ${index + 1}` : strut.name,
      group: name,
      material: parameters.material,
      handed: isPair ? 'pair' : 'single',
      grain: { directionDegrees: 90, rule: 'along' },
      outline,
      edgeWork,
      place: placeOf(
        map,
        roomOnPiece(
          outline.map(({ at }) => at),
          outline,
          [],
        ),
      ),
    }),
  );

function working(laid: readonly LaidStrut[], { unit }: FormContext): readonly WorkingStep[] {
  const length = (mm: number): string => formatLengthWithUnit(mm, unit);
  return laid.flatMap(
    ({ strut, lengthMm, foreMm, aftMm, lowerDegrees, upperDegrees, lowerBevel, upperBevel, reliefs }) => [
      strut.kind === 'gusset'
        ? {
            words: strut.name,
            formula: '√(a² + b² − 2·a·b·cos φ)',
            result: `legs ${length(foreMm)} and ${length(aftMm)} at ${formatAngle(lowerDegrees)}, long side ${length(lengthMm)}`,
            source: 'the angle of both plates as they stand',
          }
        : {
            words: strut.name,
            formula: '√(across² + up²) between both faces',
            result: `${length(lengthMm)} in its middle, ${length(foreMm)} before, ${length(aftMm)} behind`,
            source: `ends off square by ${formatAngle(lowerDegrees)} below and ${formatAngle(upperDegrees)} above, bevelled ${formatAngle(lowerBevel)} and ${formatAngle(upperBevel)}`,
          },
      ...reliefs.map(({ end, longMm, wideMm, behindNoseMm, deepMm }): WorkingStep => ({
        words: `${strut.name}: opening in the sheet ${end}`,
        formula: 'end × boards/cos + sheet·tan',
        result: `${length(longMm)} × ${length(wideMm)}, ${length(behindNoseMm)} behind the nose`,
        source: `it goes through ${length(deepMm)} of sheet, down to the plate under it`,
      })),
    ],
  );
}

/**
 * Makes struts, supports and gussets between what stands.
 * @returns no parts, and faults with values that work, when the numbers make none; one whose parts stand nowhere is told and left out
 */
export function makeStruts(form: StrutForm, context: FormContext): MadeStruts {
  const faults = strutFaults(form.parameters, context);
  if (faults.length > 0) return { parts: [], figures: undefined, working: [], faults, site: undefined };
  const standing = context.standing?.() ?? NOTHING,
    { thicknessMm } = context.boardOf(form.parameters.material),
    all = form.parameters.struts.map((strut) => layOne(strut, standing, thicknessMm)),
    laid = all.flatMap((one) => (isMiss(one) ? [] : [one])),
    parts = laid.flatMap((one) => partsOf(form, one));
  const told = missFaults(form, all),
    site = { form, standing, thicknessMm, laid: all };
  if (parts.length === 0) return { parts, figures: undefined, working: [], faults: told, site };
  const massOf = new Map(parts.map((part) => [part.source!.role, partMass(part, context)] as const)),
    massG = [...massOf.values()].reduce((sum, one) => sum + one, 0);
  const mean = (key: 'x' | 'z'): number =>
    laid.reduce(
      (sum, { strut, corners }) =>
        sum + (massOf.get(strut.id)! * strut.boards * corners.reduce((total, p) => total + p[key], 0)) / corners.length,
      0,
    ) / massG;
  return {
    parts,
    figures: {
      struts: laid.map(
        ({ strut: { id, name, kind }, plates: _plates, isPair: _isPair, corners: _corners, ...rest }) => ({
          id,
          name,
          kind,
          ...rest,
        }),
      ),
      foamMm2: parts.reduce((sum, part) => sum + partArea(part) * (part.handed === 'pair' ? 2 : 1), 0),
      massG,
      massAt: { x: mean('x'), z: mean('z') },
    },
    working: working(laid, context),
    faults: told,
    site,
  };
}

/** A set of struts of another size. */
export const scaleStruts = (parameters: StrutParameters, factor: number): StrutParameters => ({
  ...parameters,
  struts: parameters.struts.map((strut) => ({
    ...strut,
    lowerOutMm: strut.lowerOutMm * factor,
    upperOutMm: strut.upperOutMm * factor,
    firstMm: strut.firstMm * factor,
    secondMm: strut.secondMm * factor,
    alongMm: strut.alongMm * factor,
  })),
});

/** The sheets that struts are cut from. */
export const strutMaterials = ({ material }: StrutParameters): readonly string[] => [material];
