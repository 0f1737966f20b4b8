import { formatAngle, formatLengthWithUnit, worded } from '../../units/index.ts';
import { boundFaults, parameterAt, quantity, withParameter, type FormContext, type FormFault } from '../form/index.ts';
import { nacaFault } from '../section/index.ts';
import { dihedrals, layPanels } from './panel-layout.ts';
import { channelNumberFaults } from './channel-faults.ts';
import { panelSections, type WingRefusal } from './panel-sections.ts';
import type { PanelSite } from './panel.ts';
import { ribNumberFaults } from './rib-faults.ts';
import { sheetFaults } from './sheet-faults.ts';
import { blocking } from '../form/index.ts';
import { controlFaults } from './control-faults.ts';
import { MOST_PANELS, PANEL_FIELDS, type WingParameters } from './parameters.ts';
import { wingNumbers } from './wing-numbers.ts';

/** Joints turn by up to this: beyond it the ends of both panels run into each other, in degrees. */
export const MOST_TURN_DEGREES = 80;

/** What does not go together. */
function shapeFaults(wing: WingParameters, context: FormContext): readonly FormFault[] {
  const { unit } = context,
    { panels, section, middle } = wing,
    faults: FormFault[] = [];
  const add = (...fault: Parameters<typeof blocking>): void => void faults.push(blocking(...fault));
  if (panels.length === 0 || panels.length > MOST_PANELS)
    faults.push({
      code: 'PANELS',
      path: 'panels',
      title: `A wing has 1 to ${MOST_PANELS} panels a side, this one has ${panels.length}`,
      detail: 'Take some out, or make two wings of it.',
      isBlocking: true,
    });
  if (section.kind === 'naca') {
    const fault = nacaFault(section.digits ?? '');
    if (fault)
      add('NACA', 'section.digits', 'There is no such section', fault, 'Take 2412', [
        { path: 'section.digits', value: '2412' },
      ]);
  }
  if (section.kind === 'points' && (section.points?.length ?? 0) < 20)
    add(
      'SECTION_POINTS',
      'section.kind',
      'The section was not read',
      'A section needs at least 10 points along its outer line.',
      'Take the strip-spar section',
      [{ path: 'section.kind', value: 'strip-spar' }],
    );
  if (wing.build === 'cored' && section.kind === 'strip-spar')
    add(
      'CORED_SECTION',
      'section.kind',
      'A foam core wants a drawn section',
      'A strip-spar section is made of skins: take digits, or read a file of points.',
      'Take 2412',
      [
        { path: 'section.kind', value: 'naca' },
        { path: 'section.digits', value: '2412' },
      ],
    );
  const first = panels[0];
  if (middle === 'panel' && first) {
    if (first.tipChordMm !== wing.rootChordMm)
      add(
        'MIDDLE_TAPERS',
        'panels.0.tipChordMm',
        'The middle panel tapers',
        'A panel that runs across the middle has one chord: let the next one taper.',
        'Make it constant',
        [{ path: 'panels.0.tipChordMm', value: wing.rootChordMm }],
      );
    for (const key of ['sweepDegrees', 'dihedralDegrees', 'washoutDegrees'] as const)
      if (first[key] !== 0)
        add(
          'MIDDLE_LEANS',
          `panels.0.${key}`,
          `The middle panel has ${formatAngle(first[key])} of ${PANEL_FIELDS[key].word.toLowerCase()}`,
          'A panel that runs across the middle lies straight and flat.',
          'Set 0°',
          [{ path: `panels.0.${key}`, value: 0 }],
        );
  }
  return faults.length > 0 || panels.length === 0
    ? faults
    : [
        ...turnFaults(wing),
        ...controlFaults(wing, unit),
        ...sheetFaults(wing, unit),
        ...channelNumberFaults(wing),
        ...ribNumberFaults(wing, context),
      ];
}

/** Joints that turn too far, each panel's own dihedral being what is changed. */
function turnFaults(wing: WingParameters): readonly FormFault[] {
  const angles = dihedrals(wing);
  return angles.flatMap((angle, index): readonly FormFault[] => {
    const before = index === 0 ? (wing.middle === 'joint' ? -angle : 0) : angles[index - 1]!;
    const turn = angle - before;
    if (Math.abs(turn) <= MOST_TURN_DEGREES && Math.abs(angle) <= 85) return [];
    const own = wing.panels[index]!.dihedralDegrees,
      nearest =
        index === 0 && wing.middle === 'joint'
          ? Math.sign(angle) * (MOST_TURN_DEGREES / 2)
          : wing.dihedralAgainst === 'neighbour'
            ? Math.sign(own) * Math.min(MOST_TURN_DEGREES, Math.abs(own), 85 - Math.sign(own) * before)
            : Math.max(-85, Math.min(85, before + Math.sign(turn) * MOST_TURN_DEGREES));
    return [
      blocking(
        'TURN',
        `panels.${index}.dihedralDegrees`,
        `Panel ${index + 1} turns ${formatAngle(Math.abs(turn))} at its joint`,
        `A joint turns by up to ${MOST_TURN_DEGREES}°, and no panel leans more than 85°.`,
        `Set ${formatAngle(nearest)}`,
        [{ path: `panels.${index}.dihedralDegrees`, value: nearest }],
      ),
    ];
  });
}

