"""Flanges by ezdxf. Reads {"dxf": text} and writes unit, area, box and circles of every closed line by layer; or {"make": kind}
and writes a flange drawn by ezdxf: an 80 x 60 plate with corners of 10, a round opening of 44 in its middle, two holes of 9."""
import json
import math
import sys
from io import StringIO

import ezdxf
from ezdxf import path, units


def measured(text):
    drawing = ezdxf.read(StringIO(text.replace("\r\n", "\n")))
    lines = []
    for entity in drawing.modelspace():
        if entity.dxftype() == "LINE":
            continue
        points = [(p.x, p.y) for p in path.make_path(entity).flattening(0.0005)]
        pairs = list(zip(points, points[1:] + points[:1]))
        lines.append({
            "layer": entity.dxf.layer,
            "type": entity.dxftype(),
            # A circle is exact; its path is only near to it.
            "area": math.pi * entity.dxf.radius ** 2 if entity.dxftype() == "CIRCLE" else abs(sum(a[0] * b[1] - b[0] * a[1] for a, b in pairs)) / 2,
            "box": [min(p[0] for p in points), min(p[1] for p in points), max(p[0] for p in points), max(p[1] for p in points)],
        })
    return {"units": drawing.units, "lines": lines}


def made(kind):
    drawing = ezdxf.new("R2000")
    drawing.units = {"inch": units.IN, "none": 0}.get(kind, units.MM)
    by = 1 / 25.4 if kind == "inch" else 1.0
    space = drawing.modelspace()
    quarter = math.tan(math.pi / 8)
    corners = [(40, -20, 0), (40, 20, quarter), (30, 30, 0), (-30, 30, quarter), (-40, 20, 0), (-40, -20, quarter), (-30, -30, 0), (30, -30, quarter)]
    move = (100.0, 50.0)
    at = lambda x, y: ((x + move[0]) * by, (y + move[1]) * by)
    if kind == "loose":
        for i, (x, y, bulge) in enumerate(corners):
            nx, ny, _ = corners[(i + 1) % len(corners)]
            if bulge == 0:
                space.add_line(at(nx, ny), at(x, y))
            else:
                cx, cy = (30 if x > 0 or nx > 0 else -30), (20 if y > 0 or ny > 0 else -20)
                start = math.degrees(math.atan2(y - cy, x - cx))
                space.add_arc(at(cx, cy), 10 * by, start, start + 90)
    else:
        space.add_lwpolyline([(*at(x, y), bulge) for x, y, bulge in corners], format="xyb", close=True)
    space.add_circle(at(0, 0), 22 * by)
    for x in (-32, 32):
        space.add_circle(at(x, 0), 4.5 * by)
    space.add_text("flange", dxfattribs={"insert": at(0, 0)})
    out = StringIO()
    drawing.write(out)
    return {"dxf": out.getvalue()}


asked = json.load(sys.stdin)
print(json.dumps(measured(asked["dxf"]) if "dxf" in asked else made(asked["make"])))
