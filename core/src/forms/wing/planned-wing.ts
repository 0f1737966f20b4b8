import type { SurfaceThing } from '../../plan/index.ts';
import { degrees } from '../../units/index.ts';
import { dihedrals, layPanels } from './panel-layout.ts';
import type { WingForm } from './wing-form.ts';
import { withPanels } from './with-panels.ts';
import { wingFromNumbers, type WingPanel, type WingParameters } from './parameters.ts';

/** Chords and lengths are kept to this, in mm, on the way between plan and form. */
const KEPT_MM = 1e-3;
const kept = (mm: number): number => Math.round(mm / KEPT_MM) * KEPT_MM;
/** A pointed tip is made as narrow as a skin can be, in mm. */
const LEAST_CHORD_MM = 20;

/** The panels of a planned wing: its stations from the root out, and the angles between them. */
function panelsOf({ stations, angles }: SurfaceThing, known: readonly WingPanel[]): readonly WingPanel[] {
  return stations.slice(1).map((station, index): WingPanel => {
    const before = stations[index]!,
      spanMm = kept(station.outMm - before.outMm);
    return {
      washoutDegrees: 0,
      ...known[index],
      id: known[index]?.id ?? `p${index + 1}`,
      spanMm,
      tipChordMm: kept(Math.max(LEAST_CHORD_MM, station.chordMm)),
      sweepDegrees: degrees(Math.atan2(station.sweepMm - before.sweepMm, spanMm)),
      dihedralDegrees: angles[index] ?? 0,
    };
  });
}

/** A wing with the shape that the plan gives it; what the plan does not say stays as it is. */
export function withPlannedShape(wing: WingParameters, thing: SurfaceThing): WingParameters {
  const hasMiddle = wing.middle === 'panel',
    own = panelsOf(thing, hasMiddle ? wing.panels.slice(0) : wing.panels);
  const [first] = own;
  // A level, straight first panel may run across the middle, told by its whole width.
  const isStillMiddle =
    hasMiddle &&
    first !== undefined &&
    first.dihedralDegrees === 0 &&
    Math.abs(first.sweepDegrees) < 1e-6 &&
    Math.abs(first.tipChordMm - thing.stations[0]!.chordMm) < KEPT_MM;
  const panels = isStillMiddle
    ? [{ ...first, spanMm: 2 * first.spanMm, sweepDegrees: 0, washoutDegrees: 0 }, ...own.slice(1)]
    : own;
  return {
    ...withPanels(wing, panels),
    middle: isStillMiddle ? 'panel' : 'joint',
    dihedralAgainst: 'table',
    sweepAt: 'nose',
    rootChordMm: kept(thing.stations[0]!.chordMm),
  };
}

/** A form made from a planned wing, which it stays linked to. */
export function formFromPlanned(
  thing: SurfaceThing,
  id: string,
  name: string,
  material: string,
  boardMm: number,
): WingForm {
  const root = thing.stations[0]!.chordMm,
    depth = thing.thicknessMm > 3 * boardMm ? thing.thicknessMm : 0.1 * root;
  const usual = wingFromNumbers({
    spanMm: 2 * thing.stations.at(-1)!.outMm,
    rootChordMm: root,
    tipChordMm: root,
    dihedralDegrees: 0,
    sparHeightMm: Math.max(boardMm, Math.round(depth - 2 * boardMm)),
    material,
  });
  return {
    id,
    kind: 'wing',
    name,
    parameters: withPlannedShape(usual, thing),
    place: { at: thing.at, incidenceDegrees: thing.incidenceDegrees },
    plannedId: thing.id,
  };
}

/** A planned wing with the shape of the form that was made from it. */
export function plannedFrom(thing: SurfaceThing, { parameters, place }: WingForm): SurfaceThing {
  const laid = layPanels(parameters);
  let outMm = 0;
  const stations = laid.map(({ panel, isMiddle, tipNoseMm }) => {
    outMm += isMiddle ? panel.spanMm / 2 : panel.spanMm;
    return { outMm: kept(outMm), sweepMm: kept(tipNoseMm), chordMm: kept(panel.tipChordMm) };
  });
  return {
    ...thing,
    at: place.at,
    incidenceDegrees: place.incidenceDegrees,
    stations: [{ outMm: 0, sweepMm: 0, chordMm: kept(parameters.rootChordMm) }, ...stations],
    angles: dihedrals(parameters).map((angle, index) => (index === 0 && parameters.middle === 'panel' ? 0 : angle)),
  };
}
