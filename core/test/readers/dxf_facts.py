"""Tells what ezdxf reads in a DXF file: its audit, unit, layers, and of each layer how many things, how long, and the areas of closed ones."""
import json
import math
import sys
import ezdxf


def runs(entity):
    """Straight runs and arcs of an entity: both ends and the bulge, as the file has them."""
    if entity.dxftype() == "LINE":
        (x1, y1, _), (x2, y2, _) = entity.dxf.start, entity.dxf.end
        return [((x1, y1), (x2, y2), 0.0)], False
    points = list(entity.get_points("xyb"))
    ends = points + points[:1] if entity.closed else points
    return [((a[0], a[1]), (b[0], b[1]), a[2]) for a, b in zip(ends, ends[1:])], entity.closed


def length(a, b, bulge):
    chord = math.dist(a, b)
    if bulge == 0:
        return chord
    angle = 4 * math.atan(abs(bulge))
    return angle * chord / (2 * math.sin(angle / 2))


def area(a, b, bulge):
    flat = (a[0] * b[1] - b[0] * a[1]) / 2
    if bulge == 0:
        return flat
    angle = 4 * math.atan(bulge)
    radius = math.dist(a, b) / (2 * math.sin(abs(angle) / 2))
    return flat + radius * radius * (angle - math.sin(angle)) / 2


drawing = ezdxf.readfile(sys.argv[1])
audit = drawing.audit()
layers = {}
for entity in drawing.modelspace():
    facts = layers.setdefault(entity.dxf.layer, {"count": 0, "length": 0.0, "areas": []})
    pieces, closed = runs(entity)
    facts["count"] += 1
    facts["length"] += sum(length(*piece) for piece in pieces)
    if closed:
        facts["areas"].append(abs(sum(area(*piece) for piece in pieces)))
unit = drawing.header.get("$INSUNITS")
print(json.dumps({"errors": len(audit.errors), "fixes": len(audit.fixes), "unit": unit, "layers": layers}))
