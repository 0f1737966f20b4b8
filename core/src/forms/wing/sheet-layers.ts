import { composeRigid, interpolate, midpoint, type Point, type Point3 } from '../../geometry/index.ts';
import type { Part } from '../../part/index.ts';
import { radians } from '../../units/index.ts';
import { madePart, placeIn, type MadeLine } from '../form/index.ts';
import { skinOutline, unrollSkin, type SkinLine, type SkinOutline, type UnrolledSkin } from '../skin/index.ts';
import { USUAL_NOSE_ROUND_MM, type WingLayer } from './builds.ts';
import { ontoPlate } from './onto-plate.ts';
import { jointSeams, type JointSeam } from './joint-seams.ts';
import { panelWord, type PanelSite } from './panel.ts';

/** A layer where it lies in its panel: a flat plate, face up like the one beneath. */
export interface LaidLayer {
  readonly layer: WingLayer;
  /** From 1, in the order they are glued on, over both sides. */
  readonly number: number;
  /** The layer of its side that it is glued to; undefined for the plate itself. */
  readonly on?: LaidLayer;
  /** Of its underside over the pivot line. */
  readonly heightMm: number;
  readonly skin: UnrolledSkin;
  readonly outline: SkinOutline;
}

/** A line across a panel at a share of the chord and a height, ending in the planes of both joints. */
function lineAt({ laid }: PanelSite, share: number, z: number): SkinLine {
  const { panel, rootChordMm, rootNoseMm, tipNoseMm } = laid;
  return {
    root: { x: z * Math.tan(radians(laid.rootTiltDegrees)), y: rootNoseMm + share * rootChordMm, z },
    tip: {
      x: panel.spanMm - z * Math.tan(radians(laid.tipTiltDegrees)),
      y: tipNoseMm + share * panel.tipChordMm,
      z,
    },
  };
}

/** The layers of a stepped panel, each on the plate or on the one before it of its side. */
export function laidLayers(site: PanelSite): readonly LaidLayer[] {
  if (site.wing.build !== 'stepped') return [];
  const t = site.board.thicknessMm,
    laid: LaidLayer[] = [];
  (site.wing.layers ?? []).forEach((layer, index) => {
    const on = laid.findLast((one) => one.layer.side === layer.side);
    const heightMm = layer.side === 'top' ? (on?.heightMm ?? 0) + t : (on?.heightMm ?? 0) - t;
    const lines = [lineAt(site, layer.toPercent / 100, heightMm), lineAt(site, layer.fromPercent / 100, heightMm)];
    const skin = unrollSkin(lines, site.root.plane, site.tip.plane, 0);
    laid.push({
      layer,
      number: index + 1,
      ...(on ? { on } : {}),
      heightMm,
      skin,
      outline: skinOutline(skin, [{ role: 'layer' }], site.root, site.tip, t, ['tail-low', 'front']),
    });
  });
  return laid;
}

/** The stretch of a line that lies over both the plate beneath and what lies on it. */
function stretch(line: SkinLine, beneath: readonly SkinLine[]): readonly [Point3, Point3] {
  const from = Math.max(line.root.x, ...beneath.map(({ root }) => root.x)),
    to = Math.min(line.tip.x, ...beneath.map(({ tip }) => tip.x));
  const at = (out: number): Point3 => {
    const share = (out - line.root.x) / (line.tip.x - line.root.x);
    return {
      x: out,
      y: line.root.y + (line.tip.y - line.root.y) * share,
      z: line.root.z + (line.tip.z - line.root.z) * share,
    };
  };
  return [at(from), at(to)];
}

/** Where the edges of a layer come on what it is glued to: not where both edges are flush. */
function glueMarks(
  { layer, number, skin }: LaidLayer,
  beneath: UnrolledSkin,
  flushWith: Pick<WingLayer, 'fromPercent' | 'toPercent'>,
  onFlat: (at: Point3, end: 'root' | 'tip') => Point,
): readonly MadeLine[] {
  const edges = [
    ...(layer.fromPercent > flushWith.fromPercent + 0.01 ? [['front', 1] as const] : []),
    ...(layer.toPercent < flushWith.toPercent - 0.01 ? [['rear', 0] as const] : []),
  ];
  return edges.map(([word, line]): MadeLine => {
    const [from, to] = stretch(skin.ends[line]!, beneath.ends);
    return {
      name: `layer-${number}-${word}`,
      from: onFlat(from, 'root'),
      to: onFlat(to, 'tip'),
      work: { kind: 'mark', face: layer.side === 'top' ? 'face' : 'back', label: `layer ${number} ${word}` },
    };
  });
}

