#!/usr/bin/python3
# SPDX-License-Identifier: GPL-3.0-or-later
"""Known drawings written with ezdxf. usage: make_dxf.py FOLDER; prints "file area-in-mm²" a line."""
import math
import sys

import ezdxf

folder = sys.argv[1]


def write(name, area, units, draw, version="R2010"):
    document = ezdxf.new(version)
    if units is not None:
        document.header["$INSUNITS"] = units
    draw(document, document.modelspace())
    document.saveas(f"{folder}/{name}.dxf")
    print(f"{name} {area:.9g}")


def slot(_, model):  # 60 × 20 with half circles at both ends, as bulges
    model.add_lwpolyline([(0, 0, 0), (60, 0, 1), (60, 20, 0), (0, 20, 1)], format="xyb", close=True)


def old_slot(_, model):
    model.add_polyline2d([(0, 0, 0), (60, 0, 1), (60, 20, 0), (0, 20, 1)], format="xyb", close=True)


def lines_and_arc(_, model):  # a D of loose parts in no order, ends off by less than 0.1 mm
    model.add_line((0, 30), (0, 0.05))
    model.add_arc((0, 15), 15, 270, 90)


def circle(_, model):
    model.add_circle((50, 50), 12.5)


def ellipse(_, model):
    model.add_ellipse((10, 10), major_axis=(30, 10), ratio=0.4)


def half_ellipse(_, model):
    model.add_ellipse((0, 0), major_axis=(20, 0), ratio=0.5, start_param=0, end_param=math.pi)
    model.add_line((20, 0), (-20, 0))


def rational_circle(_, model):  # an exact circle as a rational quadratic spline
    w = math.sqrt(0.5)
    points = [(1, 0), (1, 1), (0, 1), (-1, 1), (-1, 0), (-1, -1), (0, -1), (1, -1), (1, 0)]
    model.add_rational_spline([(x * 25, y * 25) for x, y in points], [1, w, 1, w, 1, w, 1, w, 1], degree=2,
                              knots=[0, 0, 0, 1, 1, 2, 2, 3, 3, 4, 4, 4])


def cubic_spline(_, model):  # one Bézier arch as a spline, closed by a line
    model.add_open_spline([(0, 0), (0, 40), (60, 40), (60, 0)], degree=3)
    model.add_line((60, 0), (0, 0))


def blocks(document, model):  # a leaf twice: once twice as large and turned, once inside another block, mirrored
    leaf = document.blocks.new("leaf", base_point=(5, 5))
    leaf.add_lwpolyline([(5, 5), (25, 5), (25, 15)], close=True)
    spray = document.blocks.new("spray")
    spray.add_blockref("leaf", (100, 0), dxfattribs={"xscale": -1})
    model.add_blockref("leaf", (0, 0), dxfattribs={"xscale": 2, "yscale": 2, "rotation": 30})
    model.add_blockref("spray", (0, 100))


def names(document, model):
    document.layers.add("hull", color=1)
    document.layers.add("hidden", color=3).off()
    model.add_lwpolyline([(0, 0), (100, 0), (100, 50), (0, 50)], close=True, dxfattribs={"layer": "hull"})
    model.add_lwpolyline([(10, 10), (30, 10), (30, 30), (10, 30)], close=True)
    model.add_text("window", dxfattribs={"insert": (12, 20), "height": 3})
    model.add_lwpolyline([(200, 0), (300, 0), (300, 50)], close=True, dxfattribs={"layer": "hidden"})
    model.add_line((40, 20), (90, 20), dxfattribs={"layer": "hull"})


def hatch_of_bulges(_, model):
    hatch = model.add_hatch(color=1)
    hatch.paths.add_polyline_path([(0, 0, 0), (60, 0, 1), (60, 20, 0), (0, 20, 1)], is_closed=True)


def hatch_of_edges(_, model):  # a D of lines and a half circle that runs clockwise, and half an ellipse
    edges = model.add_hatch(color=2).paths.add_edge_path()
    edges.add_line((0, 30), (0, 0))
    edges.add_arc((0, 15), 15, start_angle=270, end_angle=90, ccw=False)
    other = model.add_hatch(color=3).paths.add_edge_path()
    other.add_line((80, 0), (120, 0))
    other.add_ellipse((100, 0), major_axis=(20, 0), ratio=0.5, start_angle=0, end_angle=180)


