#!/usr/bin/python3
# SPDX-License-Identifier: GPL-3.0-or-later
"""A page of templates as a scanner would see it, drawn with Pillow and spoilt with numpy.
usage: make_scan.py FILE DPI [--skew DEG] [--noise N] [--shade SHARE] [--pencil LEVEL] [--gap MM] [--square MM]
[--no-resolution] [--print-at SHARE] [--marks] [--dashes]; prints the area of each template in mm², the largest first."""
import argparse
import math

import numpy
from PIL import Image, ImageDraw

parser = argparse.ArgumentParser()
parser.add_argument("file")
parser.add_argument("dpi", type=int)
parser.add_argument("--skew", type=float, default=0)
parser.add_argument("--noise", type=float, default=0)
parser.add_argument("--shade", type=float, default=0)
parser.add_argument("--pencil", type=int, default=30)
parser.add_argument("--gap", type=float, default=0)
parser.add_argument("--square", type=float, default=25.4)
parser.add_argument("--print-at", type=float, default=1.0)
parser.add_argument("--no-resolution", action="store_true")
parser.add_argument("--marks", action="store_true", help="a vein with a side vein, a loose line, a label")
parser.add_argument("--dashes", action="store_true", help="the board's lower edge is dashed")
parser.add_argument("--photo", type=float, default=0, help="seen aslant on a dark table; how much narrower the far end is")
options = parser.parse_args()

OVER = 3 if options.dpi < 400 else 2  # drawn that much finer
scale = options.dpi / 25.4 * OVER  # dots per mm
width, height = 215.9, 279.4  # Letter
line = 0.5  # mm
page = Image.new("L", (round(width * scale), round(height * scale)), 255)
pen = ImageDraw.Draw(page)
turn = math.radians(options.skew)


def place(x, y):
    """mm on the template sheet → dots on the skewed page."""
    x, y = (x - width / 2) * options.print_at, (y - height / 2) * options.print_at
    return ((x * math.cos(turn) - y * math.sin(turn) + width / 2) * scale,
            (x * math.sin(turn) + y * math.cos(turn) + height / 2) * scale)


def draw(points, gap=0.0):
    points = list(points)
    ends = points + points[:1]
    left = gap
    for a, b in zip(ends, ends[1:]):
        length = math.dist(a, b)
        if left > 0:  # nothing of the line for its first few millimetres
            if left >= length:
                left -= length
                continue
            a = (a[0] + (b[0] - a[0]) * left / length, a[1] + (b[1] - a[1]) * left / length)
            left = 0
        pen.line([place(*a), place(*b)], fill=options.pencil, width=round(line * scale))
        for end in (a, b):
            x, y = place(*end)
            r = line * scale / 2
            pen.ellipse([x - r, y - r, x + r, y + r], fill=options.pencil)


def area(points):
    points = list(points)
    return abs(sum(a[0] * b[1] - b[0] * a[1] for a, b in zip(points, points[1:] + points[:1]))) / 2


def oval(cx, cy, rx, ry):
    return [(cx + rx * math.cos(t), cy + ry * math.sin(t)) for t in (math.tau * i / 720 for i in range(720))]


def leaf(cx, cy, size):
    top = [(cx + size * (t - 0.5) * 2, cy - size * 0.7 * math.sin(math.pi * t)) for t in (i / 200 for i in range(201))]
    return top + [(x, 2 * cy - y) for x, y in reversed(top[1:-1])]


def star(cx, cy, outer, inner):
    return [(cx + r * math.sin(math.pi * i / 5), cy - r * math.cos(math.pi * i / 5))
            for i in range(10) for r in [outer if i % 2 == 0 else inner]]


templates = [oval(60, 60, 35, 35), leaf(150, 60, 40), star(60, 150, 40, 17),
             [(110, 110), (190, 110), (190, 160), (110, 160)], oval(60, 230, 30, 12),
             [(110, 190), (125, 190), (125, 215), (145, 215), (145, 230), (110, 230)]]
for template in templates:
    draw(template, options.gap)
if options.dashes:  # 3 mm of line, its ends rounded, and 1.5 mm of none, over and over
    corners = [place(108, 158), place(192, 158), place(192, 162), place(108, 162)]
    pen.polygon(corners, fill=255)
    for points in [[(110, 150), (110, 160)], [(190, 150), (190, 160)]]:
        draw(points)
    for start in range(18):
        draw([(110 + 4.5 * start, 160), (min(113 + 4.5 * start, 190), 160)])
draw(oval(150, 130, 12, 8))  # a window within the board
templates.append(oval(150, 130, 12, 8))
if options.square:
    s = options.square
    draw([(175, 240), (175 + s, 240), (175 + s, 240 + s), (175, 240 + s)])

if options.marks:
    def stroke(points):
        for a, b in zip(points, points[1:]):
            pen.line([place(*a), place(*b)], fill=options.pencil, width=round(line * scale))

    stroke([(125 + t, 60 - 4 * math.sin(math.pi * t / 50)) for t in range(51)])  # along the leaf
    stroke([(150, 56), (162, 46)])  # aside from it
    stroke([(20, 110), (20, 190)])  # on nothing
    for x in (104, 107.5, 111):  # three letters as large as print
        stroke([(x, 180), (x, 177), (x + 2, 180), (x + 2, 177)])

page = page.resize((round(width * scale / OVER), round(height * scale / OVER)), Image.Resampling.BOX)
dots = numpy.asarray(page, dtype=float)
down, across = numpy.mgrid[-1:1:dots.shape[0] * 1j, -1:1:dots.shape[1] * 1j]
dots *= 0.92 - options.shade * (0.5 + 0.4 * across + 0.3 * down * across + 0.2 * down ** 2)
dots += numpy.random.default_rng(7).normal(0, options.noise, dots.shape)
out = Image.fromarray(numpy.clip(dots, 0, 255).astype(numpy.uint8))
if options.photo:  # corners of the page in the picture, clockwise from the top left
    w, h, p = out.width, out.height, options.photo
    size = (round(w * 1.25), round(h * 1.2))
    x, y = w * 0.12, h * 0.09
    seen = [(x + w * p / 2, y), (x + w * (1 - p / 2), y + h * 0.02), (x + w, y + h * (1 - p / 3)), (x - w * 0.02, y + h * (0.98 - p / 3))]
    flat = [(0, 0), (w, 0), (w, h), (0, h)]
    rows, wanted = [], []
    for (u, v), (a, b) in zip(seen, flat):
        rows += [[u, v, 1, 0, 0, 0, -a * u, -a * v], [0, 0, 0, u, v, 1, -b * u, -b * v]]
        wanted += [a, b]
    map_ = numpy.linalg.solve(numpy.array(rows), numpy.array(wanted))
    mask = Image.new("L", (w, h), 255).transform(size, Image.Transform.PERSPECTIVE, map_, Image.Resampling.BICUBIC)
    table = Image.new("L", size, 70)
    table.paste(out.transform(size, Image.Transform.PERSPECTIVE, map_, Image.Resampling.BICUBIC), (0, 0), mask)
    out = table
more = {} if options.no_resolution else {"dpi": (options.dpi, options.dpi)}
out.save(options.file, **more)
for value in sorted((area(t) for t in templates), reverse=True):
    print(f"{value:.4f}")
