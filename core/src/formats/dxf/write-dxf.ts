import { DxfWriter, LWPolylineFlags, point3d, Units } from '@tarikjabiri/dxf';
import { cubicArcs, type Curve, type Path } from '../../geometry/index.ts';
import { layerColour, layersOf, type WrittenDrawing } from '../written/written-drawing.ts';

/** Curves that are no arcs go out as arcs within this, in mm. */
const ARC_MM = 0.0005;

/** A drawing as DXF in mm: polylines with bulges on a layer for each kind of work; lines and cubics keep within 0.0005 mm. */
export function writeDxf(drawing: WrittenDrawing): string {
  const file = new DxfWriter();
  file.setUnits(Units.Millimeters);
  layersOf(drawing).forEach((layer, place) => file.addLayer(layerName(layer), layerColour(place).index, 'CONTINUOUS'));
  for (const { layer, path, isClosed } of drawing.lines) {
    const curves = path.flatMap((curve) => (curve.kind === 'cubic' ? cubicArcs(curve, ARC_MM) : [curve]));
    const [first] = curves;
    if (!first) continue;
    const layerOf = { layerName: layerName(layer) };
    if (curves.length === 1 && first.kind === 'line')
      file.addLine(point3d(first.from.x, first.from.y), point3d(first.to.x, first.to.y), layerOf);
    else
      file.addLWPolyline(verticesOf(curves, isClosed), {
        ...layerOf,
        flags: isClosed ? LWPolylineFlags.Closed : LWPolylineFlags.None,
      });
  }
  return file.stringify();
}

/** Letters that a layer's name may hold. */
const layerName = (layer: string): string => layer.replace(/[<>/\\":;?*|,=`]/g, ' ').slice(0, 200);

function verticesOf(curves: Path, isClosed: boolean): { point: { x: number; y: number }; bulge?: number }[] {
  const vertices = curves.map((curve: Curve) => ({
    point: { x: curve.from.x, y: curve.from.y },
    ...(curve.kind === 'arc' ? { bulge: curve.bulge } : {}),
  }));
  const { to } = curves.at(-1)!;
  return isClosed ? vertices : [...vertices, { point: { x: to.x, y: to.y } }];
}
