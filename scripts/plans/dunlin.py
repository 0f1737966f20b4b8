"""The made-up Dunlin 640, a small profile glider, as outlines and lines in mm. Drawn with nothing of the program's own."""
import math

# Of each part: name, place on the plan, outline (points; a third number is the bulge to the next), holes, folds, marks.
PARTS = [
    dict(name="Body side", at=(30, 60),
         outline=[(0, 22), (30, 4, 0.12), (150, 0), (470, 30), (475, 30), (475, 52), (300, 58), (260, 72), (110, 78), (40, 60, 0.2)],
         rectangles=[(120, 52, 110, 5), (400, 38, 60, 5)], circles=[(70, 34, 9)], folds=[], marks=[((0, 40), (470, 44))]),
    dict(name="Wing half x2", at=(30, 190),
         outline=[(0, 0), (315, 0, 0.25), (315, 90), (300, 118), (0, 140)],
         rectangles=[], circles=[], folds=[((0, 70), (230.625 + math.sqrt(95.625**2 - 17**2), 62))], marks=[((20, 0), (20, 138.66666666666666)), ((0, 35), (300, 35))]),
    dict(name="Wing doubler", at=(380, 190),
         outline=[(0, 0), (120, 0), (120, 60), (0, 60)],
         rectangles=[(57.5, 12, 5, 36)], circles=[(20, 30, 4), (100, 30, 4)], folds=[], marks=[]),
    dict(name="Stabiliser", at=(380, 290),
         outline=[(0, 10), (10, 0), (220, 0), (230, 10), (205, 70), (25, 70)],
         rectangles=[], circles=[], folds=[((16.666666666666668, 50), (213.33333333333334, 50))], marks=[((115, 0), (115, 70))]),
    dict(name="Fin", at=(380, 400),
         outline=[(0, 0), (110, 0), (110, 40), (80, 110), (50, 110)],
         rectangles=[], circles=[(85, 20, 3)], folds=[((75, 0), (75, 110))], marks=[]),
    dict(name="Box floor", at=(30, 360),
         outline=[(0, 0), (260, 0), (260, 95), (0, 95)],
         rectangles=[], circles=[(130, 47.5, 15)],
         # Two lines a board's thickness apart: the edges of a trench.
         folds=[((0, 22.5), (260, 22.5)), ((0, 27.5), (260, 27.5)), ((0, 67.5), (260, 67.5)), ((0, 72.5), (260, 72.5))], marks=[]),
    dict(name="Nose former x3", at=(540, 400),
         outline=[(0, 0), (60, 0), (60, 45), (30, 60), (0, 45)],
         rectangles=[], circles=[(30, 25, 10)], folds=[], marks=[]),
]
WIDTH, HEIGHT = 700, 500
SPAN = 630  # twice the wing half, from end to end, as the plan says


def arc(x1, y1, x2, y2, bulge):
    """Centre, radius, start and end angle of an arc by its bulge, counter-clockwise when it is positive."""
    angle = 4 * math.atan(bulge)
    chord = math.hypot(x2 - x1, y2 - y1)
    radius = chord * (1 + bulge * bulge) / (4 * abs(bulge))
    k = (1 - bulge * bulge) / (4 * bulge)
    cx, cy = (x1 + x2) / 2 - k * (y2 - y1), (y1 + y2) / 2 + k * (x2 - x1)
    start = math.atan2(y1 - cy, x1 - cx)
    return cx, cy, radius, start, start + angle


def area(points):
    """Area of an outline with bulges, by the shoelace and the segments of its arcs."""
    total = 0
    for i, p in enumerate(points):
        q = points[(i + 1) % len(points)]
        total += (p[0] * q[1] - q[0] * p[1]) / 2
        if len(p) > 2:
            angle = 4 * math.atan(p[2])
            radius = math.hypot(q[0] - p[0], q[1] - p[1]) * (1 + p[2] ** 2) / (4 * abs(p[2]))
            total += radius * radius * (angle - math.sin(angle)) / 2
    return abs(total)


if __name__ == "__main__":
    for part in PARTS:
        holes = sum(w * h for _, _, w, h in part["rectangles"]) + sum(math.pi * r * r for _, _, r in part["circles"])
        print(f"{part['name']}: {area(part['outline']) - holes:.4f} mm2")
