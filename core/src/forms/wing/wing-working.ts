import { formatAngle, formatLengthWithUnit, degrees } from '../../units/index.ts';
import type { FormContext, WorkingStep } from '../form/index.ts';
import { coreOf } from './core-block.ts';
import { USUAL_CAMBER } from './builds.ts';
import { USUAL_NOSE_BOARDS } from '../section/index.ts';
import { isSheet, type PanelSite } from './panel.ts';
import { rodWords } from './rod-lengths.ts';
import type { WingFigures } from './wing-figures.ts';

/** The hand calculation that the wing replaces, step by step. */
export function wingWorking(
  sites: readonly PanelSite[],
  figures: WingFigures,
  { unit }: FormContext,
): readonly WorkingStep[] {
  const length = (mm: number, digits = 1): string => formatLengthWithUnit(mm, unit, digits);
  return [
    ...sectionSteps(sites[0]!, length),
    ...sites.flatMap((site) => jointSteps(site, length)),
    ...blockSteps(figures, length),
    ...rodSteps(sites[0]!, figures, length),
    ...tubeSteps(figures, length),
    ...braceSteps(sites[0]!, figures, length),
    ...coreSteps(sites[0]!, figures, length),
    {
      words: 'Mean chord of the wing',
      formula: '2/S ∫ c² dy, S the area seen from above',
      result: `${length(figures.meanChordMm)}, its nose ${length(figures.meanChordNoseMm)} aft of the root's`,
      source: 'mean aerodynamic chord of a straight-tapered planform, panel by panel',
    },
  ];
}

type Length = (mm: number, digits?: number) => string;

/** Depth of a stepped section at each of its steps; roll of a cambered one. */
function sheetSteps(site: PanelSite, length: Length): readonly WorkingStep[] {
  const { sections, board, wing } = site,
    { chordMm } = sections.root,
    t = board.thicknessMm;
  if (wing.build === 'cambered') {
    const { heightPercent, atPercent } = wing.camber ?? USUAL_CAMBER;
    const { corners, tightestMm } = sections.root.section;
    const rolled = corners
      .slice(1)
      .reduce((sum, corner, at) => sum + Math.hypot(corner.x - corners[at]!.x, corner.y - corners[at]!.y), 0);
    return [
      {
        words: 'Camber at the root',
        formula: 'm·c, highest at p·c',
        result: `${length((heightPercent * chordMm) / 100)} at ${length((atPercent * chordMm) / 100)}`,
        source: 'two parabolas that meet level: the mean line of four-digit sections',
      },
      {
        words: 'Width of the plate on the flat',
        formula: 'along its underside, from nose to tail',
        result: `${length(rolled)} for a chord of ${length(chordMm)}; rolled round ${length(tightestMm ?? 0, 0)} at the tightest`,
        source: 'c²·p²/(2·m·c), the smaller of p and 1 − p',
      },
    ];
  }
  const stops = [
    ...new Set([0, ...(wing.layers ?? []).flatMap(({ fromPercent, toPercent }) => [fromPercent, toPercent]), 100]),
  ].sort((a, b) => a - b);
  return stops.slice(1).map((to, at): WorkingStep => {
    const from = stops[at]!,
      count = 1 + (wing.layers ?? []).filter((layer) => layer.fromPercent <= from && layer.toPercent >= to).length;
    return {
      words: `Deep from ${Math.round(from * 10) / 10} to ${Math.round(to * 10) / 10} % of the chord`,
      formula: 'boards · t',
      result: `${length(count * t)} = ${((100 * count * t) / chordMm).toFixed(1)} % at the root, ${((100 * count * t) / sections.tip.chordMm).toFixed(1)} % at the tip of the panel`,
      source: `${count} ${count === 1 ? 'board' : 'boards'} of ${length(t, 2)} as measured`,
    };
  });
}

