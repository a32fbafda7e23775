"""Reads a wrap template as DXF with ezdxf. Reads {dxf} from standard input; writes its unit and the points of every line by layer."""
import json
import sys
from io import StringIO

import ezdxf

drawing = ezdxf.read(StringIO(json.load(sys.stdin)["dxf"].replace("\r\n", "\n")))
lines = {}
for entity in drawing.modelspace():
    if entity.dxftype() == "POLYLINE":
        points = [[v.dxf.location.x, v.dxf.location.y] for v in entity.vertices]
        lines.setdefault(entity.dxf.layer, []).append(points + points[:1] if entity.is_closed else points)
print(json.dumps({"units": drawing.units, "lines": lines}))