def hatch_of_a_spline(_, model):
    edges = model.add_hatch(color=2).paths.add_edge_path()
    edges.add_spline(control_points=[(0, 0), (0, 40), (60, 40), (60, 0)], degree=3,
                     knot_values=[0, 0, 0, 0, 1, 1, 1, 1])
    edges.add_line((60, 0), (0, 0))


def hatch_with_islands(_, model):  # a square with a round hole, in the hole a smaller square; all drawn round
    hatch = model.add_hatch(color=1)
    square = [(0, 0), (100, 0), (100, 100), (0, 100)]
    hatch.paths.add_polyline_path(square, is_closed=True, flags=ezdxf.const.BOUNDARY_PATH_EXTERNAL)
    hole = hatch.paths.add_edge_path(flags=ezdxf.const.BOUNDARY_PATH_OUTERMOST)
    hole.add_arc((50, 50), 30, 0, 360)
    inner = [(40, 40), (60, 40), (60, 60), (40, 60)]
    hatch.paths.add_polyline_path(inner, is_closed=True, flags=ezdxf.const.BOUNDARY_PATH_DEFAULT)
    model.add_lwpolyline(square, close=True)
    model.add_circle((50, 50), 30)
    model.add_lwpolyline(inner, close=True)


def drawn_twice(_, model):  # a square: one side twice, one turned round, one in overlapping parts; a circle twice
    model.add_line((0, 0), (100, 0))
    model.add_line((0, 0), (100, 0))
    model.add_line((100, 0), (100, 100))
    model.add_line((100, 100), (100, 0))
    model.add_line((100, 100), (30, 100))
    model.add_line((60, 100), (0, 100))
    model.add_line((0, 100), (0, 0))
    model.add_line((0, 80), (0, 20))
    model.add_circle((200, 50), 20)
    model.add_circle((200, 50), 20)


def neighbours(_, model):  # two squares side by side, each of its own lines, the smaller one's side on the larger's
    for x, y, size in ((0, 0, 100), (100, 20, 60)):
        corners = [(x, y), (x + size, y), (x + size, y + size), (x, y + size)]
        for i in range(4):
            model.add_line(corners[i], corners[(i + 1) % 4])


def many_lines(_, model):
    n = 24_000
    points = [(100 * math.cos(2 * math.pi * i / n), 100 * math.sin(2 * math.pi * i / n)) for i in range(n)]
    for i in range(n):
        model.add_line(points[i], points[(i + 1) % n])


# Areas by the formulas of elementary geometry.
write("slot", 60 * 20 + math.pi * 100, 4, slot)
write("old_slot", 60 * 20 + math.pi * 100, 4, old_slot, "R12")
write("slot_in_inches", (60 * 20 + math.pi * 100) * 25.4**2, 1, slot)
write("slot_in_centimetres", (60 * 20 + math.pi * 100) * 100, 5, slot)
write("lines_and_arc", math.pi * 225 / 2, 4, lines_and_arc)
write("circle", math.pi * 12.5**2, 4, circle)
write("ellipse", math.pi * 1000 * 0.4, 4, ellipse)
write("half_ellipse", math.pi * 200 / 2, 4, half_ellipse)
write("rational_circle", math.pi * 625, 4, rational_circle)
write("cubic_spline", 60 * 40 * 0.6, 4, cubic_spline)  # ∫ y dx of that arch: 3/5 of its box
write("blocks", 100 * 4 + 100, 4, blocks)
write("names", 100 * 50 + 20 * 20, 4, names)
write("hatch_of_bulges", 60 * 20 + math.pi * 100, 4, hatch_of_bulges)
write("hatch_of_edges", math.pi * 225 / 2 + math.pi * 200 / 2, 4, hatch_of_edges)
write("hatch_of_a_spline", 60 * 40 * 0.6, 4, hatch_of_a_spline)
write("hatch_with_islands", 1e4 - math.pi * 900 + 400, 4, hatch_with_islands)
write("drawn_twice", 1e4 + math.pi * 400, 4, drawn_twice)
write("neighbours", 1e4 + 3600, 4, neighbours)
write("many_lines", math.pi * 1e4, 4, many_lines)
