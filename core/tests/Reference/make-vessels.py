#!/usr/bin/env python3
"""Writes vessels.csv: what vessels hold, by brute numerical integration (SciPy; Debian package python3-scipy).

Each shape is described here by its own geometry, as a test whether a point lies inside; litres are integrals of the section areas,
and what lies below a slope is integrated column by column over the floor plan. No formula of the PHP code is used.
"""
import csv
import math
import os

import numpy as np
from scipy.integrate import quad

N = 1201


def columns(length, width, bottom, top, plane):
    """Litres between a bottom and the lower of plane and top, summed over a fine grid of columns (x along, y front to back)."""
    x = np.linspace(-length / 2, length / 2, N)
    y = np.linspace(-width / 2, width / 2, N)
    gx, gy = np.meshgrid(x, y, indexing="ij")
    low, high = bottom(gx, gy), np.minimum(top(gx, gy), plane(gy))
    depth = np.where(np.isfinite(low), np.maximum(0.0, high - low), 0.0)
    # Trapezoids both ways.
    return float(np.trapezoid(np.trapezoid(depth, y, axis=1), x)) * 1000 if hasattr(np, "trapezoid") else float(np.trapz(np.trapz(depth, y, axis=1), x)) * 1000


def sphere(radius, centre):
    inside = lambda x, y: radius**2 - x**2 - y**2
    bottom = lambda x, y: np.where(inside(x, y) >= 0, np.maximum(0.0, centre - np.sqrt(np.maximum(0.0, inside(x, y)))), np.inf)
    top = lambda x, y: centre + np.sqrt(np.maximum(0.0, inside(x, y)))
    return bottom, top


def revolved(radius_at, height):
    """A solid of revolution that widens upward."""
    z = np.linspace(0, height, 4001)
    r = np.array([radius_at(v) for v in z])
    def bottom(x, y):
        rho = np.hypot(x, y)
        return np.where(rho <= r[-1], np.interp(rho, r, z, left=0.0), np.inf)
    return bottom, lambda x, y: np.full_like(x, height)


VESSELS = []


def vessel(name, shape, measures, line, front, back, length, width, bottom, top, area):
    plane = lambda y: front + (back - front) * (y / width + 0.5)
    VESSELS.append([name, shape, " ".join(map(str, measures)), line, front, back, f"{quad(area, 0, line, limit=400, epsabs=1e-12)[0] * 1000:.6g}", f"{columns(length, width, bottom, top, plane):.5g}", f"{area(line):.6g}"])


