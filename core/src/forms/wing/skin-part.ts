import { composeRigid, cross, midpoint, subtract, unitVector, type Point } from '../../geometry/index.ts';
import { LARGEST_GROOVE_FOLD_DEGREES, MOST_OPEN_DEGREES, STEEPEST_BEVEL_DEGREES } from '../../allowance/index.ts';
import type { OperationDraft } from '../../operations/index.ts';
import type { Part } from '../../part/index.ts';
import { madePart, placeIn, type MadeCorner, type MadeEdgeWork, type MadeLine } from '../form/index.ts';
import { skinOutline, type SkinOutline } from '../skin/index.ts';
import { jointSeams } from './joint-seams.ts';
import { isSheet, panelWord, type PanelSite } from './panel.ts';
import { sheetMarks } from './sheet-layers.ts';
import { balanceMarks } from './balance-place.ts';
import { controlCuts, tailEdges } from './control-surface.ts';
import { lowerPlateAt, ontoPlate } from './onto-plate.ts';
import { leadExit, servoOpenings } from './servo-opening.ts';
import { sparFeet } from './spar-place.ts';

type FlatLine = { readonly root: Point; readonly tip: Point };

/** Creases of a skin turn by up to this: a sharper one crushes the foam of both plates, and is grooved. */
const LARGEST_SKIN_CREASE_DEGREES = 22;
/** Turns of less than this are no fold, in degrees. */
const FLAT_DEGREES = 0.02;

/** What folds a skin over one of its lines. */
export function foldWork(turnDegrees: number, label: string, isBent: boolean): OperationDraft | undefined {
  if (Math.abs(turnDegrees) < FLAT_DEGREES) return undefined;
  if (isBent) return { kind: 'bend', face: 'face', foldDegrees: turnDegrees, label };
  if (turnDegrees <= LARGEST_SKIN_CREASE_DEGREES)
    return { kind: 'crease', face: 'face', foldDegrees: turnDegrees, label };
  return {
    kind: 'groove',
    face: 'face',
    foldDegrees: turnDegrees,
    mouthMm: 'auto',
    ...(turnDegrees > LARGEST_GROOVE_FOLD_DEGREES ? { school: 'sanded' as const } : {}),
    label,
  };
}

/** The folds of a skin: over each of its lines, and round the nose by a trench. */
function foldLines({ skin, sections }: PanelSite, { folds, middleOf }: SkinOutline): readonly MadeLine[] {
  const { plates } = sections.root.section,
    lines: MadeLine[] = [];
  for (let index = 1; index < plates.length; index++) {
    const before = plates[index - 1]!,
      after = plates[index]!;
    if (after.isSkin) {
      const whole = skin.turns[index]! + skin.turns[index + 1]!;
      lines.push({
        name: 'nose',
        ...middleOf(index),
        work: {
          kind: 'trench',
          face: 'face',
          foldDegrees: 180,
          openDegrees: bounded(180 - whole, 0),
          leanDegrees: bounded((skin.turns[index + 1]! - skin.turns[index]!) / 2, -MOST_OPEN_DEGREES),
          // As wide as the strip lies between the plates: sweep leans it a little.
          widthMm: stripWidth(skin.flat[index]!, skin.flat[index + 1]!),
          side: 'centre',
          label: 'nose',
        },
      });
      continue;
    }
    if (before.isSkin) continue;
    const label = foldLabel(before.role, after.role);
    const isNose = before.role.startsWith('low') && after.role.startsWith('top');
    const work = foldWork(skin.turns[index]!, label, Boolean(before.isBent && after.isBent && !isNose));
    if (work) lines.push({ name: `fold-${before.role}-${after.role}`, ...folds[index]!, work });
  }
  skin.plates.forEach(({ bend }, index) => {
    if (!bend || plates[index]!.isSkin) return;
    const work = foldWork(bend.turnDegrees, 'twist', true);
    if (!work) return;
    const [a, b] = [folds[index]!, folds[index + 1]!];
    const run = bend.isRising ? { from: a.from, to: b.to } : { from: a.to, to: b.from };
    lines.push({ name: `twist-${plates[index]!.role}`, ...run, work });
  });
  return lines;
}

const bounded = (degrees: number, least: number): number => Math.max(least, Math.min(MOST_OPEN_DEGREES, degrees));

/** A lap's mark on a plate that twists by more than this lies on no plane that it could be measured on. */
const MOST_LAP_TWIST_MM = 0.5;

/** Width of a strip between two lines of one direction on the flat. */
const stripWidth = (low: FlatLine, top: FlatLine): number =>
  Math.abs(cross(unitVector(low.root, low.tip), subtract(top.root, low.root)));

function foldLabel(before: string, after: string): string {
  if (before === 'bottom' || (before.startsWith('low') && after.startsWith('top'))) return 'nose';
  if (before === 'front') return 'front of the spar';
  if (after === 'rear') return 'rear of the spar';
  return '';
}

function sparMarks(site: PanelSite): readonly MadeLine[] {
  return sparFeet(site).flatMap(({ name, label, root, tip, atRoot, atTip }): readonly MadeLine[] => {
    const plate = lowerPlateAt(site, atRoot, atTip);
    if (plate === undefined) return [];
    return [
      {
        name,
        from: ontoPlate(site, plate, root, 'root'),
        to: ontoPlate(site, plate, tip, 'tip'),
        work: { kind: 'mark', face: 'face', label },
      },
    ];
  });
}

