import { largestFoldOf } from '../../allowance/index.ts';
import { formatAngle, formatLengthWithUnit } from '../../units/index.ts';
import type { FormContext, FormFault } from '../form/index.ts';
import { USUAL_NOSE_BOARDS } from '../section/index.ts';
import { hasSkins, isSheet, type PanelSite } from './panel.ts';
import { boardAdvice } from './board-advice.ts';
import { controlAdvice } from './control-advice.ts';
import { controlChords } from './control-chords.ts';
import { controlsOf } from './control-place.ts';
import { laidServo, servosOf } from './servo-opening.ts';
import { blocking } from '../form/index.ts';

/** Radii under which board cracks, in board thicknesses: with its paper on. */
const FACED_RADIUS_BOARDS = 12;
/** The same of unfaced extruded foam. */
const UNFACED_RADIUS_BOARDS = 25;
/** Twist of a plate that is worth telling, in mm. */
const TOLD_TWIST_MM = 1;

/** A plate rolled tighter than board takes. */
function rollAdvice({ sections, wing, board }: PanelSite, index: number, { unit }: FormContext): readonly FormFault[] {
  const radius = Math.min(sections.root.section.tightestMm ?? Infinity, sections.tip.section.tightestMm ?? Infinity),
    least = UNFACED_RADIUS_BOARDS * board.thicknessMm;
  if (radius >= least || !wing.camber) return [];
  const value = Math.max(0.5, Math.floor(((wing.camber.heightPercent * radius) / least) * 10) / 10);
  return [
    {
      ...blocking(
        'ROLL_TIGHT',
        'camber.heightPercent',
        `Panel ${index + 1} is rolled round ${formatLengthWithUnit(radius, unit, 0)}`,
        `Unfaced foam cracks under ${formatLengthWithUnit(least, unit, 0)}: roll it in steps over a tube, warm, or take less camber.`,
        `Set ${value} %`,
        [{ path: 'camber.heightPercent', value }],
      ),
      isBlocking: false,
    },
  ];
}

/** A nose bent tighter than this on its outside, in boards, is crushed on its inside. */
const LEAST_NOSE_BOARDS = 1.6;

