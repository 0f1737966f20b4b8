"""Makes the small drawings that the readers are tried on, each by another program: ezdxf, cairo, Chromium, Ghostscript, and by hand.

    /usr/bin/python3 scripts/plans/samples.py FOLDER
"""
import math
import os
import subprocess
import sys
import tempfile
import cairo
import ezdxf

folder = sys.argv[1]
at = lambda name: os.path.join(folder, name)

# Blocks in blocks, turned, mirrored and stretched, as old files have them; no unit in the header.
old = ezdxf.new("R12")
plate = old.blocks.new("PLATE", base_point=(10, 0))
plate.add_polyline2d([(10, 0, 0), (50, 0, 1), (50, 20, 0), (10, 20, 0)], format="xyb", close=True)
plate.add_circle((30, 10), 4)
pair = old.blocks.new("PAIR")
pair.add_blockref("PLATE", (0, 0))
pair.add_blockref("PLATE", (0, 40), dxfattribs={"xscale": -1, "rotation": 180})
space = old.modelspace()
space.add_blockref("PAIR", (100, 100), dxfattribs={"rotation": 90})
space.add_blockref("PLATE", (300, 0), dxfattribs={"xscale": 2, "yscale": 2, "column_count": 3, "column_spacing": 120})
space.add_blockref("PLATE", (0, 300), dxfattribs={"xscale": 2, "yscale": 1})
old.saveas(at("blocks-r12.dxf"))

# Curves: a circle as a rational spline, part of an ellipse, an arc seen from below its plane, a layer that is off, a sheet of paper.
curves = ezdxf.new("R2018", setup=True)
curves.header["$INSUNITS"] = 5  # centimetres
curves.layers.add("Off", color=2).off()
space = curves.modelspace()
w = math.sqrt(0.5)
corners = [(1, 0), (1, 1), (0, 1), (-1, 1), (-1, 0), (-1, -1), (0, -1), (1, -1), (1, 0)]
spline = space.add_spline(degree=2)
spline.control_points = [(5 * x, 5 * y, 0) for x, y in corners]
spline.knots = [0, 0, 0, 1, 1, 2, 2, 3, 3, 4, 4, 4]
spline.weights = [1, w, 1, w, 1, w, 1, w, 1]
spline.closed = True
space.add_ellipse((20, 0), (4, 0), 0.5, 0, math.pi)
space.add_arc((40, 0), 3, 0, 90, dxfattribs={"extrusion": (0, 0, -1)})
space.add_line((0, 0), (1, 1), dxfattribs={"layer": "Off"})
space.add_hatch()
space.add_line((60, 0), (70, 0), dxfattribs={"linetype": "DASHED", "true_color": 0x1428C8, "lineweight": 50})
curves.layout("Layout1").add_line((0, 0), (9, 9))
curves.saveas(at("curves-r2018.dxf"))

# Through cairo: transforms in SVG as it writes them.
surface = cairo.SVGSurface(at("cairo.svg"), 300, 200)
surface.set_document_unit(cairo.SVGUnit.MM)
context = cairo.Context(surface)
context.set_tolerance(0.001)
context.translate(20, 20)
context.rotate(math.radians(15))
context.rectangle(0, 0, 40, 25)
context.set_line_width(0.3)
context.set_source_rgb(0.8, 0, 0)
context.stroke()
context.arc(20, 12, 5, 0, 2 * math.pi)
context.close_path()
context.set_source_rgb(0, 0, 1)
context.set_dash([2, 1])
context.stroke()
surface.finish()

# Printed by Chromium: an SVG of 120 x 80 mm on a sheet of A5.
page = """<style>@page { size: A5; margin: 0 } body { margin: 20mm }</style>
<svg width="100mm" height="80mm" viewBox="0 0 100 80" style="display:block">
<path d="M0 0H100V80H0Z" fill="none" stroke="#c00" stroke-width=".5"/><circle cx="50" cy="40" r="12" fill="none" stroke="#c00" stroke-width=".5"/>
<path d="M0 60H100" stroke="#00c" stroke-width=".3"/></svg>"""
with tempfile.TemporaryDirectory() as work:
    html = os.path.join(work, "page.html")
    open(html, "w").write(page)
    subprocess.run(["chromium", "--headless", "--no-sandbox", "--disable-gpu", "--no-pdf-header-footer", f"--print-to-pdf={at('chromium.pdf')}", html], check=True, capture_output=True)

