"""Writes the Dunlin's plan as twelve A4 pages with frames, crosses and titles, through cairo."""
import math
import sys
import cairo
from dunlin import PARTS, WIDTH, HEIGHT, SPAN, arc

MM = 72 / 25.4
PAGE = (210, 297)
COLUMNS, ROWS = 4, 3
FRAME = (15, 20, 180, 170)  # on the page, from the lower left corner


def outline(context, part):
    points = part["outline"]
    context.move_to(*points[0][:2])
    for i, p in enumerate(points):
        q = points[(i + 1) % len(points)]
        if len(p) > 2:
            cx, cy, radius, start, end = arc(*p[:2], *q[:2], p[2])
            (context.arc if p[2] > 0 else context.arc_negative)(cx, cy, radius, start, end)
        else:
            context.line_to(*q[:2])
    context.close_path()


def stroke(context, width, colour, dash=()):
    context.set_source_rgb(*colour)
    context.set_line_width(width)
    context.set_dash(dash)
    context.stroke()


def words(context, x, y, size, text):
    context.save()
    context.translate(x, y)
    context.scale(1, -1)
    context.set_source_rgb(0, 0, 0)
    context.select_font_face("sans-serif")
    context.set_font_size(size)
    context.move_to(0, 0)
    context.show_text(text)
    context.restore()


def plan(context):
    for part in PARTS:
        context.save()
        context.translate(*part["at"])
        outline(context, part)
        stroke(context, 0.5, (0, 0, 0))
        for x, y, w, h in part["rectangles"]:
            context.rectangle(x, y, w, h)
            stroke(context, 0.5, (0, 0, 0))
        for x, y, r in part["circles"]:
            context.new_sub_path()
            context.arc(x, y, r, 0, 2 * math.pi)
            context.close_path()
            stroke(context, 0.5, (0, 0, 0))
        for a, b in part["folds"]:
            context.move_to(*a)
            context.line_to(*b)
            stroke(context, 0.3, (0, 0.2, 0.7))
        for a, b in part["marks"]:
            context.move_to(*a)
            context.line_to(*b)
            stroke(context, 0.2, (0.3, 0.3, 0.3), (4, 2))
        xs = [p[0] for p in part["outline"]]
        words(context, min(xs) + 26, 12, 6, part["name"])
        context.restore()


def furniture(context, page):
    x, y, w, h = FRAME
    context.rectangle(x, y, w, h)
    stroke(context, 0.15, (0.5, 0.5, 0.5))
    for cx, cy in ((x, y), (x + w, y), (x, y + h), (x + w, y + h)):
        context.move_to(cx - 4, cy)
        context.line_to(cx + 4, cy)
        context.move_to(cx, cy - 4)
        context.line_to(cx, cy + 4)
        stroke(context, 0.15, (0.5, 0.5, 0.5))
    words(context, x, y + h + 8, 5, f"Dunlin 640, page {page} of {COLUMNS * ROWS}. Span {SPAN} mm, drawn for 5 mm board.")


def write(file):
    surface = cairo.PDFSurface(file, PAGE[0] * MM, PAGE[1] * MM)
    surface.set_metadata(cairo.PDFMetadata.TITLE, "Dunlin 640")
    surface.set_metadata(cairo.PDFMetadata.CREATE_DATE, "2026-01-02T00:00:00Z")
    context = cairo.Context(surface)
    x, y, w, h = FRAME
    page = 0
    for row in range(ROWS):
        for column in range(COLUMNS):
            page += 1
            context.save()
            context.scale(MM, -MM)
            context.translate(0, -PAGE[1])
            furniture(context, page)
            context.rectangle(x, y, w, h)
            context.clip()
            # From the upper left page on, row by row.
            context.translate(x - column * w, y - (ROWS - 1 - row) * h)
            plan(context)
            context.restore()
            context.show_page()
    surface.finish()


assert COLUMNS * FRAME[2] >= WIDTH and ROWS * FRAME[3] >= HEIGHT
write(sys.argv[1])