/** Values that a number is likely to work with, to search toward. */
function likely(wing: WingParameters, path: string, thicknessMm: number): readonly number[] {
  if (path.endsWith('tipChordMm')) return [wing.rootChordMm];
  if (path === 'rootChordMm') return [Math.max(40 * thicknessMm, 1.2 * wing.rootChordMm), 100 * thicknessMm];
  if (path === 'sparPercent') return [30, 40];
  if (path === 'section.creases') return [9, 13];
  if (path === 'sparHeightMm') return [2 * thicknessMm, 0.06 * wing.rootChordMm, 2];
  return [];
}

/** How finely a working value is searched for: so many halvings. */
const HALVINGS = 12;

/** The value nearest to the one that does not work that does; undefined when none of the likely ones works. */
function nearestWorking(
  wing: WingParameters,
  path: string,
  works: (wing: WingParameters) => boolean,
  thicknessMm: number,
): number | undefined {
  const from = parameterAt(wing, path) as number;
  const good = likely(wing, path, thicknessMm).find((value) => works(withParameter(wing, path, value)));
  if (good === undefined) return undefined;
  const isCount = path.endsWith('creases'),
    rounded = (value: number): number =>
      isCount ? Math.round(value) : good > from ? Math.ceil(value * 10) / 10 : Math.floor(value * 10) / 10;
  let [bad, best] = [from, good];
  for (let round = 0; round < HALVINGS; round++) {
    const middle = rounded((bad + best) / 2);
    if (middle === best || middle === bad) break;
    if (works(withParameter(wing, path, middle))) best = middle;
    else bad = middle;
  }
  return best;
}

/** A refusal of a section as a fault: of the numbers that may mend it, the first that does. */
function refusalFault(wing: WingParameters, refusal: WingRefusal, context: FormContext): FormFault {
  const { thicknessMm } = context.boardOf(wing.material);
  const works = (tried: WingParameters): boolean =>
    !('refused' in panelSections(tried, layPanels(tried), context.boardOf));
  const paths = [
    ...new Set([
      refusal.path,
      'sparPercent',
      'sparHeightMm',
      'rootChordMm',
      ...wing.panels.map((_, index) => `panels.${index}.tipChordMm`),
    ]),
  ];
  const fields = new Map(wingNumbers(wing));
  const fault = {
    code: 'NO_SECTION',
    path: refusal.path,
    title: refusal.refused,
    detail: worded(refusal.detail, context.unit),
    isBlocking: true,
  };
  for (const path of paths) {
    const value =
      typeof parameterAt(wing, path) === 'number' ? nearestWorking(wing, path, works, thicknessMm) : undefined;
    const field = fields.get(path);
    if (value !== undefined && field && value >= field.least && value <= field.most)
      return {
        ...fault,
        mend: {
          label: `Set ${field.word.toLowerCase()} ${quantity(value, field, context)}`,
          changes: [{ path, value }],
        },
      };
  }
  const level = wing.panels.map((_, index) => ({
    path: `panels.${index}.tipChordMm`,
    value: Math.max(wing.rootChordMm, 36 * thicknessMm),
  }));
  return {
    ...fault,
    mend: {
      label: 'Start from usual numbers',
      changes: [
        { path: 'rootChordMm', value: Math.max(wing.rootChordMm, 36 * thicknessMm) },
        { path: 'sparPercent', value: 30 },
        { path: 'sparHeightMm', value: 2 * thicknessMm },
        { path: 'sparBoards', value: 1 },
        { path: 'tail', value: 'lap' },
        { path: 'nose', value: 'trench' },
        { path: 'section.creases', value: 11 },
        ...(wing.section.kind === 'naca' ? [{ path: 'section.digits', value: '2415' }] : []),
        ...(wing.section.kind === 'points' ? [{ path: 'section.kind', value: 'strip-spar' }] : []),
        ...wing.panels.map((_, index) => ({ path: `panels.${index}.tipSparHeightMm`, value: undefined })),
        ...level,
      ],
    },
  };
}

/** Why no parts can be made of these numbers: each with a value that works. None when parts can be made. */
export function blockingFaults(wing: WingParameters, context: FormContext): readonly FormFault[] {
  const bounds = boundFaults(wing, wingNumbers(wing), context);
  if (bounds.length > 0) return bounds;
  const shape = shapeFaults(wing, context);
  if (shape.length > 0) return shape;
  const sections = panelSections(wing, layPanels(wing), context.boardOf);
  return 'refused' in sections ? [refusalFault(wing, sections, context)] : [];
}

/** The least of a panel that is left between its two tilted ends, in mm. */
const LEAST_PANEL_MM = 5;

/** Panels whose tilted ends meet before they do: told once the skins are known. */
export function crossedEnds(sites: readonly PanelSite[], context: FormContext): readonly FormFault[] {
  return sites.flatMap(({ skin, laid }, index): readonly FormFault[] => {
    const least = Math.min(...skin.ends.map(({ root, tip }) => tip.x - root.x));
    if (least >= LEAST_PANEL_MM) return [];
    const nearest = Math.ceil(laid.panel.spanMm + LEAST_PANEL_MM - least);
    const path = `panels.${index}.spanMm`;
    return [
      blocking(
        'ENDS_CROSS',
        path,
        `Panel ${index + 1} is too short for the turns at its ends`,
        `Its ends lean toward each other and meet before the skin closes: ${formatLengthWithUnit(Math.max(0, least), context.unit)} are left.`,
        `Set ${formatLengthWithUnit(nearest, context.unit)}`,
        [{ path, value: nearest }],
      ),
    ];
  });
}