/** What can be made but wants a look: steep noses, twist, tight bends, servos that do not fit. */
export function adviceFaults(sites: readonly PanelSite[], context: FormContext): readonly FormFault[] {
  const { wing, board } = sites[0]!,
    length = (mm: number): string => formatLengthWithUnit(mm, context.unit);
  const faults: FormFault[] = [];
  const advise = (...[code, path, title, detail, label, changes]: Parameters<typeof blocking>): void =>
    void faults.push({ ...blocking(code, path, title, detail, label, changes), isBlocking: false });
  const nose = sites[0]!.sections.root.section.plates.findIndex(
    ({ role }) => role === 'front' || role.startsWith('top'),
  );
  const steepest = largestFoldOf({ school: 'sanded', toolDegrees: 45 });
  const turn =
    nose >= 0 && wing.nose === 'bevels' && wing.section.kind === 'strip-spar'
      ? Math.max(...sites.map(({ skin }) => skin.turns[nose]!))
      : 0;
  if (turn > steepest)
    advise(
      'NOSE_STEEP',
      'nose',
      `The nose folds ${formatAngle(turn)}`,
      `Two sanded bevels take up to ${formatAngle(steepest)}; a doubled trench takes it as it is.`,
      'Make it a doubled trench',
      [{ path: 'nose', value: 'trench' }],
    );
  const radius = wing.noseRadiusMm ?? USUAL_NOSE_BOARDS * board.thicknessMm,
    least = LEAST_NOSE_BOARDS * board.thicknessMm;
  if (hasSkins(sites[0]!) && wing.nose === 'bent' && wing.section.kind === 'strip-spar' && radius < least)
    advise(
      'NOSE_TIGHT',
      'noseRadiusMm',
      `The nose bends round ${length(radius)}`,
      `The inside is a board tighter: under ${length(least)} outside its foam is crushed, with its inner paper peeled too.`,
      `Set ${length(least)}`,
      [{ path: 'noseRadiusMm', value: least }],
    );
  sites.forEach((site, index) => {
    const twist = Math.max(...site.skin.plates.map(({ twistMm }) => twistMm));
    if (twist > TOLD_TWIST_MM && site.laid.panel.tipSparHeightMm !== undefined)
      advise(
        'TWIST',
        `panels.${index}.tipSparHeightMm`,
        `The skin of panel ${index + 1} twists by ${length(twist)}`,
        'Its slopes differ from root to tip: it is unrolled as two triangles, and bends a little when it is glued.',
        'Thin the spar so that it is plane',
        [{ path: `panels.${index}.tipSparHeightMm`, value: undefined }],
      );
    if (twist > TOLD_TWIST_MM && wing.sparKind === 'rod')
      advise(
        'TWIST',
        'sparKind',
        `The skin of panel ${index + 1} twists by ${length(twist)} over its rod`,
        'A rod is as thick at the tip as at the root, where the chord is less: a spar of strips tapers with it.',
        'Take strips side by side',
        [{ path: 'sparKind', value: 'strips' }],
      );
    faults.push(...boardAdvice(site, context), ...controlAdvice(site, context));
    if (isSheet(site)) faults.push(...rollAdvice(site, index, context));
    for (const end of isSheet(site) ? [] : [site.sections.root, site.sections.tip]) {
      const radius = end.section.tightestMm;
      if (radius !== undefined && radius < FACED_RADIUS_BOARDS * board.thicknessMm) {
        advise(
          'BEND_TIGHT',
          'skin',
          `The skin bends round ${length(radius)}`,
          `Faced board cracks under ${length(FACED_RADIUS_BOARDS * board.thicknessMm)}, unfaced foam under ${length(UNFACED_RADIUS_BOARDS * board.thicknessMm)}: crease it, or roll and tape it first.`,
          'Crease it',
          [{ path: 'skin', value: 'creased' }],
        );
        break;
      }
    }
    const { lowDegrees } = site.sections.root.section.tailBevels,
      run = board.thicknessMm * Math.tan((lowDegrees * Math.PI) / 180),
      short = controlsOf(site).find((control) => controlChords(control).least < run);
    if (short)
      advise(
        'TAIL_PAST_HINGE',
        'tail',
        `The tail is sanded past the hinge of the ${short.kind}`,
        `Its bevels run ${length(run)} forward, the ${short.kind} is ${length(controlChords(short).least)} deep: at the hinge the skins are thinner than the board.`,
        'Lap it square',
        [{ path: 'tail', value: 'square' }],
      );
    servosOf(site).forEach((servo) => {
      const at = wing.servos.indexOf(servo),
        laid = laidServo(site, servo);
      if (laid.way === 'too deep')
        advise(
          'SERVO_DEEP',
          `servos.${at}.aftMm`,
          `A servo of panel ${index + 1} is too deep`,
          `There ${length(laid.depthMm)} are free from the outside of the bottom to the top skin; lying on its side it needs ${length(servo.widthMm)}.`,
          'Put it against the spar',
          [{ path: `servos.${at}.aftMm`, value: 0 }],
        );
      else if (laid.overMm > 0)
        advise(
          'SERVO_PAST_END',
          `servos.${at}.outMm`,
          `A servo of panel ${index + 1} reaches past its end`,
          `Its opening stands ${length(laid.overMm)} too near to the end.`,
          'Bring it in',
          [
            {
              path: `servos.${at}.outMm`,
              value: Math.round(
                Math.min(site.laid.panel.spanMm - laid.spanwiseMm, Math.max(laid.spanwiseMm, servo.outMm)),
              ),
            },
          ],
        );
    });
  });
  return faults;
}