function sectionSteps(site: PanelSite, length: Length): readonly WorkingStep[] {
  if (isSheet(site)) return sheetSteps(site, length);
  if (site.wing.build === 'cored') return [];
  const { sections, board, wing } = site;
  const { section, sparHeightMm, sparFrontMm } = sections.root,
    t = board.thicknessMm;
  if (wing.section.kind !== 'strip-spar') {
    return [
      {
        words: 'Creases on the section',
        formula: 'of all rows of creases on it, the one whose greatest distance from it is least',
        result: `${section.plates.length - 1} folds, ${length(section.deviationMm ?? 0, 2)} off at most`,
        source: 'dynamic programming over the last corner',
      },
      {
        words: 'Spar height at the root, between the skins where they leave least room',
        formula: 'top − bottom, each moved in by t',
        result: length(sparHeightMm),
        source: 'inner faces of both skins over the width of the spar',
      },
    ];
  }
  const corners = section.corners,
    at = section.plates.findIndex(({ role }) => role === 'cap');
  const steps: WorkingStep[] = [
    {
      words: 'Depth over the spar',
      formula: 'h + 2·t',
      result: length(sparHeightMm + 2 * t),
      source: `spar ${length(sparHeightMm)}, board ${length(t, 2)} as measured`,
    },
  ];
  if (wing.nose === 'bent') {
    const bent = section.plates
      .map(({ role }, index) => (role.startsWith('nose') ? index : -1))
      .filter((index) => index >= 0)
      .reduce(
        (sum, index) =>
          sum + Math.hypot(corners[index + 1]!.x - corners[index]!.x, corners[index + 1]!.y - corners[index]!.y),
        0,
      );
    steps.push({
      words: 'Round the nose on the flat',
      formula: 'r·(π − θ₁)',
      result: length(bent),
      source: `bent round ${length(wing.noseRadiusMm ?? USUAL_NOSE_BOARDS * t)} on its outside, which does not stretch`,
    });
  }
  if (at < 0) {
    steps.push({
      words: 'Bent over the spar, its tightest radius',
      formula: 'least ∫ z″² dx over what it rests on',
      result: length(section.tightestMm ?? 0, 0),
      source: 'line of least bending energy for small slopes: a natural cubic spline',
    });
    return steps;
  }
  const [before, front, rear, after] = [corners[at - 1]!, corners[at]!, corners[at + 1]!, corners[at + 2]!];
  const slope = (a: typeof front, b: typeof front): number => degrees(Math.atan2(Math.abs(b.y - a.y), b.x - a.x));
  const [one, two] = [slope(before, front), slope(rear, after)];
  const flat = corners
    .slice(1)
    .map((corner, index) => Math.hypot(corner.x - corners[index]!.x, corner.y - corners[index]!.y));
  steps.push(
    {
      words: 'Front crease, aft of the nose',
      formula: 'x − t·tan(θ₁/2)',
      result: `${length(front.x)} at ${formatAngle(one)}`,
      source: `the inner faces meet over the spar's front edge at ${length(sparFrontMm)}`,
    },
    {
      words: 'Rear crease, aft of the nose',
      formula: 'x + w + t·tan(θ₂/2)',
      result: `${length(rear.x)} at ${formatAngle(two)}`,
      source: 'the same over its rear edge; θ follows from the crease, so both are found together',
    },
    {
      words: 'Width of the skin on the flat at the root, tail to tail',
      formula: 'lengths along the outer skin, which does not stretch',
      result: `${length(flat.reduce((sum, own) => sum + own, 0))} = ${flat.map((own) => length(own)).join(' + ')}`,
      source: section.plates.map(({ role }) => role).join(' + '),
    },
  );
  return steps;
}

