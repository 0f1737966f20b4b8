import { formatLengthWithUnit, type LengthUnit } from '../../units/index.ts';
import type { FormFault } from '../form/index.ts';
import { blocking } from '../form/index.ts';
import { controlChords } from './control-chords.ts';
import { dihedrals } from './panel-layout.ts';
import type { WingControl, WingParameters } from './parameters.ts';

/** Least length of a control, in mm. */
const LEAST_CONTROL_MM = 20;
/** Controls are at most this deep, as a share of the shorter chord of their panel. */
const DEEPEST_CONTROL = 0.45;
/** Wing that is left at each end of a control, and between two, in mm. */
const LEFT_MM = 5;
/** Boards are about as thick as this at most, where the trim of a tilted end is figured. */
const THICK_MM = 6;

/** What of a panel a control may take: wing is left at both ends, more where they tilt. */
function roomOf(wing: WingParameters, index: number): readonly [number, number] {
  const angles = dihedrals(wing),
    own = angles[index]!,
    depth = wing.sparHeightMm + 2 * THICK_MM;
  const before = index === 0 ? (wing.middle === 'joint' ? -own : own) : angles[index - 1]!,
    after = angles[index + 1] ?? own;
  const left = (turn: number): number => LEFT_MM + depth * Math.abs(Math.tan((turn * Math.PI) / 360));
  return [left(own - before), wing.panels[index]!.spanMm - left(after - own)];
}

/** Whether the outer end of a panel is a free tip, which a control may run out of. */
const isFreeTip = (wing: WingParameters, index: number): boolean =>
  index === wing.panels.length - 1 && !(wing.middle === 'panel' && index === 0);

/** Controls that reach past their panel, over each other, or too far forward: each with numbers that work. */
export function controlFaults(wing: WingParameters, unit: LengthUnit): readonly FormFault[] {
  return wing.controls.flatMap((control, at) => faultOf(wing, control, at, unit) ?? []);
}

function faultOf(wing: WingParameters, control: WingControl, at: number, unit: LengthUnit): FormFault | undefined {
  const index = wing.panels.findIndex(({ id }) => id === control.panelId),
    panel = wing.panels[index];
  const path = (key: keyof WingControl): string => `controls.${at}.${key}`;
  if (!panel)
    return blocking(
      'CONTROL',
      path('panelId'),
      `The ${control.kind} has no panel`,
      'Its panel is not there any more.',
      'Put it in panel 1',
      [{ path: path('panelId'), value: wing.panels[0]!.id }],
    );
  const name = `The ${control.kind} of panel ${index + 1}`,
    [from, to] = roomOf(wing, index),
    least = LEAST_CONTROL_MM + 2 * control.gapMm,
    length = (mm: number): string => formatLengthWithUnit(mm, unit);
  if (to - from < least)
    return blocking(
      'CONTROL',
      `panels.${index}.spanMm`,
      `Panel ${index + 1} is too short for a control`,
      `Between its ends ${length(Math.max(0, to - from))} are left; a control needs ${length(least)}.`,
      `Set ${length(Math.ceil(panel.spanMm + least - to + from))}`,
      [{ path: `panels.${index}.spanMm`, value: Math.ceil(panel.spanMm + least - to + from) }],
    );
  const isOut = isFreeTip(wing, index) && control.toMm > to + 1e-6;
  if (isOut && control.toMm < panel.spanMm - 1e-6)
    return blocking(
      'CONTROL',
      path('toMm'),
      `${name} leaves a sliver of wing at the tip`,
      `It ends at ${length(to)} at most, or runs out of the tip at ${length(panel.spanMm)}.`,
      `Run it out at ${length(panel.spanMm)}`,
      [{ path: path('toMm'), value: panel.spanMm }],
    );
  const runsOut = isOut && control.toMm <= panel.spanMm + 1e-6;
  if (
    control.fromMm < from - 1e-6 ||
    (control.toMm > to + 1e-6 && !runsOut) ||
    control.toMm - control.fromMm < least - 1e-6
  ) {
    const begins = Math.min(Math.max(from, control.fromMm), to - least),
      ends = Math.max(begins + least, Math.min(to, control.toMm));
    return blocking(
      'CONTROL',
      path('fromMm'),
      `${name} does not lie within it`,
      `Wing is left at both of its ends: it may run from ${length(from)} to ${length(to)}, and is at least ${length(least)} long.`,
      `Set ${length(begins)} to ${length(ends)}`,
      [
        { path: path('fromMm'), value: begins },
        { path: path('toMm'), value: ends },
      ],
    );
  }
  const rootChord = index === 0 ? wing.rootChordMm : wing.panels[index - 1]!.tipChordMm,
    deepest = Math.floor(DEEPEST_CONTROL * Math.min(rootChord, panel.tipChordMm));
  if (controlChords(control).most > deepest && deepest >= 8)
    return blocking(
      'CONTROL',
      path('chordMm'),
      `${name} reaches too far forward`,
      'Its hinge line has to lie well aft of the spar.',
      `Set chord ${length(deepest)}`,
      [
        { path: path('chordMm'), value: Math.min(control.chordMm, deepest) },
        ...(control.tipChordMm === undefined
          ? []
          : [{ path: path('tipChordMm'), value: Math.min(control.tipChordMm, deepest) }]),
      ],
    );
  const other = wing.controls.findIndex(
    (one, number) =>
      number < at &&
      one.panelId === control.panelId &&
      one.fromMm < control.toMm + LEFT_MM &&
      one.toMm + LEFT_MM > control.fromMm,
  );
  if (other < 0) return undefined;
  const inner = wing.controls[other]!.toMm + LEFT_MM;
  if (inner + least <= to)
    return blocking(
      'CONTROL',
      path('fromMm'),
      `${name} lies over another control`,
      'Two controls of a panel lie beside each other.',
      'Put it outboard',
      [
        { path: path('fromMm'), value: inner },
        { path: path('toMm'), value: Math.min(to, Math.max(control.toMm, inner + least)) },
      ],
    );
  const middle = (from + to) / 2;
  return blocking(
    'CONTROL',
    path('fromMm'),
    `${name} lies over another control`,
    'Two controls of a panel lie beside each other.',
    'Share the panel',
    [
      { path: `controls.${other}.fromMm`, value: from },
      { path: `controls.${other}.toMm`, value: middle - LEFT_MM },
      { path: path('fromMm'), value: middle },
      { path: path('toMm'), value: to },
    ],
  );
}
