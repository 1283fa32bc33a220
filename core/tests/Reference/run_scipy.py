#!/usr/bin/env python3
"""The run written a second time, as one continuous system for SciPy's general-purpose solver (LSODA; Debian package python3-scipy).

The equations are those of docs/model.md. What our run does by the day or the hour (growth, rot, animals, lamp) runs on here at every
instant; only lamp switching, arrivals and the steps that the model itself has (stirring, melt) are given as breaks. So the
comparison tests both the equations and how our run splits its step.

  run_scipy.py --write          writes run-dose.csv, run-planted.csv, run-overstocked.csv beside this file (rtol 1e-8): each state
                                at the end of each day, then the least and the most it was within the days too
  run_scipy.py --time PLAN [N]  runs a plan N days at rtol 1e-3 and prints the seconds it took

Plans are read from the published JSON, kinds and materials from the catalogue's CSV files.
"""
import csv
import json
import math
import os
import re
import sys
import time

import numpy as np
from scipy.integrate import solve_ivp
from scipy.optimize import brentq

HERE = os.path.dirname(os.path.abspath(__file__))
DATA = os.path.join(HERE, "..", "..", "data")

# Parameters of the run at 25 deg C (docs/model.md).
QMIN, QMAX, QSTART = 13.0, 45.0, 25.0
LEAF_C, LEAF_P, LEAF_K, LEAF_FE = 400.0, 2.0, 15.0, 0.1
RESP, MORT = 0.09, 0.03
# film, green water, diatoms: growth, half light, mortality
ALGAE = [(0.8, 25.0, 0.1), (1.1, 60.0, 0.4), (0.6, 10.0, 0.1)]
ALGAE_HALF_N, ALGAE_RESP, ALGAE_DENSE, GREENEST, DIATOM_SI, HALF_SI = 0.02, 0.04, 6.0, 60.0, 150.0, 0.1
SPORES = (1e-3, 1e-4, 3e-4)
RATE_A, YIELD_A, HALF_A, RATE_N, YIELD_N, HALF_N = 6.0, 0.15, 0.03, 15.0, 0.06, 0.3
DECAY, DORMANT, OX_A, OX_N = 0.05, 0.15, 0.5, 1.0
FLUSH, SLOW, QUICK_C, SLOW_C, AEROBIC, BUBBLES, SOIL_TANNIN = 0.05, 0.0008, 0.02, 0.0003, 0.3, 0.25, 0.03
TANNIN_DECAY, MULM_TANNIN, WOOD_FADES, DENIT, MULM, KL, BASAL, THRIFTY, GRAZE = 0.05, 0.01, 0.01, 0.01, 0.03, 0.7, 0.01, 0.45, 0.02
HALF_NH4, HALF_NO3, NH4_FIRST, HALF_PORE = 0.1, 0.3, 0.1, 0.5
LEAF_AREA, EXTINCT, SHADE, KD, KD_TANNIN, KD_GREEN = 0.04, 0.5, 0.85, 0.5, 0.12, 0.15
AN_N, AN_C, AN_P, AN_K, AN_FE = 25.0, 120.0, 5.0, 3.0, 0.03
FOOD_C, FOOD_P, FOOD_K, FOOD_FE = 450.0, 11.0, 8.0, 0.25
O2_PER_C, CO2_PER_C, N_MOLAR = 31.998 / 12.011, 44.009 / 12.011, 14.007
AIRY = {"floater", "marsh", "house-plant"}
FLOORLESS = {"floater"} | {"marsh", "house-plant"}


def likely(cell):
    return float(re.match(r"-?[\d.]+", cell).group())


def table(name):
    with open(os.path.join(DATA, name + ".csv"), newline="") as file:
        return {row["id"]: row for row in csv.DictReader(file)}