/** Where the lower skin's inner edge comes on the upper skin. */
function lapMark(site: PanelSite): readonly MadeLine[] {
  const { sections, skin, board } = site;
  const [root, tip] = [sections.root.section.lapMm, sections.tip.section.lapMm];
  if (!root || !tip) return [];
  const last = skin.flat.length - 1;
  const low = skin.ends[0]!,
    top = skin.ends[last]!;
  // Where both tails lie beside each other; the lower one's inner edge runs the lap before its tail, a board over its outside.
  const [inner, outer] = [Math.max(low.root.x, top.root.x), Math.min(low.tip.x, top.tip.x)];
  const contact = (out: number, end: 'root' | 'tip', lapMm: number): Point => {
    const share = (out - low.root.x) / (low.tip.x - low.root.x);
    const at = {
      x: out,
      y: low.root.y + (low.tip.y - low.root.y) * share - lapMm,
      z: low.root.z + (low.tip.z - low.root.z) * share + board.thicknessMm,
    };
    return ontoPlate(site, last - 1, at, end);
  };
  return [
    {
      name: 'lap',
      from: contact(inner, 'root', root),
      to: contact(outer, 'tip', tip),
      work: { kind: 'mark', face: 'face', label: 'lap' },
    },
  ];
}

function tailWork(site: PanelSite): readonly MadeEdgeWork[] {
  const { sections } = site;
  // A bevel runs square to its edge, which a taper leans.
  const { root: tailRoot, tip: tailTip } = site.skin.ends[0]!,
    lean = Math.atan2(tailTip.y - tailRoot.y, tailTip.x - tailRoot.x);
  const square = (bevel: number): number =>
    (Math.atan(Math.tan((bevel * Math.PI) / 180) * Math.cos(lean)) * 180) / Math.PI;
  const mean = (which: 'lowDegrees' | 'topDegrees'): number =>
    square((sections.root.section.tailBevels[which] + sections.tip.section.tailBevels[which]) / 2);
  return (
    [
      ['tail-low', mean('lowDegrees')],
      ['tail-top', mean('topDegrees')],
    ] as const
  ).flatMap(([edge, bevelDegrees]): readonly MadeEdgeWork[] =>
    bevelDegrees < 0.05
      ? []
      : [
          {
            name: `bevel-${edge}`,
            edges: tailEdges(site, edge === 'tail-low' ? 'low' : 'top'),
            work: {
              kind: 'bevel',
              face: 'face',
              bevelDegrees,
              ...(bevelDegrees > STEEPEST_BEVEL_DEGREES ? { cutBy: 'block' as const } : {}),
              label: 'tail',
            },
          },
        ],
  );
}

/** The outline with what its controls cut out of both tail edges. */
function withControls(site: PanelSite, corners: readonly MadeCorner[]): readonly MadeCorner[] {
  const { low, top } = controlCuts(site);
  return corners.flatMap((corner) =>
    corner.edge === 'tail-low' ? [corner, ...low] : corner.edge === 'tail-top' ? [corner, ...top] : [corner],
  );
}

/** Each stretch of the lower tail meets its stretch of the upper one. */
function tailSeams(
  site: PanelSite,
  isPartLap: boolean,
): readonly {
  readonly name: string;
  readonly from: string;
  readonly to: string;
  readonly mayOverhang: boolean;
}[] {
  const tops = tailEdges(site, 'top');
  return tailEdges(site, 'low').map((from, index) => ({
    name: index === 0 ? 'tail' : `tail-${index}`,
    from,
    to: isPartLap ? 'lap' : tops[index]!,
    mayOverhang: true,
  }));
}

/** The skin of a panel: one flat part that folds round the spar and closes at the tail. */
export function skinPart(site: PanelSite): Part {
  const { formId, formName, wing, laid, sections, skin, board, place } = site;
  const { plates } = sections.root.section;
  const isOpen = isSheet(site),
    boards = plates.filter(({ isSkin }) => !isSkin).map(({ role }) => role);
  const outline = skinOutline(skin, plates, site.root, site.tip, board.thicknessMm, isOpen ? 'nose' : undefined);
  const base = plates.findIndex(
    (_, index) => skin.plates[index]!.pieces[0].map.x.y === 0 && plates[index]!.isSkin !== true,
  );
  const standing = skin.plates[Math.max(0, base)]!.pieces[0];
  const corners = standing.corners;
  const onPlate = midpoint(midpoint(corners[0]!, corners[1]!), midpoint(corners[2]!, corners.at(-1)!));
  const lap = lapMark(site),
    isPartLap =
      lap.length > 0 &&
      (wing.lapMm !== undefined || wing.controls.length > 0) &&
      skin.plates.at(-1)!.twistMm < MOST_LAP_TWIST_MM;
  return madePart({
    formId,
    role: `skin-${laid.number}`,
    name: `${formName} ${isOpen ? 'plate' : 'skin'}${panelWord(site)}`,
    group: formName,
    material: wing.material,
    handed: laid.isMiddle ? 'single' : 'pair',
    grain: { directionDegrees: 0, rule: 'along' },
    outline: withControls(site, outline.corners),
    holes: [...servoOpenings(site), ...leadExit(site)],
    lines: [
      ...foldLines(site, outline),
      ...sparMarks(site),
      ...lap,
      ...(isOpen ? sheetMarks(site) : []),
      ...balanceMarks(site),
    ],
    edgeWork: [...outline.endWork, ...tailWork(site)],
    seams: [
      ...(wing.tail === 'strip' || isOpen ? [] : tailSeams(site, isPartLap)),
      ...jointSeams(site, boards, (panel) => `skin-${panel}`),
    ],
    place: placeIn(place, composeRigid(standing.map, laid.map), onPlate),
  });
}
