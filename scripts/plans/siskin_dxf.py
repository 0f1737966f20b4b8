"""Writes made-up wing parts in inches as a DXF drawing, through ezdxf: blocks turned and mirrored, lines drawn twice, splines, layers."""
import sys
import ezdxf

drawing = ezdxf.new("R2000", setup=True)
drawing.header["$INSUNITS"] = 1
space = drawing.modelspace()
drawing.layers.add("Outlines", color=1)
drawing.layers.add("Half through", color=5)
drawing.layers.add("Pen", color=8, linetype="DASHED")
drawing.layers.add("Letters", color=3)
OUT, FOLD, PEN, WORDS = ({"layer": name} for name in ("Outlines", "Half through", "Pen", "Letters"))

# A rib: a straight foot, a curved back, a notch for the spar, two lightening holes.
rib = drawing.blocks.new("RIB", base_point=(0, 0))
rib.add_line((0, 0), (2.4, 0), dxfattribs=OUT)
rib.add_line((2.4, 0), (2.4, 0.25), dxfattribs=OUT)
rib.add_line((2.4, 0.25), (2.5875, 0.25), dxfattribs=OUT)
rib.add_line((2.5875, 0.25), (2.5875, 0), dxfattribs=OUT)
rib.add_line((2.5875, 0), (6, 0), dxfattribs=OUT)
rib.add_open_spline([(6, 0), (4.5, 0.55), (2.2, 1.15), (0.4, 0.75), (0, 0)], degree=3, dxfattribs=OUT)
rib.add_circle((1.3, 0.4), 0.2, dxfattribs=OUT)
rib.add_circle((3.4, 0.35), 0.15, dxfattribs=OUT)
rib.add_text("Rib x2", dxfattribs={**WORDS, "height": 0.12, "insert": (0.9, 0.08)})

space.add_blockref("RIB", (0, 0), dxfattribs=OUT)
space.add_blockref("RIB", (8, 0), dxfattribs={**OUT, "xscale": 0.8, "yscale": 0.8})
space.add_blockref("RIB", (6, 3), dxfattribs={**OUT, "rotation": 180})
space.add_blockref("RIB", (14, 3), dxfattribs={**OUT, "xscale": -0.8, "yscale": 0.8})

# A skin with two folds; its edges are drawn twice, once as a polyline and once as loose lines of other lengths.
skin = [(0, 5), (18, 5), (18, 11), (0, 11)]
space.add_lwpolyline(skin, close=True, dxfattribs=OUT)
for a, b in [((0, 5), (7, 5)), ((7, 5), (18, 5)), ((18, 11), (18, 5)), ((18, 11), (4, 11)), ((4, 11), (0, 11)), ((0, 11), (0, 5))]:
    space.add_line(a, b, dxfattribs=OUT)
for y in (6.5, 8.75):
    space.add_line((0, y), (18, y), dxfattribs=FOLD)
    space.add_line((18, y), (0, y), dxfattribs=FOLD)
space.add_line((9, 5), (9, 11), dxfattribs=PEN)
space.add_text("Skin", dxfattribs={**WORDS, "height": 0.3, "insert": (1, 9.5)})

# A tip: arcs and an ellipse, closed by a polyline with a bulge.
space.add_lwpolyline([(20, 5, 0), (24, 5, 0.41421356), (26, 7, 0), (26, 9, 0), (20, 9, 0)], format="xyb", close=True, dxfattribs=OUT)
space.add_ellipse((22.5, 7), (1, 0.3), 0.5, dxfattribs=OUT)
space.add_text("Tip", dxfattribs={**WORDS, "height": 0.2, "insert": (24.3, 7.6)})

# Two plates that share an edge, drawn once.
for a, b in [((20, 0), (23, 0)), ((23, 0), (23, 3)), ((23, 3), (20, 3)), ((20, 3), (20, 0)), ((23, 0), (25, 0)), ((25, 0), (25, 3)), ((25, 3), (23, 3))]:
    space.add_line(a, b, dxfattribs=OUT)
space.add_text("Bulkhead", dxfattribs={**WORDS, "height": 0.2, "insert": (20.5, 1.5)})
space.add_text("Hatch", dxfattribs={**WORDS, "height": 0.2, "insert": (23.5, 1.5)})
space.add_linear_dim(base=(9, 12.5), p1=(0, 11), p2=(18, 11)).render()
drawing.saveas(sys.argv[1])
