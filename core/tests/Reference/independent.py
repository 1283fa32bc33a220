#!/usr/bin/env python3
"""Three pieces of the run done in other ways, none of which knows the run's code or shares its approximations (Debian: python3-scipy).

  independent.py --write   writes beside this file
    cap-pde.csv     mg N a day through a cap of sand: the diffusion equation in depth, soil and cap both sorbing, against Bed\\Release,
                    which takes the cap as a line without storage
    overlap.csv     light within discs of leaf by rays: points thrown on each disc, taller discs tried one by one, against Light\\Shade,
                    which has a smooth stand-in for the overlap of circles
    lamp.csv        share of a Lambertian strip's rays that meet the water, by its height, against Light\\Lamp's one formula
    two-guilds.csv  a fishless dose in a bare tank by (1) the two guilds of waste-water texts (M: Metcalf & Eddy 2003; Rittmann & McCarty
                    2001): K 0.5 and 0.5 mg N/L, greatest growth 0.8 and 0.8 a day, decay 0.05; and by (2) slow, keen ones (M: Kits and
                    others 2017): 0.45 and 0.5 a day, K 0.02 and 0.15
"""
import csv
import math
import os
import sys

import numpy as np
from scipy.integrate import solve_ivp

HERE = os.path.dirname(os.path.abspath(__file__))


def write(name, header, rows):
    with open(os.path.join(HERE, name), "w", newline="") as file:
        out = csv.writer(file, lineterminator="\n")
        out.writerow(header)
        out.writerows([f"{v:.6g}" if isinstance(v, float) else v for v in row] for row in rows)


def cap_pde(cap, soil_litres, porosity, retardation, flush, ready, slow, area, days):
    """Soil: well mixed, its pores' concentration feeding the cap from below. Cap: 40 cells, sand that sorbs 1.5-fold. Above it clean water."""
    cells, phi, sorbs = 40, 0.40, 1.5
    dx = cap / cells
    theta2 = 1 - math.log(phi**2)
    stir = lambda t: 6.0 if t < 21 else 3.0 if t < 60 else 1.5

    def rates(t, y):
        pools, c0, c = y[:3], y[3], y[4:]
        d = phi * 1.7e-4 * stir(t) / theta2  # m2/d
        freed = 0.05 * pools[0] + 0.004 * pools[1] + 0.0001 * pools[2]
        flux = np.empty(cells + 1)  # mg/m2/d upwards, with c in mg/m3
        flux[0] = d * (c0 - c[0]) / (dx / 2)
        flux[1:-1] = d * (c[:-1] - c[1:]) / dx
        flux[-1] = d * c[-1] / (dx / 2)
        hold = soil_litres / 1000 * porosity * retardation
        return np.concatenate([[-0.05 * pools[0], -0.004 * pools[1], -0.0001 * pools[2]], [(freed - flux[0] * area) / hold], (flux[:-1] - flux[1:]) / (dx * phi * sorbs)])

    y = np.concatenate([[flush, ready, slow], np.zeros(cells + 1)])
    out, at = [], 0.0
    for day in days:
        for end in [e for e in (21.0, 60.0) if at < e < day] + [float(day)]:
            y = solve_ivp(rates, (at, end - 1e-9), y, method="LSODA", rtol=1e-8, atol=1e-8).y[:, -1]
            at = end
        d = phi * 1.7e-4 * stir(day - 1e-6) / theta2
        out.append((day, d * y[-1] / (dx / 2) * area))
    return out


def overlap(rng, layouts):
    """Discs of leaf in a tank of 0.6 by 0.3 m, tallest first: vertical rays on points thrown evenly over each."""
    rows = []
    for layout in range(layouts):
        discs = [(rng.uniform(0.1, 0.5), rng.uniform(0.05, 0.25), rng.uniform(0.08, 0.13), rng.uniform(0.2, 2.5)) for _ in range(4)]
        for i, (x, z, r, leaf) in enumerate(discs):
            angle, out = rng.uniform(0, 2 * math.pi, 20000), r * np.sqrt(rng.uniform(0, 1, 20000))
            px, pz = x + out * np.cos(angle), z + out * np.sin(angle)
            light = np.ones(20000)
            for ox, oz, other, density in discs[:i]:
                light *= np.where((px - ox) ** 2 + (pz - oz) ** 2 < other**2, math.exp(-0.5 * density), 1.0)
            path = 0.5 * leaf
            rows.append((layout, i, x, z, r, leaf * math.pi * r * r, float(light.mean() * (1 - math.exp(-path)) / path)))
    return rows


def lamp(rng, heights):
    """A strip 0.5 m long and 0.08 m wide over the middle of 0.6 by 0.3 m, its rays by Lambert's law."""
    n = 400000
    rows = []
    for height in heights:
        x, z = rng.uniform(-0.25, 0.25, n), rng.uniform(-0.04, 0.04, n)
        angle, sine = rng.uniform(0, 2 * math.pi, n), np.sqrt(rng.uniform(0, 1, n))
        reach = height * sine / np.sqrt(1 - sine**2)
        hit = (abs(x + reach * np.cos(angle)) < 0.3) & (abs(z + reach * np.sin(angle)) < 0.15)
        rows.append((height, float(hit.mean())))
    return rows


def two_guilds(grow, half, yields, decay, share, days):
    """5 mg N/L in 50 L over 1 m2 of surface that bears 200 mg N/m2/d; buffered."""
    litres, most = 50.0, [200.0 * y / g for g, y in zip(grow, yields)]

    def rates(t, y):
        tan, no2, xa, xn = y
        first = grow[0] / yields[0] * xa * tan / (half[0] + tan)
        second = grow[1] / yields[1] * xn * no2 / (half[1] + no2)
        return [-first / litres, (first - second) / litres, yields[0] * first * max(0.0, 1 - xa / most[0]) - decay * xa, yields[1] * second * max(0.0, 1 - xn / most[1]) - decay * xn]

    at = np.arange(0, days + 1)
    y = solve_ivp(rates, (0, days), [5.0, 0.0, share * most[0], share * most[1]], method="LSODA", rtol=1e-8, atol=1e-10, t_eval=at).y
    return [(int(t), float(a), float(b)) for t, a, b in zip(at, y[0], y[1])]


def main():
    if sys.argv[1:] != ["--write"]:
        sys.exit(__doc__)
    rng = np.random.default_rng(20260501)
    rows = []
    for cap in (0.02, 0.04, 0.06):
        rows += [(cap, day, leak) for day, leak in cap_pde(cap, 5.0, 0.5, 20.0, 160.0, 935.0, 7315.0, 0.2, (7, 14, 30, 45, 90, 180, 365))]
    write("cap-pde.csv", ["cap", "day", "leak"], rows)
    write("overlap.csv", ["layout", "disc", "x", "z", "radius", "leaves", "light"], overlap(rng, 25))
    write("lamp.csv", ["height", "share"], lamp(rng, (0.05, 0.1, 0.15, 0.2, 0.3, 0.4)))
    guilds = ((1, (0.8, 0.8), (0.5, 0.5), (0.15, 0.06), 0.05), (2, (0.45, 0.5), (0.02, 0.15), (0.10, 0.05), 0.03))
    write("two-guilds.csv", ["guilds", "share", "day", "ammonia", "nitrite"], [(name, share, *row) for name, *what in guilds for share in (0.002, 0.005, 0.1) for row in two_guilds(*what, share, 60)])


main()
