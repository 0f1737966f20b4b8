"""Tells of a picture how large it is, the box of what is drawn on it in dots, and how dark it is at the dots that are asked for."""
import json
import sys
import cairo

surface = cairo.ImageSurface.create_from_png(sys.argv[1])
asked = json.load(sys.stdin)
data, stride = surface.get_data(), surface.get_stride()
width, height = surface.get_width(), surface.get_height()


def drawn(x, y):
    if not (0 <= x < width and 0 <= y < height):
        return False
    return data[y * stride + 4 * x + 3] > 20


rows = [y for y in range(height) if any(data[y * stride + 3:y * stride + 4 * width:4])]
columns = [x for x in range(width) if any(data[3 + 4 * x::stride])]
near = [any(drawn(int(x) + dx, int(y) + dy) for dx in (-1, 0, 1) for dy in (-1, 0, 1)) for x, y in asked]
print(json.dumps({"width": width, "height": height, "box": [columns[0], rows[0], columns[-1], rows[-1]], "near": near}))