function jointSteps({ laid, sections, wing }: PanelSite, length: Length): readonly WorkingStep[] {
  const tilt = laid.rootTiltDegrees;
  if (Math.abs(tilt) < 0.05) return [];
  const top = Math.max(...sections.root.section.corners.map(({ y }) => y)),
    short = top * Math.tan((Math.abs(tilt) * Math.PI) / 180);
  const up = tilt > 0;
  return [
    {
      words: `Inner end of panel ${laid.number}: half the turn of the joint`,
      formula: 'β = Δ/2; at height z the end lies z·tan β further in',
      result: `β = ${formatAngle(Math.abs(tilt))}, the top skin ${length(short)} ${up ? 'shorter' : 'longer'} than the bottom: the ${up ? 'bottom' : 'top'} is the longer skin`,
      source:
        wing.ends === 'square'
          ? `cut square: the ${up ? "top's outer and the bottom's inner" : "top's inner and the bottom's outer"} faces touch first`
          : 'bevelled: each edge lies in the plane that halves the joint',
    },
  ];
}

/** How each block is cut, in order. */
function coreSteps({ wing }: PanelSite, { blocks }: WingFigures, length: Length): readonly WorkingStep[] {
  if (blocks.length === 0) return [];
  const { coveringMm, burnMm, numbers } = coreOf(wing),
    off = burnMm - coveringMm;
  return [
    {
      words: 'Edge that the wire runs on, outside the section',
      formula: 'melt − covering',
      result: `${length(off, 2)} ${off < 0 ? '(inside it)' : ''}`.trim(),
      source: `${length(burnMm, 2)} are melted beyond the edge, ${length(coveringMm, 2)} of covering come back on`,
    },
    ...blocks.map(({ panel, lengthMm, widthMm, heightMm, massG }) => ({
      words: `Block of panel ${panel}: its big faces flat first, then the upper side, then the lower`,
      formula: 'sections as placed by sweep and washout, and a margin round them',
      result: `${length(lengthMm, 0)} × ${length(widthMm, 0)} × ${length(heightMm, 0)}, the core ${massG.toFixed(1)} g`,
      source: `both ends pass the same of ${numbers} numbers at the same time`,
    })),
  ];
}

const rodSteps = ({ wing }: PanelSite, { rods }: WingFigures, length: Length): readonly WorkingStep[] =>
  rods.map((rod) => ({
    words: `Rod through ${rodWords(rod)}`,
    formula: 'from joint to joint along the lower skin',
    result: `${length(rod.lengthMm)} of ${length(wing.sparHeightMm)}`,
    source: 'it goes on through a joint that is straight, and butts in one that turns: a sleeve or a brace carries it',
  }));

const braceSteps = (
  { wing: { braces } }: PanelSite,
  { joints }: WingFigures,
  length: Length,
): readonly WorkingStep[] =>
  braces && joints.length > 0
    ? [
        {
          words: 'Braces through the joints that are glued',
          formula: 'foot and top of the spar in both panels, met in the plane of the joint',
          result: `${length(braces.reachMm)} into each panel, of ${braces.material}`,
          source: 'on the front of the spar: the servo leads run behind it',
        },
      ]
    : [];

const tubeSteps = ({ tubes }: WingFigures, length: Length): readonly WorkingStep[] =>
  tubes.map(({ name, tubeMm, sleeveMm, diameterMm, leanDegrees }) => ({
    words: `Tube through the ${name}`,
    formula: 'square to the joint: z − d·tan(Δ/2) at d into each panel',
    result: `${length(tubeMm)}, sleeves ${length(sleeveMm)} of ${length(diameterMm)} outside; each panel leans ${formatAngle(Math.abs(leanDegrees))} off it`,
    source: 'the dihedral lies in the holes of the ribs: no bent joiner',
  }));

function blockSteps({ stations }: WingFigures, length: Length): readonly WorkingStep[] {
  return stations
    .filter(({ heightMm }) => heightMm > 0.5)
    .map(({ name, heightMm, outMm }): WorkingStep => ({
      words: `Height of the ${name} over the table`,
      formula: 'Σ panel · sin dihedral',
      result: `${length(heightMm)} at ${length(outMm)} from the middle`,
      source: 'with the lowest station on the table',
    }));
}