# By hand: layers that may be shown or not, a page turned by a quarter, a unit of two points, a form that is moved.
body = b"""/OC /L1 BDC 1 0 0 RG 0.5 w 10 10 m 110 10 l 110 60 l 10 60 l h S EMC
/OC /L2 BDC 0 0 1 RG [3 2] 0 d 10 35 m 110 35 l S EMC
q 1 0 0 1 20 70 cm /F1 Do Q"""
form = b"0 1 0 RG 0 0 m 30 0 l S"
objects = [
    b"<< /Type /Catalog /Pages 2 0 R /OCProperties << /OCGs [6 0 R 7 0 R] /D << /Order [6 0 R 7 0 R] >> >> >>",
    b"<< /Type /Pages /Kids [3 0 R] /Count 1 >>",
    b"<< /Type /Page /Parent 2 0 R /MediaBox [0 0 200 100] /Rotate 90 /UserUnit 2 /Contents 4 0 R /Resources << /Properties << /L1 6 0 R /L2 7 0 R >> /XObject << /F1 5 0 R >> >> >>",
    b"<< /Length %d >>\nstream\n%s\nendstream" % (len(body), body),
    b"<< /Type /XObject /Subtype /Form /BBox [0 -5 40 5] /Matrix [1 0 0 1 5 0] /Length %d >>\nstream\n%s\nendstream" % (len(form), form),
    b"<< /Type /OCG /Name (Outline) >>",
    b"<< /Type /OCG /Name (Folds) >>",
]
out, places = b"%PDF-1.6\n", []
for number, text in enumerate(objects, 1):
    places.append(len(out))
    out += b"%d 0 obj\n%s\nendobj\n" % (number, text)
start = len(out)
out += b"xref\n0 %d\n0000000000 65535 f \n" % (len(objects) + 1) + b"".join(b"%010d 00000 n \n" % place for place in places)
out += b"trailer << /Size %d /Root 1 0 R >>\nstartxref\n%d\n%%%%EOF\n" % (len(objects) + 1, start)
open(at("layers.pdf"), "wb").write(out)

# Locked with a password, through qpdf; made small by Ghostscript.
subprocess.run(["qpdf", "--encrypt", "secret", "owner", "256", "--", at("layers.pdf"), at("locked.pdf")], check=True)
subprocess.run(["gs", "-q", "-dNOPAUSE", "-dBATCH", "-sDEVICE=pdfwrite", f"-sOutputFile={at('ghostscript.pdf')}", at("chromium.pdf")], check=True)

# A picture of a page, as a scanner makes it.
scan = cairo.PDFSurface(at("scanned.pdf"), 595, 842)
context = cairo.Context(scan)
image = cairo.ImageSurface(cairo.FORMAT_RGB24, 60, 85)
context.scale(595 / 60, 842 / 85)
context.set_source_surface(image)
context.paint()
scan.finish()

# A section in both orders: a made-up symmetrical one, thickest at a third.
def half(x):
    return 0.35 * (0.2969 * math.sqrt(x) - 0.126 * x - 0.3516 * x * x + 0.2843 * x ** 3 - 0.1036 * x ** 4)
xs = [(1 - math.cos(math.pi * i / 20)) / 2 for i in range(21)]
with open(at("section-round.dat"), "w") as f:
    f.write("Made-up 7\n" + "".join(f" {x:.6f}  {half(x):.6f}\n" for x in reversed(xs)) + "".join(f" {x:.6f} {-half(x):.6f}\n" for x in xs[1:]))
with open(at("section-lists.dat"), "w") as f:
    f.write("Made-up 7\n  21.  21.\n\n" + "".join(f" {x:.6f}  {half(x):.6f}\n" for x in xs) + "\n" + "".join(f" {x:.6f} {-half(x):.6f}\n" for x in xs))
