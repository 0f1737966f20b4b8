import { partFaults, wordedFaults, type Fault } from '../checks/index.ts';
import { featureMaterials, tabRowOf, type TabRow } from '../features/index.ts';
import { curveLength } from '../geometry/index.ts';
import { findPath, type Part } from '../part/index.ts';
import { curveOf } from '../paths/index.ts';
import { scalePart } from '../scale/index.ts';
import {
  existsIn,
  expandKey,
  resolve,
  starboardTwin,
  type ResolveContext,
  type ResolvedPart,
} from '../resolve/index.ts';
import { arealMassOf, thicknessOf } from '../stock/index.ts';
import { defined, stableHash, memo, identityOf } from '../units/index.ts';
import type { Airframe } from './airframe.ts';
import { ASSUMED_BOARD } from './assumed-board.ts';
import { partAtScale } from './forms-of-airframe.ts';
import { strayFaults } from './stray-faults.ts';
import { twiceDrawn } from './twice-drawn.ts';

/** One shape to cut and how often; a handed pair gives two. */
export interface Piece {
  readonly id: string;
  readonly part: ResolvedPart;
  readonly quantity: number;
}

/**
 * What a part is made exact with in its airframe.
 * @param scale at which the airframe is looked at: tab rows of other parts are as long as they are then
 */
export function contextOf(airframe: Airframe, part: Part, scale = 1): ResolveContext {
  const thickness = (material: string): number => thicknessOf(material, airframe.boards) ?? ASSUMED_BOARD.thicknessMm;
  const plates = [
    ...part.contours.flatMap(({ plate }) => (plate ? [plate.material] : [])),
    ...(part.features ?? []).flatMap(featureMaterials),
  ];
  const mates = (part.features ?? []).flatMap((feature) =>
    feature.kind === 'slots' && feature.mate !== '' ? [feature.mate] : [],
  );
  const { variant, folds } = airframe.settings;
  return {
    thicknessMm: thickness(part.material),
    gramsPerSquareMetre: arealMassOf(part.material, airframe.boards) ?? ASSUMED_BOARD.gramsPerSquareMetre,
    plateThicknesses: Object.fromEntries(plates.map((material) => [material, thickness(material)] as const)),
    ...(mates.length > 0
      ? {
          tabRows: Object.fromEntries(
            mates.flatMap((mate) => {
              const row = tabRowIn(airframe, mate, scale);
              return row ? [[mate, row] as const] : [];
            }),
          ),
        }
      : {}),
    ...defined({ variant, folds }),
  };
}

/** A tab row of an airframe by `part id/feature id`, or undefined when it is gone or stands on no straight edge. */
function tabRowIn(airframe: Airframe, mate: string, scale: number): TabRow | undefined {
  const [partId, featureId] = mate.split('/');
  const drawn = airframe.parts.find(({ id }) => id === partId);
  const part = drawn && (scale === airframe.settings.scale ? partAtScale(airframe, drawn) : scalePart(drawn, scale));
  const feature = part?.features?.find(({ id }) => id === featureId);
  if (!part || feature?.kind !== 'tabs') return undefined;
  const path = findPath(part, feature.on.pathId),
    index = path?.segments.findIndex(({ id }) => id === feature.on.segmentId) ?? -1;
  if (!path || index < 0) return undefined;
  return tabRowOf(
    feature,
    curveLength(curveOf(path, index)),
    thicknessOf(part.material, airframe.boards) ?? ASSUMED_BOARD.thicknessMm,
  );
}

/** A part at the airframe's scale, made exact. */
export const resolveIn = (airframe: Airframe, part: Part): ResolvedPart =>
  resolve(partAtScale(airframe, part), contextOf(airframe, part, airframe.settings.scale));

const twinOf = memo(starboardTwin);

/** The parts that exist in the chosen variant. */
export const partsInVariant = (airframe: Airframe): readonly Part[] =>
  airframe.parts.filter((part) => existsIn(part, airframe.settings.variant));

/** Every shape of the airframe's variant with a closed outline, and how often it is cut. */
export function piecesOfAirframe(airframe: Airframe): readonly Piece[] {
  return partsInVariant(airframe).flatMap((part): readonly Piece[] => {
    const resolved = resolveIn(airframe, part);
    if (resolved.outer.length === 0) return [];
    const port = { id: part.id, part: resolved, quantity: part.quantity };
    return part.handed === 'pair'
      ? [port, { id: `${part.id}:starboard`, part: twinOf(resolved), quantity: part.quantity }]
      : [port];
  });
}

/** Faults of one part by itself, remembered while nothing that they depend on changes. */
const ownFaults = memo(
  (part: Part, airframe: Airframe, context: ResolveContext): readonly Fault[] => {
    const { boards, settings } = airframe;
    const { scale, nest, variants = [] } = settings;
    return partFaults(partAtScale(airframe, part), resolveIn(airframe, part), context, {
      boards,
      scale,
      edgeMarginMm: nest.edgeMarginMm,
      turnStep: nest.turnStep,
      variants,
    });
  },
  ({ boards, forms, settings: { scale, nest, variants } }, context) =>
    `${scale === 1 ? '' : identityOf(forms)}/${identityOf(boards)}/${scale}/${identityOf(nest)}/${identityOf(variants)}/${expandKey(context)}`,
);

/** What is wrong with one part, at the airframe's scale and on its boards; nothing while the variant leaves it out. */
export function faultsIn(airframe: Airframe, part: Part): readonly Fault[] {
  const { variant, scale, unit } = airframe.settings;
  if (!existsIn(part, variant)) return [];
  const own = wordedFaults(ownFaults(part, airframe, contextOf(airframe, part, scale)), unit);
  const others = [
    ...(twiceDrawn(airframe.parts).get(part.id) ?? []),
    ...(part.joints || part.seams ? strayFaults(airframe, part) : []),
  ];
  return others.length > 0 ? [...own, ...others] : own;
}

/** Fingerprint of what a nest needs of a shape: its outline, its holes and how its grain runs. */
const shapeHash = memo((part: ResolvedPart): string =>
  stableHash([part.outline, part.holes, part.grain, part.material]),
);

/** Fingerprint of all that a nest depends on: shapes, quantities, boards and distances. */
export function nestHash(airframe: Airframe): string {
  const { seed: _seed, ...distances } = airframe.settings.nest;
  return stableHash([
    piecesOfAirframe(airframe).map(({ id, part, quantity }) => [id, shapeHash(part), quantity]),
    // Boards that are not there hold nothing.
    airframe.boards.filter(({ count }) => count > 0),
    distances,
  ]);
}
