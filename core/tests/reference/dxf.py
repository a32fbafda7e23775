"""Reads DXF drawings with ezdxf and says where every line and arc begins and ends in space, and how long it is."""

import io
import json
import math
import sys

import ezdxf


def drawn(entity):
    if entity.dxftype() == "ARC":
        angle = (entity.dxf.end_angle - entity.dxf.start_angle) % 360
        ends = [entity.start_point, entity.end_point]
        length = math.radians(angle) * entity.dxf.radius
    else:
        ends = [entity.dxf.start, entity.dxf.end]
        length = ends[0].distance(ends[1])
    return {
        "kind": entity.dxftype(),
        "layer": entity.dxf.layer,
        "from": list(ends[0]),
        "to": list(ends[1]),
        "length": length,
    }


answers = []
for text in json.load(sys.stdin):
    document = ezdxf.read(io.StringIO(text.replace("\r\n", "\n")))
    answers.append(
        {
            "version": document.dxfversion,
            "errors": [error.message for error in document.audit().errors],
            "entities": [drawn(entity) for entity in document.modelspace()],
        }
    )
print(json.dumps(answers))