/** The strip behind a nose that is peeled and rounded over. */
function noseMark(site: PanelSite, [low, nose]: readonly Point[][], face: 'face' | 'back'): readonly MadeLine[] {
  const round = site.wing.noseRoundMm ?? USUAL_NOSE_ROUND_MM;
  const deep = Math.min(...nose!.map((at, end) => Math.hypot(at.x - low![end]!.x, at.y - low![end]!.y)));
  if (round <= 0 || round >= deep) return [];
  const [from, to] = nose!.map((at, end) => {
    const tail = low![end]!;
    return interpolate(at, tail, round / Math.hypot(tail.x - at.x, tail.y - at.y));
  });
  return [{ name: `round-${face}`, from: from!, to: to!, work: { kind: 'mark', face, label: 'peel and round' } }];
}

const endsOf = ({ from, to }: { readonly from: Point; readonly to: Point }): Point[] => [from, to];

/** Whether a side of the plate shows at its nose: no layer of that side begins there. */
const isBare = ({ wing }: PanelSite, side: WingLayer['side']): boolean =>
  !(wing.layers ?? []).some((layer) => layer.side === side && layer.fromPercent < 1);

/** What is marked on the plate itself: where the layers of both sides lie, and the nose that is rounded. */
export function sheetMarks(site: PanelSite): readonly MadeLine[] {
  const layers = laidLayers(site).filter(({ on }) => !on);
  const { folds } = skinOutline(
    site.skin,
    site.sections.root.section.plates,
    site.root,
    site.tip,
    site.board.thicknessMm,
    ['tail-low', 'nose'],
  );
  const [low, nose] = [folds.at(-2)!, folds.at(-1)!].map(endsOf);
  return [
    ...layers.flatMap((layer) =>
      glueMarks(layer, site.skin, { fromPercent: 0, toPercent: 100 }, (at, end) => ontoPlate(site, 0, at, end)),
    ),
    ...(isBare(site, 'top')
      ? noseMark(site, [low!, nose!], 'face')
      : isBare(site, 'bottom')
        ? noseMark(site, [low!, nose!], 'back')
        : []),
  ];
}

/** The layers of a panel as parts: plane plates that end in the joints as the plate does. */
export function layerParts(site: PanelSite): readonly Part[] {
  const layers = laidLayers(site);
  return layers.map((laid): Part => {
    const { layer, number, skin, outline } = laid,
      { map } = skin.plates[0]!.pieces[0];
    const above = layers.filter(({ on }) => on === laid),
      [low, nose] = outline.folds.map(endsOf),
      { panel, isMiddle } = site.laid;
    return madePart({
      formId: site.formId,
      role: `layer-${site.laid.number}-${number}`,
      name: `${site.formName} ${layer.side} layer${panelWord(site)} ${number}`,
      group: site.formName,
      material: site.wing.material,
      handed: isMiddle ? 'single' : 'pair',
      grain: { directionDegrees: 0, rule: 'along' },
      outline: outline.corners,
      lines: [
        ...above.flatMap((one) => glueMarks(one, skin, layer, (at, end) => ontoPlate({ ...site, skin }, 0, at, end))),
        ...(above.some((one) => one.layer.fromPercent <= layer.fromPercent + 1)
          ? []
          : noseMark(site, [low!, nose!], layer.side === 'top' ? 'face' : 'back')),
      ],
      edgeWork: outline.endWork,
      seams: layerSeams(site, number),
      place: placeIn(
        site.place,
        composeRigid(map, site.laid.map),
        midpoint(midpoint(low![0]!, low![1]!), midpoint(nose![0]!, nose![1]!)),
      ),
      notes: panel.washoutDegrees === 0 ? '' : 'Twists with its plate.',
    });
  });
}

/** A layer meets that of the next panel, and in the middle its twin. */
const layerSeams = (site: PanelSite, number: number): readonly JointSeam[] =>
  jointSeams(site, ['layer'], (panel) => `layer-${panel}-${number}`);

/** The boards of a sheet's section at one end of a panel, as rings in the section's own axes: aft of its nose, and up. */
export function sheetRings(site: PanelSite, end: 'root' | 'tip'): readonly (readonly Point[])[] {
  const { section, chordMm } = site.sections[end],
    t = site.board.thicknessMm;
  const raised = [...section.corners].reverse().map(({ x, y }): Point => ({ x, y: y + t }));
  const layers = laidLayers(site).map(({ layer, heightMm }): readonly Point[] => {
    const [from, to] = [(layer.fromPercent * chordMm) / 100, (layer.toPercent * chordMm) / 100];
    return [
      { x: from, y: heightMm },
      { x: to, y: heightMm },
      { x: to, y: heightMm + t },
      { x: from, y: heightMm + t },
    ];
  });
  return [[...section.corners, ...raised], ...layers];
}
