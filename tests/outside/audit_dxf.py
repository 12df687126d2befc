#!/usr/bin/python3
# SPDX-License-Identifier: GPL-3.0-or-later
"""Reads a drawing with ezdxf. usage: audit_dxf.py FILE; prints version, errors, closed outlines, their area in
mm² and their layers, a word each; layers with commas."""
import sys

import ezdxf
from ezdxf.math import area

document = ezdxf.readfile(sys.argv[1])
errors = len(document.audit().errors)
outlines = document.modelspace().query("LWPOLYLINE POLYLINE")
total = sum(
    area(list(o.vertices_in_wcs()) if o.dxftype() == "LWPOLYLINE" else [v.dxf.location for v in o.vertices])
    for o in outlines)
layers = ",".join(sorted({o.dxf.layer for o in outlines}))
print(document.dxfversion, errors, sum(1 for o in outlines if o.is_closed), f"{abs(total):.6g}", layers)
