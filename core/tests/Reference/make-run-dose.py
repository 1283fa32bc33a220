#!/usr/bin/env python3
"""Writes run-dose.csv: sixty days of a bare, dark tank after 5 mg N/L of ammonium, by a general-purpose solver.

The equations of docs/model.md written again, as one continuous system, for SciPy's solve_ivp (LSODA, rtol 1e-8; Debian package
python3-scipy). Nothing is taken from the PHP code but the equations and their parameters. Left out, being below a
thousandth here: the pinch of algae that every tank starts with.
"""
import csv
import math
import os

from scipy.integrate import solve_ivp

# The plan: glass box 60 x 30 x 36 cm, 6 mm panes, water line 33 cm, sand 3 cm in front and 4 cm behind, no soil, 23 deg C, no light.
T = 23.0
LENGTH, WIDTH = 0.588, 0.288
AREA = LENGTH * WIDTH
BED = 0.035
LINE = 0.33
V = AREA * (LINE - BED) * 1000
WALL = 2 * (LENGTH + WIDTH) * (LINE - BED)
THETA = 1.08 ** (T - 25)
# Source water: pH 7.4, 6 deg dH, 1 mg N/L nitrate.
ALK0, NO3_0, PH0 = 6 * 0.3566, 1.0, 7.4

RATE_A, YIELD_A, HALF_A = 6.0, 0.15, 0.03
RATE_N, YIELD_N, HALF_N = 15.0, 0.06, 0.3
DECAY, DORMANT = 0.05, 0.15
OX_A, OX_N = 0.5, 1.0
DENIT, KL = 0.01, 0.5
MOST_A = 200.0 * (4 * AREA + WALL) / RATE_A
MOST_N = MOST_A * RATE_A / RATE_N
START = 0.005  # bottled bacteria
HALF_O2 = 0.2

K = T + 273.15
K1 = 10 ** (-356.3094 - 0.06091964 * K + 21834.37 / K + 126.8339 * math.log10(K) - 1684915 / K**2)
K2 = 10 ** (-107.8871 - 0.03252849 * K + 5151.79 / K + 38.92561 * math.log10(K) - 563713.9 / K**2)
KH = 10 ** (108.3865 + 0.01985076 * K - 6919.53 / K - 40.45154 * math.log10(K) + 669365 / K**2)
KW = 10 ** -(4470.99 / K - 6.0875 + 0.01706 * K)
CO2_AIR = KH * 420e-6 * 44.009 * 1000
SAT = math.exp(-139.34411 + 1.575701e5 / K - 6.642308e7 / K**2 + 1.2438e10 / K**3 - 8.621949e11 / K**4)
VAPOUR = 0.61094 * math.exp(17.625 * T / (243.04 + T))
TOP_UP = 0.35 * AREA * (VAPOUR - 1.24) * 0.089 / 2330 * 86400  # L/d


def hydrogen(dic, alk):
    """mol/L from mg C/L and meq/L."""
    a, d = alk / 1000, dic / 12011.0
    b, c = K1 * (a - d), K1 * K2 * (a - 2 * d)
    return (-b + math.sqrt(b * b - 4 * a * c)) / (2 * a)


def co2(dic, alk):
    h = hydrogen(dic, alk)
    return 44.009 / 12.011 * dic * h * h / (h * h + K1 * h + K1 * K2)


def source_dic():
    h = 10**-PH0
    free = (ALK0 / 1000 - KW / h + h) / (K1 / h + 2 * K1 * K2 / h**2)
    target = free * 44.009 * 1000
    low, high = 0.0, 200.0
    for _ in range(100):
        mid = (low + high) / 2
        low, high = (mid, high) if co2(mid, ALK0) < target else (low, mid)
    return low


DIC0 = source_dic()


def rates(t, y):
    tan, no2, no3, o2, dic, alk, xa, xn = y  # mg/L but alk meq/L, bacteria mg
    acid = min(1.0, max(0.0, -math.log10(hydrogen(dic, alk)) - 6))
    first = RATE_A * xa * THETA * acid * tan / (HALF_A + tan) * o2 / (OX_A + o2)  # mg N/d
    second = RATE_N * xn * THETA * acid * no2 / (HALF_N + no2) * o2 / (OX_N + o2)
    gone = DENIT * THETA * AREA * 1000 * no3
    k = KL * AREA * 1000 / V
    # Top-up comes in with what it carries; evaporation takes water only, so the volume stays.
    drip = TOP_UP / V
    dtan = -first / V
    dno2 = (first - second) / V
    dno3 = (second - gone) / V + drip * NO3_0
    do2 = k * (SAT - o2) - (3.43 * first + 1.14 * second) / V * o2 / (HALF_O2 + o2) + drip * SAT
    ddic = k * 0.94 * (CO2_AIR - co2(dic, alk)) * 12.011 / 44.009 + drip * DIC0
    dalk = (-2 * first + gone) / 14.007 / V + drip * ALK0
    busy_a = first / (RATE_A * THETA * xa)
    busy_n = second / (RATE_N * THETA * xn)
    dxa = YIELD_A * first * (1 - xa / MOST_A) - DECAY * THETA * (DORMANT + (1 - DORMANT) * busy_a) * xa
    dxn = YIELD_N * second * (1 - xn / MOST_N) - DECAY * THETA * (DORMANT + (1 - DORMANT) * busy_n) * xn
    return [dtan, dno2, dno3, do2, ddic, dalk, dxa, dxn]


def main():
    start = [5.0, 0.0, NO3_0, SAT, DIC0, ALK0, START * MOST_A, START * MOST_N]
    run = solve_ivp(rates, (0, 60), start, method="LSODA", rtol=1e-8, atol=1e-10, t_eval=range(1, 61))
    with open(os.path.join(os.path.dirname(os.path.abspath(__file__)), "run-dose.csv"), "w", newline="") as file:
        rows = csv.writer(file, lineterminator="\n")
        rows.writerow(["day", "ammonia", "nitrite", "nitrate", "oxygen", "carbon", "alkalinity", "ammoniaOxidisers", "nitriteOxidisers"])
        for day, values in zip(run.t, run.y.T):
            rows.writerow([int(day), *(f"{value:.6g}" for value in values)])


main()