class Tank:
    """A plan's constants."""

    def __init__(self, plan):
        plants, animals, materials = table("plants"), table("animals"), table("materials")
        box = plan["vessel"]
        assert box["shape"] == "glass-box"
        length, width = box["length"] - 2 * box["glass"], box["width"] - 2 * box["glass"]
        self.area = area = length * width
        line = plan["waterLine"]
        layers = plan["bed"]
        mean = lambda layer: 0.0 if layer is None else (layer["front"] + layer["back"]) / 2
        bed = mean(layers["soil"]) + mean(layers["cap"])
        stone = plan.get("hardscape") or []
        woods = table("woods")
        self.v = (area * (line - bed)) * 1000 - sum(p["litres"] for p in stone)
        self.depth = self.v / 1000 / area
        wall = 2 * (length + width) * (line - bed)
        self.lit = area + wall
        surface = 4 * area + wall + sum(p["litres"] / 1000 * likely(woods[p["kind"]]["surface"]) for p in stone)
        self.wood = sum(p["litres"] * likely(woods[p["kind"]]["tannin"]) for p in stone)
        self.t = plan["site"]["temperature"]
        self.theta = 1.08 ** (min(self.t, 32) - 25)
        self.hours = plan["light"]["hours"]
        self.ppfd = plan["light"]["lumens"] / 70 * plan["light"]["landing"] / area
        k = self.t + 273.15
        self.k1 = 10 ** (-356.3094 - 0.06091964 * k + 21834.37 / k + 126.8339 * math.log10(k) - 1684915 / k**2)
        self.k2 = 10 ** (-107.8871 - 0.03252849 * k + 5151.79 / k + 38.92561 * math.log10(k) - 563713.9 / k**2)
        kh = 10 ** (108.3865 + 0.01985076 * k - 6919.53 / k - 40.45154 * math.log10(k) + 669365 / k**2)
        self.kw = 10 ** -(4470.99 / k - 6.0875 + 0.01706 * k)
        self.ksp = 10 ** (-171.9065 - 0.077993 * k + 2839.319 / k + 71.595 * math.log10(k))
        self.co2_air = kh * 420e-6 * 44.009 * 1000
        self.sat = math.exp(-139.34411 + 1.575701e5 / k - 6.642308e7 / k**2 + 1.2438e10 / k**3 - 8.621949e11 / k**4)
        vapour = 0.61094 * math.exp(17.625 * self.t / (243.04 + self.t))
        self.dries = 0.25 * area * max(0.0, vapour - 1.24) * 0.089 / 2330 * 86400 * (0.2 if plan["site"].get("lid") else 1.0)
        self.water = self.source(plan["water"])
        self.topup = self.source(plan.get("topUp") or plan["water"])
        # Bed.
        soil, cap = layers["soil"], layers["cap"]
        per = lambda layer, what, weigh=True: sum(
            p["parts"] * likely(materials[p["material"]][what]) * (likely(materials[p["material"]]["density"]) if weigh else 1.0) for p in layer["mix"]
        ) / sum(p["parts"] for p in layer["mix"])
        self.soiled = soil is not None
        litres = area * mean(soil) * 1000
        flush = litres * per(soil, "flush_nitrogen") if self.soiled else 0.0
        capdepth = mean(cap)
        share = 0.15 if capdepth < 0.01 else 0.02 if capdepth >= 2 * mean(soil) else 0.08
        self.at_filling = flush * share
        self.flush0 = flush * (1 - share)
        held = lambda what: litres * per(soil, what) if self.soiled else 0.0
        self.slow0, self.quick0, self.old0 = held("slow_nitrogen"), 1000 * held("quick_carbon"), 1000 * held("slow_carbon")
        self.soil0 = [held("phosphorus"), held("potassium"), held("iron")]
        self.holdup = litres * per(soil, "porosity", False) * per(soil, "retardation", False) if self.soiled else 1.0
        phi = per(cap, "porosity", False)
        self.conduct = phi * 1.7e-4 / (1 - math.log(phi**2)) / max(capdepth, 0.003) * area * 1000
        # Clumps, tallest first among those under water.
        room = line - bed
        self.clumps = []
        for c in plan["plants"]:
            kind = plants[c["kind"]]
            num = lambda key: likely(kind[key])
            here = 0.0 if soil is None else soil["front"] + (soil["back"] - soil["front"]) * c["row"]
            reach = min(1.0, here / 0.01)
            height = min(room, num("height"))
            self.clumps.append(dict(
                mass=c["pieces"] * num("dry_per_piece"), mu=num("growth"), ki=num("half_light"), root=num("root_share") * reach if self.soiled else 0.0, dense=num("densest"),
                melt=num("melt"), bic=kind["bicarbonate"] == "yes", air=kind["role"] in AIRY, mat=kind["role"] == "floater", above=room - height, height=height,
                seat=1 - 0.5 * num("root_share") * (1 - reach)))
        self.order = sorted((i for i, c in enumerate(self.clumps) if not c["air"]), key=lambda i: (-self.clumps[i]["height"], i))
        self.groups = []
        for g in plan["animals"]:
            kind = animals[g["kind"]]
            self.groups.append(dict(day=g["day"], heads=g["count"], adult=likely(kind["grams"]), fish=kind["shape"] == "fish",
                                    filters=kind["shape"] != "fish" and kind["level"] == "middle", grazes=likely(kind["grazes"]), breeds=likely(kind["breeds"])))
        self.food, self.protein, self.feed_from = plan["feeding"]["grams"], plan["feeding"]["protein"], plan["feeding"]["fromDay"]
        self.most_a = 200.0 * surface / RATE_A
        self.most_n = self.most_a * RATE_A / RATE_N
        start = {"nothing": 1e-4, "cuttings": 0.002, "bottled": 0.005, "sponge": 0.1, "seasoned-bed": 0.2}[plan["start"]["inoculum"]]
        leaves = LEAF_AREA * sum(c["mass"] for c in self.clumps)
        self.film = min(1.0, start + (0.001 if self.soiled else 0.0) + 0.01 * leaves / surface)

    def source(self, w):
        alk = w["kh"] * 0.3566
        h = 10 ** -w["pH"]
        free = (alk / 1000 - self.kw / h + h) / (self.k1 / h + 2 * self.k1 * self.k2 / h**2)
        carbon = 12011.0 * free * (1 + self.k1 / h + self.k1 * self.k2 / h**2)
        rich = min(1.0, w["gh"] / 3)
        return dict(no3=w["nitrate"], dic=carbon, alk=alk, gh=w["gh"], p=0.05 * rich, k=2.0 * rich, fe=0.02 * rich, si=4.0 * rich)

    def co2(self, dic, alk):
        """mg CO2/L and mol H/L from mg C/L and meq/L: the whole charge balance, by SciPy's root finder."""
        a, d = alk / 1000, dic / 12011.0

        def off(x):
            h = 10.0**-x
            return a - d * (self.k1 * h + 2 * self.k1 * self.k2) / (h * h + self.k1 * h + self.k1 * self.k2) - self.kw / h + h

        h = 10.0**-brentq(off, 0.0, 15.0, xtol=1e-12)
        return CO2_PER_C * dic * h * h / (h * h + self.k1 * (h + self.k2)), h

    def start(self, dose):
        """Amounts, mg (meq for alkalinity, deg dH L for hardness, g for living mass)."""
        n, v, w = len(self.clumps), self.v, self.water
        first = [0.01, 0.001, 0.01]
        y = [self.at_filling + dose * v, 0.0, w["no3"] * v, 0.05 * v, 2.0 * v, 0.02 * v, 4.0 * v, self.sat * v, w["dic"] * v, w["alk"] * v, w["gh"] * v, 0.0]
        y += [0.0] * 5  # mulm C, N, P, K, Fe
        y += [0.0, self.flush0, self.slow0, self.quick0, self.old0, *self.soil0]
        y += [c["mass"] for c in self.clumps] + [c["mass"] * QSTART for c in self.clumps]
        y += first + [g * QSTART for g in first]
        y += [self.most_a * self.film, self.most_n * self.film]
        y += [0.0] * (2 * len(self.groups))
        self.n = n
        return np.array(y)

    def rates(self, t, y, lit, day):
        n, m, v, th = self.n, len(self.groups), self.v, self.theta
        tan, no2, no3, ph, ka, fe, si, o2, dic, alk, gh, tannin = y[:12]
        mc, mn, mp, mk, mfe = y[12:17]
        pore, flush, slow, quick, old, sp, sk, sfe = y[17:25]
        b, q = y[25:25 + n], y[25 + n:25 + 2 * n]
        at = 25 + 2 * n
        ag, an = y[at:at + 3], y[at + 3:at + 6]
        xa, xn = y[at + 6:at + 8]
        grams, heads = y[at + 8:at + 8 + m], y[at + 8 + m:at + 8 + 2 * m]
        d = np.zeros_like(y)
        co2, h = self.co2(dic / v, alk / v)
        awake = 1.0 if lit else 0.5
        per_hour = 24.0 / self.hours if self.hours > 0 else 0.0
        length = min(self.hours, 18.0) / 12
        nh4_in = carbon_in = burn = 0.0  # mg N, mg C, mg O2 a day
        rel = np.zeros(3)  # P, K, Fe set free into the water

        # Light: floaters, then the tallest; what algae see.
        surface = self.ppfd if self.hours > 0 else 0.0
        cover = min(1.0, sum(b[i] / c["dense"] for i, c in enumerate(self.clumps) if c["mat"]) / self.area)
        kd = KD + KD_TANNIN * tannin / v + KD_GREEN * 1000 * ag[1] / v
        top = down = surface * (1 - SHADE * cover)
        light = [surface] * n
        for i in self.order:
            leaves = EXTINCT * LEAF_AREA * b[i] / self.area
            light[i] = down * math.exp(-kd * max(0.0, self.clumps[i]["above"])) * ((1 - math.exp(-leaves)) / leaves if leaves > 1e-6 else 1.0)
            down *= math.exp(-leaves)
        path = kd * self.depth
        drift_light = top * (1 - math.exp(-path)) / path
        film_light = (top + down * math.exp(-path)) / 2

        # Mulm, tannin.
        rot = MULM * th
        nh4_in += rot * mn
        t_in = MULM_TANNIN * rot * mc
        carbon_in += rot * mc - t_in
        burn += (rot * mc - t_in) * O2_PER_C
        rel += rot * np.array([mp, mk, mfe])
        d[12:17] -= rot * y[12:17]
        rust = 0.1 / (1 + tannin / v / 3.0) * fe
        d[5] -= rust
        d[16] += rust
        bleach = TANNIN_DECAY * th * tannin
        d[11] += t_in + self.wood * math.exp(-WOOD_FADES * t) - bleach
        carbon_in += bleach
        burn += bleach * O2_PER_C

        # Animals.
        mass = grams.sum()
        if mass > 0:
            if day >= self.feed_from and self.food > 0:
                hungry = np.array([grams[i] * (3.0 if g["fish"] else 1.0) * max(0.0, min(1.0, (1.8 - grams[i] / (heads[i] * g["adult"])) / 0.4)) if heads[i] > 0 else 0.0 for i, g in enumerate(self.groups)])
                got = hungry.sum()
                eaten = min(self.food, 0.04 * th * min(got, mass))
                food_n = lambda f: f * 1000 * self.protein * 0.16
                kept = food_n(eaten) - eaten * 1000 * self.protein * 0.092 - 0.17 * food_n(eaten)
                grown = min(kept / AN_N, 0.5 * eaten * FOOD_C / AN_C, eaten * FOOD_P / AN_P, eaten * FOOD_K / AN_K, eaten * FOOD_FE / AN_FE)
                if got > 0:
                    d[at + 8:at + 8 + m] += grown * hungry / got
                nh4 = eaten * 1000 * self.protein * 0.092
                nh4_in += nh4
                d[13] += food_n(self.food) - nh4 - grown * AN_N
                passed = 0.2 * eaten * FOOD_C
                d[12] += passed + (self.food - eaten) * FOOD_C
                breath = eaten * FOOD_C - passed - grown * AN_C
                carbon_in += breath
                burn += breath * O2_PER_C
                for j, (f, a) in enumerate(((FOOD_P, AN_P), (FOOD_K, AN_K), (FOOD_FE, AN_FE))):
                    rest = eaten * f - grown * a
                    rel[j] += rest / 2
                    d[14 + j] += rest / 2 + (self.food - eaten) * f
            weights = np.array([g["grazes"] * grams[i] for i, g in enumerate(self.groups)])
            sitting = sum(w for w, g in zip(weights, self.groups) if not g["filters"])
            drifting = sum(w for w, g in zip(weights, self.groups) if g["filters"])
            each = GRAZE * th
            taken = lambda want, there, half: min(0.5 * there, want * there / (half + there)) if there > 0 else 0.0
            film = ag[0] + ag[2]
            cropped = taken(each * sitting, film, 0.2 * self.lit)
            meals = []
            for i, share in ((0, cropped * ag[0] / film if film > 0 else 0.0), (2, cropped * ag[2] / film if film > 0 else 0.0), (1, taken(each * drifting, ag[1], 0.001 * v))):
                nit = an[i] * share / ag[i] if ag[i] > 0 else 0.0
                d[at + i] -= share
                d[at + 3 + i] -= nit
                meals.append((share * LEAF_C, nit, share * LEAF_P, share * LEAF_K, share * LEAF_FE))
            litter = mc / LEAF_C
            if litter > 0:
                share = taken(max(0.0, each * sitting - cropped), litter, 2000.0 / LEAF_C * self.area) / litter
                d[12:17] -= share * y[12:17]
                meals.append(tuple(share * y[12:17]))
            for c, nit, p, k, f in meals:
                if weights.sum() <= 0 or c <= 0:
                    continue
                grown = min(0.25 * nit / AN_N, 0.4 * c / AN_C, 0.5 * p / AN_P, 0.5 * k / AN_K, 0.5 * f / AN_FE)
                d[at + 8:at + 8 + m] += grown * weights / weights.sum()
                nh4_in += 0.4 * nit
                d[13] += 0.6 * nit - grown * AN_N
                d[12] += 0.3 * c
                breath = 0.7 * c - grown * AN_C
                carbon_in += breath
                burn += breath * O2_PER_C
                d[14] += p - grown * AN_P
                d[15] += k - grown * AN_K
                d[16] += f - grown * AN_FE
            for i, g in enumerate(self.groups):
                lost = BASAL * (1.0 if g["fish"] else THRIFTY) * th * grams[i]
                d[at + 8 + i] -= lost
                nh4_in += lost * AN_N
                carbon_in += lost * AN_C
                burn += lost * AN_C * O2_PER_C
                rel += lost * np.array([AN_P, AN_K, AN_FE])
                if heads[i] > 0:  # they multiply while each has mass to spare; a narrow ramp in place of a switch
                    spare = (grams[i] / (0.7 * g["adult"] * heads[i]) - 1) / 0.01
                    d[at + 8 + m + i] += g["breeds"] * th * heads[i] * min(1.0, max(0.0, spare))
                lean = 0.15 * max(0.0, 1 - grams[i] / (heads[i] * g["adult"]) / 0.6) if heads[i] > 0 else 0.0
                if lean > 0:
                    body = lean * grams[i]
                    d[at + 8 + i] -= body
                    d[at + 8 + m + i] -= lean * heads[i]
                    d[12:17] += body * np.array([AN_C, AN_N, AN_P, AN_K, AN_FE])

        # Bed.
        d[18] -= FLUSH * th * flush
        d[19] -= SLOW * th * slow
        stir = 6.0 if day < 21 else 3.0 if day < 60 else 1.5  # by the whole day, so that no break falls inside a step
        leak = self.conduct * (9.50 + 0.413 * self.t) / (9.50 + 0.413 * 25.0) * stir / self.holdup
        d[17] += FLUSH * th * flush + SLOW * th * slow - leak * pore
        nh4_in += leak * pore
        for j, part in ((0, 0.01), (1, 1.0), (2, 0.005)):
            out = part * min(0.5, leak) * y[22 + j]
            d[22 + j] -= out
            rel[j] += out
        bound = 0.006 / self.depth * max(0.0, ph - 0.3 * v)
        d[3] -= bound
        d[22] += bound
        cq, co = QUICK_C * th * quick, SLOW_C * th * old
        d[20] -= cq
        d[21] -= co
        d[11] += SOIL_TANNIN * (cq + co)
        carbon_in += (1 - BUBBLES - SOIL_TANNIN) * (cq + co)
        burn += AEROBIC * (cq + co) * O2_PER_C

        # Clumps: what they could grow and take up.
        rooted = [c["root"] * max(0.0, min(1.0, (t - 7) / 14)) for c in self.clumps]
        on_floor = sum(b[i] / c["dense"] for i, c in enumerate(self.clumps) if not c["air"]) / self.area
        want, appetite, dig = np.zeros(n), np.zeros(n), np.zeros(n)
        for i, c in enumerate(self.clumps):
            quota = q[i] / b[i]
            mu = c["mu"] * th * c["seat"]
            fed = max(0.0, 1 - QMIN / quota) / (1 - QMIN / QMAX)
            crowd = cover_raw(self, b) if c["mat"] else b[i] / (c["dense"] * 0.3 * self.area) if c["air"] else on_floor
            want[i] = mu * light[i] / (c["ki"] + light[i]) * length * min(1.0, fed) * max(0.0, 1 - crowd) * b[i]
            hunger = 2 * mu * QMAX * b[i] * max(0.0, (QMAX - quota) / (QMAX - QMIN))
            dig[i] = hunger * rooted[i]
            appetite[i] = hunger * (1 - rooted[i])
        factor = np.ones(n)
        from_bed = np.zeros((3, n))
        for j, (ratio, water, soil) in enumerate(((LEAF_P, ph, sp), (LEAF_K, ka, sk), (LEAF_FE, fe, sfe))):
            share = np.array(rooted)
            bed_need = (want * ratio * share).sum()
            share = share * (min(1.0, 0.02 * soil / bed_need) if bed_need > 0 else 1.0)
            need = (want * ratio * (1 - share)).sum()
            free = min(1.0, 0.8 * water / need) if need > 0 else 1.0
            got = share + (1 - share) * free
            factor = np.minimum(factor, got)
            from_bed[j] = np.where(got > 0, share / np.maximum(got, 1e-300), 0.0)
        potential = want * factor
        dug = dig * pore / (HALF_PORE * self.holdup + pore)
        d[17] -= dug.sum()
        d[25 + n:25 + 2 * n] += dug

        # Algae.
        whole = ag.sum()
        rest = min(1.0, 0.2 * ph / max(1e-9, whole * LEAF_P), 0.2 * fe / max(1e-9, whole * LEAF_FE), 0.2 * ka / max(1e-9, whole * LEAF_K))
        grow_a, want_a = np.zeros(3), np.zeros(3)
        for i, (mu, ki, _) in enumerate(ALGAE):
            quota = an[i] / ag[i]
            fed = max(0.0, 1 - QMIN / quota) / (1 - QMIN / QMAX)
            see = drift_light if i == 1 else film_light
            full = 1000 * ag[1] / v / GREENEST if i == 1 else (ag[0] + ag[2]) / (ALGAE_DENSE * self.lit)
            rate = mu * th * see / (ki + see) * length * min(1.0, fed) * max(0.0, 1 - full) * rest if see > 0 else 0.0
            if i == 2:
                rate *= si / v / (HALF_SI + si / v)
            grow_a[i] = min(rate, 2.0) * ag[i]
            want_a[i] = 2 * mu * th * QMAX * ag[i] * max(0.0, (QMAX - quota) / (QMAX - QMIN))

        # Nitrogen chain.
        c, c2, c3, o = tan / v, no2 / v, no3 / v, o2 / v
        acid = min(1.0, max(0.0, -math.log10(h) - 6))
        first = RATE_A * xa * th * acid * c / (HALF_A + c) * o / (OX_A + o)
        second = RATE_N * xn * th * acid * c2 / (HALF_N + c2) * o / (OX_N + o)
        take = appetite * awake * c / (HALF_NH4 + c)
        take_a = want_a * awake * c / (ALGAE_HALF_N + c)
        shy = NH4_FIRST / (NH4_FIRST + c)
        take3 = appetite * awake * shy * c3 / (HALF_NO3 + c3)
        take3_a = want_a * awake * shy * c3 / (ALGAE_HALF_N + c3)
        gone = DENIT * th * self.area * 1000 * c3
        busy_a, busy_n = first / (RATE_A * th * xa), second / (RATE_N * th * xn)
        d[at + 6] += YIELD_A * first * (1 - xa / self.most_a) - DECAY * th * (DORMANT + (1 - DORMANT) * busy_a) * xa
        d[at + 7] += YIELD_N * second * (1 - xn / self.most_n) - DECAY * th * (DORMANT + (1 - DORMANT) * busy_n) * xn
        d[25 + n:25 + 2 * n] += take + take3
        d[at + 3:at + 6] += take_a + take3_a

        # Growth with carbon.
        half = lambda kind: 0.6 if kind["bic"] else 2.0
        share = np.array([1.0 if c_["air"] else co2 / (half(c_) + co2) for c_ in self.clumps])
        on = per_hour if lit else 0.0
        grown = potential * on * share
        fixed = sum(g * LEAF_C for g, c_ in zip(grown, self.clumps) if not c_["air"])
        draw = np.array([0.0, 0.0, 0.0])
        for j, ratio in enumerate((LEAF_P, LEAF_K, LEAF_FE)):
            d[22 + j] -= (grown * ratio * from_bed[j]).sum()
            draw[j] += (grown * ratio * (1 - from_bed[j])).sum()
        d[25:25 + n] += grown
        share_a = co2 / (0.3 + co2)
        grown_a = grow_a * on * share_a
        grown_a[2] = min(grown_a[2], 0.8 * si / DIATOM_SI * on if on else 0.0)
        most = max(0.0, min(0.8 * ph / LEAF_P, 0.8 * ka / LEAF_K, 0.8 * fe / LEAF_FE)) * (on if on else 1.0)
        if grown_a.sum() > most:
            grown_a *= most / grown_a.sum()
        draw += grown_a.sum() * np.array([LEAF_P, LEAF_K, LEAF_FE])
        fixed += grown_a.sum() * LEAF_C
        d[6] -= grown_a[2] * DIATOM_SI
        d[at:at + 3] += grown_a

        # Breathing, shedding, melt.
        for i, c_ in enumerate(self.clumps):
            burnt = RESP * c_["mu"] * th * b[i]
            d[25 + i] -= burnt
            rel += burnt * np.array([LEAF_P, LEAF_K, LEAF_FE])
            over = QMAX * burnt * brim(q[i] / b[i])
            d[25 + n + i] -= over
            nh4_in += over
            if not c_["air"]:
                carbon_in += burnt * LEAF_C
                burn += burnt * LEAF_C * O2_PER_C
            lost = MORT * th * c_["mu"] * b[i] + (c_["melt"] * c_["mass"] / 18 if 3 <= day < 21 else 0.0)
            nit = q[i] * lost / b[i]
            d[25 + i] -= lost
            d[25 + n + i] -= nit
            d[12:17] += np.array([lost * LEAF_C, nit, lost * LEAF_P, lost * LEAF_K, lost * LEAF_FE])
        for i, (_, _, mort) in enumerate(ALGAE):
            burnt = ALGAE_RESP * th * ag[i]
            d[at + i] -= burnt
            rel += burnt * np.array([LEAF_P, LEAF_K, LEAF_FE])
            carbon_in += burnt * LEAF_C
            burn += burnt * LEAF_C * O2_PER_C
            over = QMAX * burnt * brim(an[i] / ag[i])
            d[at + 3 + i] -= over
            nh4_in += over
            lost = mort * th * max(0.0, ag[i] - 1e-4)
            nit = an[i] * lost / ag[i]
            d[at + i] -= lost
            d[at + 3 + i] -= nit
            d[12:17] += np.array([lost * LEAF_C, nit, lost * LEAF_P, lost * LEAF_K, lost * LEAF_FE])

        # Water: gases, alkalinity, lime, top-up.
        k = KL * (1 - 0.5 * cover) * self.area * 1000
        drip, src = self.dries, self.topup
        d[0] += nh4_in - first - take.sum() - take_a.sum()
        d[1] += first - second
        d[2] += second - take3.sum() - take3_a.sum() - gone + drip * src["no3"]
        d[3] += rel[0] - draw[0] + drip * src["p"]
        d[4] += rel[1] - draw[1] + drip * src["k"]
        d[5] += rel[2] - draw[2] + drip * src["fe"]
        d[6] += drip * src["si"]
        d[7] += k * (self.sat - o) + fixed * O2_PER_C + 4.57 * (take3.sum() + take3_a.sum()) - (burn + 3.43 * first + 1.14 * second) * o / (0.2 + o) + drip * self.sat
        d[8] += carbon_in - fixed + k * 0.94 / CO2_PER_C * (self.co2_air - co2) + drip * src["dic"]
        d[9] += (nh4_in - take.sum() - take_a.sum() - 2 * first + take3.sum() + take3_a.sum() + gone) / N_MOLAR + drip * src["alk"]
        d[10] += drip * src["gh"]
        # Calcite that falls out.
        calcium = 0.75 * gh / v * 17.848e-3 / 100.087
        bicarb = max(0.0, alk / v) / 1000 / (1 + 2 * self.k2 / h)
        omega = calcium * self.k2 * bicarb / h / self.ksp
        if omega > 10:
            g = 0.03 * (1 - 10 / omega) * min(alk / (2000 / 100.087), gh / (1000 / 17.848), dic / (12011 / 100.087))
            d[8] -= g * 12011 / 100.087
            d[9] -= g * 2000 / 100.087
            d[10] -= g * 1000 / 17.848
        return d

    def run(self, days, rtol, atol, dose=0.0):
        """Yields the state at the end of each day."""
        y = self.start(dose)
        self.least, self.most = y.copy(), y.copy()
        n, m = self.n, len(self.groups)
        at = 25 + 2 * n
        dawn, dusk = (24 - self.hours) / 48, (24 + self.hours) / 48
        for day in range(days):
            for i, g in enumerate(self.groups):
                if g["day"] == day:
                    y[at + 8 + i] += g["heads"] * g["adult"]
                    y[at + 8 + m + i] += g["heads"]
            for i in range(3):  # spores come once a day
                missing = max(0.0, SPORES[i] * self.lit - y[at + i])
                y[at + i] += missing
                y[at + 3 + i] += missing * QSTART
            for begin, end, lit in ((0.0, dawn, False), (dawn, dusk, True), (dusk, 1.0, False)):
                if end - begin < 1e-9:
                    continue
                path = solve_ivp(self.rates, (day + begin, day + end), y, method="LSODA", rtol=rtol, atol=atol, args=(lit, day)).y
                y = path[:, -1]
                self.least = np.minimum(self.least, path.min(axis=1))
                self.most = np.maximum(self.most, path.max(axis=1))
            yield day, y

    def row(self, day, y):
        n, v = self.n, self.v
        at = 25 + 2 * n
        c, m = y[:12] / v, len(self.groups)
        return dict(day=day, ammonia=c[0], nitrite=c[1], nitrate=c[2], phosphate=c[3], potassium=c[4], iron=c[5], silicon=c[6], oxygen=c[7], carbon=c[8], alkalinity=c[9], hardness=c[10], tannin=c[11],
                    mulmCarbon=y[12], mulmNitrogen=y[13], poreNitrogen=y[17], flushNitrogen=y[18], quickCarbon=y[20], soilPotassium=y[23],
                    **{f"biomass{i}": y[25 + i] for i in range(n)}, **{f"leafNitrogen{i}": y[25 + n + i] for i in range(n)},
                    film=y[at], drift=y[at + 1], diatoms=y[at + 2], ammoniaOxidisers=y[at + 6], nitriteOxidisers=y[at + 7],
                    **{f"animals{i}": y[at + 8 + i] for i in range(m)}, **{f"heads{i}": y[at + 8 + m + i] for i in range(m)})


