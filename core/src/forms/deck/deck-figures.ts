import { distance, type Point } from '../../geometry/index.ts';
import type { Part } from '../../part/index.ts';
import { areaFrom, partArea, partMass } from '../form/index.ts';
import { rollStrain, type RollStrain } from '../rolled/index.ts';
import { sheetErrors } from './deck-faults.ts';
import { tightestOf, type DeckSite } from './deck-site.ts';
import { endLeans, sheetRole } from './sheet-parts.ts';

/** One sheet in numbers. */
export interface DeckSheetRow {
  readonly role: string;
  /** Round its ends, on the neutral line, from sill to sill. */
  readonly foreMm: number;
  readonly aftMm: number;
  /** Along its middle and along a sill. */
  readonly middleMm: number;
  readonly sillMm: number;
  readonly longMm: number;
  readonly wideMm: number;
  /** Greatest share by which a length of it is false. */
  readonly errorShare: number;
  /** From where to where its ends lean off square, in degrees. */
  readonly foreLeans: readonly [number, number];
  readonly aftLeans: readonly [number, number];
}

/** Everything that a deck tells of itself. */
export interface DeckFigures {
  readonly lengthMm: number;
  readonly mostWideMm: number;
  readonly rows: readonly DeckSheetRow[];
  readonly errorShare: number;
  /** Sections that one sheet passes over, and by how much of their length it misses each. */
  readonly missed: readonly { readonly index: number; readonly share: number }[];
  readonly strain: RollStrain;
  readonly tightestMm: number;
  readonly skinMm2: number;
  readonly foamMm2: number;
  readonly glueMm: number;
  readonly massG: number;
  readonly massAt: { readonly x: number; readonly z: number };
}

/** Length of a line on the flat from sill to sill, of which half is given from beside the middle. */
const wholeLength = (half: readonly Point[]): number =>
  2 * half[0]!.y + 2 * half.slice(1).reduce((sum, p, index) => sum + distance(p, half[index]!), 0);
const range = (numbers: readonly number[]): readonly [number, number] => [Math.min(...numbers), Math.max(...numbers)];

/** The figures of a deck whose parts are made. */
export function deckFigures(site: DeckSite, parts: readonly Part[]): DeckFigures {
  const { deck, sheets, board, form } = site;
  const rows = sheets.map(({ flat }, index) => {
    const all = [...flat.fore, ...flat.aft];
    return {
      role: sheetRole(index),
      foreMm: wholeLength(flat.fore),
      aftMm: wholeLength(flat.aft),
      middleMm: flat.aft[0]!.x - flat.fore[0]!.x,
      sillMm: distance(flat.fore.at(-1)!, flat.aft.at(-1)!),
      longMm: Math.max(...all.map(({ x }) => x)) - Math.min(...all.map(({ x }) => x)),
      wideMm: 2 * Math.max(...all.map(({ y }) => y)),
      errorShare: flat.errorShare,
      foreLeans: range(endLeans(site, index, 'fore')),
      aftLeans: range(endLeans(site, index, 'aft')),
    };
  });
  const tightestMm = Math.min(...sheets.map(tightestOf)),
    missed = sheetErrors(deck, sheets);
  const masses = parts.map((part) => {
    const at = rows.findIndex(({ role }) => role === part.source!.role),
      massG = partMass(part, site);
    if (at < 0) return { massG, x: part.place!.at.x, z: part.place!.onPlate!.y + form.place.at.z };
    // A sheet's mass lies where the middles of its rulings do, by the strips beside them.
    const strips = sheets[at]!.lines.map(({ fore, aft }, index, lines) => {
      const next = lines[index + 1] ?? lines[index - 1]!;
      const share =
        Math.hypot(next.fore.y - fore.y, next.fore.z - fore.z) + Math.hypot(next.aft.y - aft.y, next.aft.z - aft.z);
      return { share, x: (fore.x + aft.x) / 2, z: (fore.z + aft.z) / 2 };
    });
    const whole = strips.reduce((sum, { share }) => sum + share, 0),
      mean = (key: 'x' | 'z'): number => strips.reduce((sum, one) => sum + one.share * one[key], 0) / whole;
    return { massG, x: mean('x') + form.place.at.x, z: mean('z') + form.place.at.z };
  });
  const massG = masses.reduce((sum, one) => sum + one.massG, 0),
    along = (key: 'x' | 'z'): number => masses.reduce((sum, one) => sum + one.massG * one[key], 0) / massG;
  const sheetParts = parts.filter(({ source }) => rows.some(({ role }) => role === source!.role));
  return {
    lengthMm: deck.sections.at(-1)!.aftMm - deck.sections[0]!.aftMm,
    mostWideMm: Math.max(...deck.sections.map(({ widthMm }) => widthMm)),
    rows,
    errorShare: Math.max(...rows.map((row) => row.errorShare), ...missed.map(({ share }) => share)),
    missed,
    strain: rollStrain(deck, tightestMm, board.thicknessMm),
    tightestMm,
    skinMm2: sheetParts.reduce((sum, part) => sum + partArea(part), 0),
    foamMm2: areaFrom(parts, deck.material),
    glueMm:
      rows.reduce((sum, { sillMm }) => sum + 2 * sillMm, 0) +
      rows.slice(1).reduce((sum, { foreMm }) => sum + foreMm, 0) +
      (deck.hasFormers ? rows[0]!.foreMm + rows.reduce((sum, { aftMm }) => sum + aftMm, 0) : 0),
    massG,
    massAt: { x: along('x'), z: along('z') },
  };
}