def main():
    g = 0.004
    # A bowl: sphere of 33 cm, 28 cm high, mouth 23 cm.
    r = 0.33 / 2 - g
    h = 0.28 - g
    c = h - math.sqrt(r**2 - (0.23 / 2 - g) ** 2)
    vessel("bowl", "bowl", [0.33, 0.28, 0.23, g], 0.24, 0.03, 0.07, 2 * r, 2 * r, *sphere(r, c), lambda z: math.pi * (r**2 - (z - c) ** 2))
    half = 0.3 / 2 - g
    vessel("half a sphere", "bowl", [0.3, 0.15, 0.3, g], 0.13, 0.02, 0.06, 2 * half, 2 * half, *sphere(half, half + 0.0), lambda z: math.pi * (half**2 - (z - half) ** 2))
    f = 0.2 / 2 - 0.003
    vessel("flask", "tilted-flask", [0.2, 0.155, 0.003], 0.14, 0.02, 0.05, 2 * f, 2 * f, *sphere(f, f), lambda z: math.pi * (f**2 - (z - f) ** 2))
    # A jar on its side: 16 cm across, 28 cm long.
    j, l = 0.16 / 2 - g, 0.28 - 2 * g
    inside = lambda y: np.sqrt(np.maximum(0.0, j**2 - y**2))
    vessel("jar", "jar-lying", [0.16, 0.28, g], 0.13, 0.02, 0.06, l, 2 * j, lambda x, y: j - inside(y), lambda x, y: j + inside(y), lambda z: l * 2 * math.sqrt(max(0.0, j**2 - (z - j) ** 2)))
    # A half-barrel with staves in a parabola, and a tub.
    w = 0.027
    d1, d0, hb = 0.72 - 2 * w, 0.6 - 2 * w, 0.46 - w
    stave = lambda z: (d1 - (d1 - d0) * (1 - z / hb) ** 2) / 2
    vessel("barrel", "barrel", [0.72, 0.6, 0.46, w], 0.38, 0.05, 0.12, d1, d1, *revolved(stave, hb), lambda z: math.pi * stave(z) ** 2)
    t1, t0, ht = 0.6 - 2 * g, 0.45 - 2 * g, 0.4 - g
    cone = lambda z: (t0 + (t1 - t0) * z / ht) / 2
    vessel("tub", "tub", [0.6, 0.45, 0.4, g], 0.34, 0.03, 0.08, t1, t1, *revolved(cone, ht), lambda z: math.pi * cone(z) ** 2)
    # A pool: oval, upright.
    a, b = 2.6 / 2 - 0.005, 1.6 / 2 - 0.005
    vessel("pool", "pool", [2.6, 1.6, 0.6, 0.005], 0.52, 0.05, 0.1, 2 * a, 2 * b, lambda x, y: np.where((x / a) ** 2 + (y / b) ** 2 <= 1, 0.0, np.inf), lambda x, y: np.full_like(x, 0.595), lambda z: math.pi * a * b)
    # A bow front: 75 x 30 cm, bowed out by 8 cm; front is at negative y.
    p = 0.008
    bl, bw, bow = 0.75 - 2 * p, 0.30 - 2 * p, 0.08
    bend = (bl**2 / 4 + bow**2) / (2 * bow)
    whole = bw + bow
    edge = lambda x: -whole / 2 + bow - (np.sqrt(np.maximum(0.0, bend**2 - x**2)) - (bend - bow))  # how far forward the front reaches
    area = bl * bw + quad(lambda x: math.sqrt(bend**2 - x**2) - (bend - bow), -bl / 2, bl / 2)[0]
    vessel("bow front", "bow-front", [0.75, 0.30, bow, 0.40, p], 0.36, 0.03, 0.07, bl, whole, lambda x, y: np.where(y >= edge(x), 0.0, np.inf), lambda x, y: np.full_like(x, 0.392), lambda z: area)
    # A hexagon, 30 cm from side to side, 6 mm glass: corners to the left and right.
    hw = 0.30 - 2 * 0.006
    hl = hw * 2 / math.sqrt(3)
    slant = lambda x: np.minimum(hw / 2, math.sqrt(3) * (hl / 2 - np.abs(x)))  # half the depth at x
    vessel("hexagon", "hexagon", [0.30, 0.40, 0.006], 0.36, 0.03, 0.07, hl, hw, lambda x, y: np.where(np.abs(y) <= slant(x), 0.0, np.inf), lambda x, y: np.full_like(x, 0.394), lambda z: quad(lambda x: 2 * min(hw / 2, math.sqrt(3) * (hl / 2 - abs(x))), -hl / 2, hl / 2, points=[-hl / 4, hl / 4])[0])
    # A glass box.
    vessel("box", "glass-box", [0.6, 0.3, 0.36, 0.006], 0.33, 0.03, 0.06, 0.588, 0.288, lambda x, y: np.zeros_like(x), lambda x, y: np.full_like(x, 0.354), lambda z: 0.588 * 0.288)
    vessel("cylinder", "cylinder", [0.25, 0.5, 0.006], 0.45, 0.03, 0.06, 0.238, 0.238, lambda x, y: np.where(np.hypot(x, y) <= 0.119, 0.0, np.inf), lambda x, y: np.full_like(x, 0.494), lambda z: math.pi * 0.119**2)
    with open(os.path.join(os.path.dirname(os.path.abspath(__file__)), "vessels.csv"), "w", newline="") as file:
        rows = csv.writer(file, lineterminator="\n")
        rows.writerow(["name", "shape", "measures", "line", "front", "back", "litres", "under_slope", "surface"])
        rows.writerows(VESSELS)


main()