def brim(quota):
    """0 below a full leaf, 1 above: what a full leaf loses in mass it loses in nitrogen too, without a kink that would stop the solver."""
    return 1 / (1 + math.exp(-min(50.0, max(-50.0, (quota - QMAX) / 0.1))))


def cover_raw(tank, b):
    return sum(b[i] / c["dense"] for i, c in enumerate(tank.clumps) if c["mat"]) / tank.area


def read(path):
    with open(path) as file:
        return Tank(json.load(file))


def main():
    if sys.argv[1:2] == ["--write"]:
        for name, days, dose in (("dose", 60, 5.0), ("planted", 90, 0.0), ("overstocked", 90, 0.0)):
            tank = read(os.path.join(HERE, f"run-{name}.plan.json"))
            with open(os.path.join(HERE, f"run-{name}.csv"), "w", newline="") as file:
                rows = None
                for day, y in tank.run(days, 1e-8, 1e-9, dose):
                    row = tank.row(day, y)
                    rows = rows or csv.DictWriter(file, list(row), lineterminator="\n")
                    if day == 0:
                        rows.writeheader()
                    rows.writerow({key: f"{value:.6g}" for key, value in row.items()})
                for word, y in (("least", tank.least), ("most", tank.most)):
                    rows.writerow({key: word if key == "day" else f"{value:.6g}" for key, value in tank.row(0, y).items()})
        return
    if sys.argv[1:2] == ["--time"] and len(sys.argv) > 2:
        tank = read(sys.argv[2])
        begin = time.perf_counter()
        for _ in tank.run(int(sys.argv[3]) if len(sys.argv) > 3 else 365, 1e-3, 1e-6):
            pass
        print(f"{time.perf_counter() - begin:.3f}")
        return
    sys.exit(__doc__)


main()
