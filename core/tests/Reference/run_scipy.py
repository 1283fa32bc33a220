#!/usr/bin/env python3
"""The run written a second time, as one continuous system for SciPy's general-purpose solver (LSODA; Debian package python3-scipy).

The equations are those of docs/model.md. What our run does by the day or the hour (growth, rot, animals, lamp) runs on here at every
instant; only lamp switching, arrivals and the steps that the model itself has (stirring, melt) are given as breaks. So the
comparison tests both the equations and how our run splits its step.

  run_scipy.py --write [NAME]   writes run-NAME.csv beside this file (rtol 1e-8), all of RUNS without a name: each state at the end of
                                each day, then the least and the most it was within the days too. A fishless dose; a planted tank; an
                                overstocked one; 12 degrees with house plants, a marsh plant, epiphytes and moss; 29 degrees under a lid,
                                with changes, leaves, burrowers and a cap of lime; a sealed jar; a tub in sun and rain
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
QMIN, QFULL, QMAX, QSTART = 6.0, 15.0, 45.0, 32.0
LEAF_C, LEAF_P, LEAF_K, LEAF_FE = 380.0, 1.5, 9.0, 0.08
RESERVE, REFILL, LAID_BY = (2.0, 12.0, 0.15), 0.2, 0.5
RESP, MORT, UPTAKE = 0.1, 0.03, 2.5
HALF_CO2, HALF_CO2_BIC, BETA, HALF_BIC, GAMMA, DIM = 0.4, 0.2, 0.5, 1.0, 0.03, 0.12
# film, green water, diatoms: growth, half light, mortality
ALGAE = [(0.8, 25.0, 0.145), (1.1, 60.0, 0.45), (0.75, 10.0, 0.145)]
ALGAE_HALF_N, ALGAE_RESP, ALGAE_DENSE, GREENEST, DIATOM_SI, HALF_SI = 0.01, 0.04, 6.0, 60.0, 150.0, 0.1
SPORES, FIRST_FILM, FIRST_GREEN = (1e-3, 1e-4, 3e-4), 0.06, 0.1
RATE_A, YIELD_A, HALF_A, RATE_N, YIELD_N, HALF_N, INHIBIT = 4.5, 0.18, 0.015, 11.0, 0.06, 0.13, 0.5
COMAMMOX, SURFACE_RATE = 0.8, 200.0
DECAY, DORMANT, OX_A, OX_N = 0.1, 0.5, 0.5, 1.0
FLUSH, READY, READY_SHARE, SLOW, QUICK_C, SLOW_C, AEROBIC, BUBBLES, SOIL_TANNIN, DEBT, PAID = 0.05, 0.004, 0.17, 0.0001, 0.02, 0.0003, 0.3, 0.2, 0.03, 0.4, 0.02
SOIL_DENIT, LIME_RATE, STONE_REACH, GRAINS, TURNED = 0.15, 0.0007, 300.0, 10.0, 50.0
HEAD_O2, HEAD_C, HEAD_CO2 = 274.0, 0.2062, 0.7555  # mg/L of air
TANNIN_DECAY, MULM_TANNIN, WOOD_FADES, DENIT, KL = 0.05, 0.01, 0.01, 0.015, 1.0
LITTER, DROPPINGS, SCRAPS = 0.03, 0.1, 0.25
BASAL, BREATH, THRIFTY, GRAZE, PREY = 0.013, 0.13, 0.45, 0.035, 0.1
HALF_NH4, HALF_NO3, NH4_FIRST, HALF_PORE = 0.2, 0.4, 0.1, 0.5
LEAF_AREA, EXTINCT, SHADE, LAYER, SLANT, KD, KD_TANNIN, KD_GREEN = 0.045, 0.5, 0.86, 0.5, 0.07, 0.3, 0.12, 0.15
ROOM_LIGHT, SPILL = 30.0, 0.5
AN_N, AN_C, AN_P, AN_K, AN_FE = 25.0, 120.0, 5.0, 3.0, 0.03
FOOD_C, FOOD_P, FOOD_K, FOOD_FE = 450.0, 11.0, 8.0, 0.25
O2_PER_C, CO2_PER_C, N_MOLAR = 31.998 / 12.011, 44.009 / 12.011, 14.007
AIRY = {"floater", "marsh", "house-plant"}
STANDS = {"fast-stem", "slow-stem", "floating-stem", "rosette", "runner", "carpet", "lily"}
OVER = {"marsh": 0.5, "house-plant": 0.2}


def ramp(x, low, high):
    return max(0.0, min(1.0, (x - low) / (high - low)))


def lens(mine, other, apart):
    """Share of a circle that another covers."""
    if apart >= mine + other:
        return 0.0
    if apart <= abs(mine - other):
        return min(1.0, (other / mine) ** 2)
    a = mine**2 * math.acos((apart**2 + mine**2 - other**2) / (2 * apart * mine)) + other**2 * math.acos((apart**2 + other**2 - mine**2) / (2 * apart * other))
    return (a - 0.5 * math.sqrt((-apart + mine + other) * (apart + mine - other) * (apart - mine + other) * (apart + mine + other))) / (math.pi * mine**2)


def cardinal(t, low, best, high):
    """Rosso, Lobry & Flandrois (1993)."""
    if t <= low or t >= high:
        return 0.0
    return (t - high) * (t - low) ** 2 / ((best - low) * ((best - low) * (t - best) - (best - high) * (best + low - 2 * t)))


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
        self.site = site = plan["site"]
        self.sealed, self.lid = site.get("sealed", False), site.get("lid", False)
        self.outdoors = site.get("aspect", "none") == "open"
        self.lamp_hours = plan["light"]["hours"]
        self.lamp = plan["light"]["lumens"] / 70 * plan["light"]["landing"] / area
        self.stir = {"still": 1.0, "rippled": 1.7, "lively": 4.5}[site.get("movement", "still")]
        self.headspace = max(0.0, length * width * (box["height"] - box["glass"]) * 1000 - area * line * 1000) if self.sealed else 0.0
        self.stone_lime = STONE_REACH * sum(p["litres"] / 1000 * likely(woods[p["kind"]]["surface"]) * likely(woods[p["kind"]].get("lime") or "0") for p in stone)
        face = plan["bed"]["cap"] or plan["bed"]["soil"]
        self.stone_lime += STONE_REACH * GRAINS * area * (sum(p["parts"] * likely(materials[p["material"]]["lime"]) for p in face["mix"]) / sum(p["parts"] for p in face["mix"]) if face else 0.0)
        care = plan.get("care") or {}
        self.change_every, self.change_share = care.get("changeEvery", 0), care.get("changeShare", 0.0)
        self.events = plan.get("events") or []
        self.warm(0)
        self.pH = plan["water"]["pH"]
        self.water = self.source(plan["water"])
        self.topup = self.source(plan.get("topUp") or plan["water"])
        # Bed.
        soil, cap = layers["soil"], layers["cap"]
        per = lambda layer, what, weigh=True: sum(
            p["parts"] * likely(materials[p["material"]][what]) * (likely(materials[p["material"]]["density"]) if weigh else 1.0) for p in layer["mix"]
        ) / sum(p["parts"] for p in layer["mix"])
        self.soiled = soil is not None
        litres = area * mean(soil) * 1000
        pure = lambda layer, worth: sum(p["parts"] * worth(materials[p["material"]]) for p in layer["mix"]) / sum(p["parts"] for p in layer["mix"])
        whole = lambda m: likely(m["density"]) * likely(m["flush_nitrogen"])
        flush = litres * pure(soil, lambda m: whole(m) * (1 - likely(m["nitrate_share"]))) if self.soiled else 0.0
        nitrate = litres * pure(soil, lambda m: whole(m) * likely(m["nitrate_share"])) if self.soiled else 0.0
        capdepth = mean(cap)
        share = 0.06 if capdepth < 0.01 else 0.01 if capdepth >= 2 * mean(soil) else 0.03
        self.at_filling = flush * share
        self.flush0 = flush * (1 - share)
        self.nitrate_at_filling, self.nitrate0 = nitrate * share, nitrate * (1 - share)
        self.pores = litres * per(soil, "porosity", False) if self.soiled else 1.0
        held = lambda what: litres * per(soil, what) if self.soiled else 0.0
        self.slow0, self.quick0, self.old0, self.acid0 = held("slow_nitrogen"), 1000 * held("quick_carbon"), 1000 * held("slow_carbon"), held("acidity")
        self.ready0 = 0.0
        for p in soil["mix"] if self.soiled else []:
            m = materials[p["material"]]
            n, c = likely(m["slow_nitrogen"]), likely(m["slow_carbon"]) + likely(m["quick_carbon"])
            lean = 1000 * c / n / 27 if n > 0 else 1.0
            self.ready0 += READY_SHARE * litres * p["parts"] / sum(q["parts"] for q in soil["mix"]) * likely(m["density"]) * n * max(0.0, 1 - lean)
        self.slow0 -= self.ready0
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
            role = kind["role"]
            vine = num("growth") >= 0.03
            low, best, high = num("coolest") - 6, num("warmest") - 2, num("warmest") + 6
            grown = {"unknown": 0.35, "air": 1.0, "water": 0.1}[c.get("grown", "unknown")]
            melt, until = (min(0.8, 32 * num("melt") ** 3), 12.0) if kind["sensitive"] == "yes" else (min(1.0, num("melt") * grown), 21.0)
            self.clumps.append(dict(
                role=role, mass=c["pieces"] * num("dry_per_piece"), pieces=c["pieces"], mu=num("growth"), ki=num("half_light"), share=num("root_share"), reach=reach if self.soiled else 0.0,
                dense=num("densest"), mat=num("mat"), melt=melt, until=until, bic=num("bicarbonate"), air=role in AIRY and not self.sealed, floats=role == "floater", above=max(0.0, room - height) if role not in AIRY else 0.0, cold=(low, best, high),
                height=height if role not in AIRY else room + num("height"), tall=num("height"), planted=c["pieces"] * num("spread") / 1e4, place=c["place"] * length, row=c["row"] * width,
                over=OVER.get(role, 1.0),
                rooting=(7, 21) if role != "house-plant" else (60 * self.depth, 150 * self.depth) if vine else (300 * self.depth, 600 * self.depth),
                seat=1 - 0.5 * num("root_share") * (1 - reach)))
        for c in self.clumps:
            self.warm_clump(c)
        self.rain = self.source(dict(pH=6.0, kh=0.3, gh=0.3, nitrate=0.3, calcium=0.6))
        self.order = sorted((i for i, c in enumerate(self.clumps) if not c["floats"]), key=lambda i: (-self.clumps[i]["height"], i))
        self.groups = []
        for g in plan["animals"]:
            kind = animals[g["kind"]]
            self.groups.append(dict(day=g["day"], heads=g["count"], adult=likely(kind["grams"]), fish=kind["shape"] == "fish",
                                    burrows=kind["burrows"] == "yes", filters=kind["shape"] != "fish" and kind["level"] == "middle", swims=kind["shape"] == "fish" and kind["level"] != "bottom", grazes=likely(kind["grazes"]), breeds=likely(kind["breeds"]), room=likely(kind["litres_each"])))
        self.food, self.protein, self.feed_from = plan["feeding"]["grams"], plan["feeding"]["protein"], plan["feeding"]["fromDay"]
        self.surface = surface
        self.most_a = SURFACE_RATE * surface / RATE_A
        start = {"nothing": 1e-4, "cuttings": 0.002, "bottled": 0.005, "sponge": 0.1, "seasoned-bed": 0.2}[plan["start"]["inoculum"]]
        leaves = LEAF_AREA * sum(c["mass"] for c in self.clumps)
        self.film = min(1.0, start + (0.001 if self.soiled else 0.0) + 0.01 * leaves / surface)

    def warm(self, day):
        """Sets what a day's warmth and daylight decide."""
        site = self.site
        of_year = (site.get("filledOn", 121) - 1 + day) % 365 + 1
        self.t = site["temperature"] + (-1 if site.get("latitude", 50) < 0 else 1) * site.get("swing", 0.0) * math.cos(2 * math.pi * (of_year - 205) / 365)
        self.theta = 1.08 ** (min(self.t, 32) - 25)
        k = self.t + 273.15
        self.k1 = 10 ** (-356.3094 - 0.06091964 * k + 21834.37 / k + 126.8339 * math.log10(k) - 1684915 / k**2)
        self.k2 = 10 ** (-107.8871 - 0.03252849 * k + 5151.79 / k + 38.92561 * math.log10(k) - 563713.9 / k**2)
        kh = 10 ** (108.3865 + 0.01985076 * k - 6919.53 / k - 40.45154 * math.log10(k) + 669365 / k**2)
        self.kw = 10 ** -(4470.99 / k - 6.0875 + 0.01706 * k)
        self.ksp = 10 ** (-171.9065 - 0.077993 * k + 2839.319 / k + 71.595 * math.log10(k))
        self.co2_air = kh * (site.get("carbonDioxide") or (425.0 if self.outdoors else 700.0)) * 1e-6 * 44.009 * 1000
        self.sat = saturation(self.t)
        vapour = lambda t: 0.61094 * math.exp(17.625 * t / (243.04 + t))
        air = site.get("room") or (self.t if self.outdoors else max(15.0, min(24.0, self.t - 1)))
        short = max(0.0, vapour(self.t) - site.get("humidity", 0.5) * vapour(air))
        self.dries = 0.35 * (1 + 0.54) * 7.50062 * short * self.area if self.outdoors else 0.35 * self.area * short * 0.089 / 2330 * 86400
        self.dries *= 0.0 if self.sealed else 0.2 if self.lid else 1.0
        self.rains = 0.0 if self.sealed or self.lid else site.get("rain", 0.0) / 365 * self.area
        self.velocity = KL * self.stir * 1.024 ** (self.t - 25) * (0.67 if self.lid else 1.0)
        # Lamp and sun together, spread over the longer of their days; the sun by weeks.
        sun, photons = self.sun(7.0 * (of_year // 7) + 3) if self.outdoors else (0.0, 0.0)
        self.hours = max(self.lamp_hours if self.lamp > 0 else 0.0, sun)
        self.ppfd = (self.lamp * self.lamp_hours + photons * 1e6 / 3600) / self.hours if self.hours > 0 else 0.0
        for c in getattr(self, "clumps", []):
            self.warm_clump(c)

    def warm_clump(self, c):
        low, best, high = c["cold"]
        c["warm"] = cardinal(self.t, low, best, high) / cardinal(min(25.0, best), low, best, high)
        c["scorched"] = min(0.2, 0.02 * max(0.0, self.t - (high - 6) - 3))

    def sun(self, day):
        """Hours of daylight and mol/m2 under the open sky: FAO 56, eqs 21, 23, 25, 34; declination by Spencer (1971)."""
        turn = 2 * math.pi * (day - 1) / 365
        decl = 0.006918 - 0.399912 * math.cos(turn) + 0.070257 * math.sin(turn) - 0.006758 * math.cos(2 * turn) + 0.000907 * math.sin(2 * turn) - 0.002697 * math.cos(3 * turn) + 0.00148 * math.sin(3 * turn)
        lat = math.radians(self.site["latitude"])
        sunset = math.acos(max(-1.0, min(1.0, -math.tan(lat) * math.tan(decl))))
        ra = 24 * 60 / math.pi * 0.0820 * (1 + 0.033 * math.cos(2 * math.pi * day / 365)) * (sunset * math.sin(lat) * math.sin(decl) + math.cos(lat) * math.cos(decl) * math.sin(sunset))
        clear = min(0.5, 0.216 + 0.295 * max(0.0, math.cos(lat - decl)))
        return 24 / math.pi * sunset, self.site["sky"] * clear * ra * 0.45 * 4.57

    def source(self, w):
        alk = w["kh"] * 0.3566
        h = 10 ** -w["pH"]
        free = (alk / 1000 - self.kw / h + h) / (self.k1 / h + 2 * self.k1 * self.k2 / h**2)
        carbon = 12011.0 * free * (1 + self.k1 / h + self.k1 * self.k2 / h**2)
        rich = min(1.0, w["gh"] / 3)
        return dict(no3=w["nitrate"], dic=carbon, alk=alk, gh=w["gh"], ca=w["gh"] * w.get("calcium", 0.75), p=w.get("phosphate") or 0.4 * rich, k=2.0 * rich, fe=0.02 * rich, si=4.0 * rich)

    def co2(self, dic, alk):
        """mg CO2/L and mol H/L from mg C/L and meq/L: the whole charge balance, by SciPy's root finder."""
        a, d = alk / 1000, dic / 12011.0

        def off(x):
            h = 10.0**-x
            return a - d * (self.k1 * h + 2 * self.k1 * self.k2) / (h * h + self.k1 * h + self.k1 * self.k2) - self.kw / h + h

        h = 10.0**-brentq(off, 0.0, 15.0, xtol=1e-12)
        q = h * h + self.k1 * (h + self.k2)
        return CO2_PER_C * dic * h * h / q, h, 1000 * d * self.k1 * h / q

    def start(self, dose):
        """Amounts, mg (meq for alkalinity, deg dH L for hardness, g for living mass)."""
        n, v, w = len(self.clumps), self.v, self.water
        first = [FIRST_FILM * self.lit, FIRST_GREEN / 1000 * v, FIRST_FILM * self.lit]
        y = [self.at_filling + dose * v, 0.0, w["no3"] * v + self.nitrate_at_filling, w["p"] * v, w["k"] * v, w["fe"] * v, 4.0 * v, self.sat * v, w["dic"] * v, w["alk"] * v, w["gh"] * v, 0.0]
        y += [0.0] * 5  # litter C, N, P, K, Fe
        y += [0.0, self.flush0, self.slow0, self.quick0, self.old0, *self.soil0]
        y += [c["mass"] for c in self.clumps] + [c["mass"] * QSTART for c in self.clumps]
        y += first + [g * QSTART for g in first]
        y += [self.most_a * self.film, self.most_a * RATE_A / RATE_N * min(1.0, 0.5 * self.film)]
        y += [0.0] * (2 * len(self.groups))
        self.x = len(y)
        y += [0.0] * 10  # droppings, scraps
        y += [self.ready0, 0.0, 0.0, self.acid0]  # ready nitrogen, eaten carbon, oxygen owed, acidity
        y += [0.0, 0.0]  # the day's sums of [H+] and of ammonia, for what the run takes by the day
        for r in RESERVE:
            y += [c["mass"] * r for c in self.clumps]
        y += [self.nitrate0, HEAD_O2 * self.headspace, HEAD_C * self.headspace, w["ca"] * v]
        self.n, self.mean_ammonia = n, 0.0
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
        x = self.x
        droppings, scraps = y[x:x + 5], y[x + 5:x + 10]
        ready, fat, debt, acid_left = y[x + 10:x + 14]
        laid = y[x + 16:x + 16 + 3 * n].reshape(3, n)
        soil_nitrate, head_o2, head_c = y[x + 16 + 3 * n:x + 19 + 3 * n]
        d = np.zeros_like(y)
        co2, h, bicarbonate = self.co2(dic / v, alk / v)
        d[x + 14], d[x + 15] = h * 1e7, tan / v
        awake = 1.0 if lit else 0.5
        per_hour = 24.0 / self.hours if self.hours > 0 else 0.0
        length = min(self.hours, 18.0) / 12
        nh4_in = carbon_in = burn = 0.0  # mg N, mg C, mg O2 a day
        rel = np.zeros(3)  # P, K, Fe set free into the water

        # Light: floaters, then the tallest at their places; what algae see.
        surface = self.ppfd if self.hours > 0 else 0.0
        mat = sum(b[i] / c["mat"] for i, c in enumerate(self.clumps) if c["floats"]) / self.area
        cover = min(1.0, mat)
        kd = KD + KD_TANNIN * tannin / v + KD_GREEN * 1000 * ag[1] / v
        top = surface * (1 - SHADE * cover) * (LAYER ** (mat - 1) if mat > 1 else 1.0)
        light = [surface] * n
        spread = [c["planted"] * max(0.3, min(6.0, (b[i] / c["mass"]) ** (2 / 3))) for i, c in enumerate(self.clumps)]
        over, floor_light, leaf_area = [], 1.0, 0.0
        for i in self.order:
            c = self.clumps[i]
            radius = math.sqrt(spread[i] / math.pi) + SLANT
            area = min(self.area, math.pi * radius**2)
            path = EXTINCT * LEAF_AREA * b[i] * c["over"] / area
            held = 1 - math.exp(-path)
            here = 1.0
            for cx, cz, r, takes in over:
                here *= 1 - 0.6 * takes * lens(radius, r, math.hypot(c["place"] - cx, c["row"] - cz))
            here *= held / path if path > 1e-6 else 1.0
            over.append((c["place"], c["row"], radius, held))
            floor_light *= 1 - min(0.999, held * area / self.area)
            leaf_area += LEAF_AREA * b[i] if c["over"] == 1.0 else 0.0
            light[i] = ROOM_LIGHT + SPILL * surface if c["role"] == "house-plant" else surface * here if c["role"] == "marsh" else top * here * math.exp(-kd * c["above"])
        down = top * floor_light
        path = kd * self.depth
        drift_light = top * (1 - math.exp(-path)) / path
        film_light = (top + down * math.exp(-path)) / 2

        # What lies on the bed, tannin.
        rotting = 0.0
        for at0, speed in ((12, LITTER), (x, DROPPINGS), (x + 5, SCRAPS)):
            rot = speed * th * y[at0:at0 + 5]
            d[at0:at0 + 5] -= rot
            t_in = MULM_TANNIN * rot[0]
            d[11] += t_in
            nh4_in += rot[1]
            carbon_in += rot[0] - t_in
            burn += (rot[0] - t_in) * O2_PER_C
            rel += rot[2:]
            rotting += rot[0]
        rust = 1.0 / (1 + tannin / v / 1.0) * fe
        d[5] -= rust
        d[16] += rust
        bleach = TANNIN_DECAY * th * tannin
        d[11] += self.wood * math.exp(-WOOD_FADES * t) - bleach
        carbon_in += bleach
        burn += bleach * O2_PER_C

        # Animals.
        drop, scrap = slice(x, x + 5), slice(x + 5, x + 10)
        mass = grams.sum()
        condition = [grams[i] / (heads[i] * g["adult"]) if heads[i] > 1e-9 else 1.0 for i, g in enumerate(self.groups)]
        if mass > 0:
            if day >= self.feed_from and self.food > 0:
                eats = [0.04 * th * grams[i] * max(0.0, min(1.0, (1.5 - condition[i]) / 0.4)) * (g["adult"] / 0.5) ** -0.2 for i, g in enumerate(self.groups)]
                swim = np.array([e if g["swims"] else 0.0 for e, g in zip(eats, self.groups)])
                sift = np.array([e if g["fish"] and not g["swims"] else 0.0 for e, g in zip(eats, self.groups)])
                rest = np.array([0.0 if g["fish"] else e for e, g in zip(eats, self.groups)])
                one = min(0.6 * self.food, swim.sum())
                two = min(self.food - one, sift.sum())
                three = min(self.food - one - two, rest.sum())
                one += min(self.food - one - two - three, swim.sum() - one)
                food_n = lambda f: f * 1000 * self.protein * 0.16
                for who, eaten in ((swim, one), (sift, two), (rest, three)):
                    if eaten <= 0 or who.sum() <= 0:
                        continue
                    kept = food_n(eaten) - eaten * 1000 * self.protein * 0.092 - 0.17 * food_n(eaten)
                    grown = min(kept / AN_N, 0.5 * eaten * FOOD_C / AN_C, eaten * FOOD_P / AN_P, eaten * FOOD_K / AN_K, eaten * FOOD_FE / AN_FE)
                    d[at + 8:at + 8 + m] += grown * who / who.sum()
                    nh4 = eaten * 1000 * self.protein * 0.092
                    nh4_in += nh4
                    passed = 0.2 * eaten * FOOD_C
                    d[x + 11] += eaten * FOOD_C - passed - grown * AN_C
                    left = np.array([eaten * f - grown * a for f, a in ((FOOD_P, AN_P), (FOOD_K, AN_K), (FOOD_FE, AN_FE))]) / 2
                    rel += left
                    d[drop] += np.array([passed, food_n(eaten) - nh4 - grown * AN_N, *left])
                left = self.food - one - two - three
                d[scrap] += left * np.array([FOOD_C, food_n(1.0), FOOD_P, FOOD_K, FOOD_FE])
            sit = np.array([0.0 if g["filters"] else g["grazes"] * grams[i] for i, g in enumerate(self.groups)])
            sieve = np.array([g["grazes"] * grams[i] if g["filters"] else 0.0 for i, g in enumerate(self.groups)])
            hunt = np.array([grams[i] * (1.0 if g["swims"] else 3.0) if g["fish"] else 0.0 for i, g in enumerate(self.groups)])
            each = GRAZE * th
            taken = lambda want, there, half: min(0.5 * there, want * there / (half + there)) if there > 0 else 0.0
            film = ag[0] + ag[2]
            cropped = taken(each * sit.sum(), film, 0.2 * self.lit)
            meals = []
            for i, share, who in ((0, cropped * ag[0] / film if film > 0 else 0.0, sit), (2, cropped * ag[2] / film if film > 0 else 0.0, sit), (1, taken(each * sieve.sum(), ag[1], 0.001 * v), sieve)):
                nit = an[i] * share / ag[i] if ag[i] > 0 else 0.0
                d[at + i] -= share
                d[at + 3 + i] -= nit
                meals.append((who, np.array([share * LEAF_C, nit, share * LEAF_P, share * LEAF_K, share * LEAF_FE])))
            lies = mc + droppings[0] + scraps[0]
            if lies > 0:
                half = 2000.0 / LEAF_C * self.area
                grazed = taken(max(0.0, each * sit.sum() - cropped), lies / LEAF_C, half) * LEAF_C / lies
                hunted = taken(PREY * each * hunt.sum(), lies / LEAF_C, half) * LEAF_C / lies
                for at0 in (12, x, x + 5):
                    for share, who in ((grazed, sit), (hunted, hunt)):
                        d[at0:at0 + 5] -= share * y[at0:at0 + 5]
                        meals.append((who, share * y[at0:at0 + 5]))
            for who, meal in meals:
                if who.sum() <= 0 or meal[0] <= 0:
                    d[drop] += meal
                    continue
                c, nit, p, k, f = meal
                grown = min(0.25 * nit / AN_N, 0.4 * c / AN_C, 0.5 * p / AN_P, 0.5 * k / AN_K, 0.5 * f / AN_FE)
                d[at + 8:at + 8 + m] += grown * who / who.sum()
                nh4_in += 0.4 * nit
                breath = 0.7 * c - grown * AN_C
                carbon_in += breath
                burn += breath * O2_PER_C
                d[drop] += meal - grown * np.array([AN_C, AN_N, AN_P, AN_K, AN_FE]) - np.array([breath, 0.4 * nit, 0.0, 0.0, 0.0])
            needs = body_carbon = 0.0
            warm = 1.062 ** (self.t - 25)
            for i, g in enumerate(self.groups):
                if grams[i] <= 0:
                    continue
                thrift = 1.0 if g["fish"] else THRIFTY
                needs += thrift * 1.7 * BREATH * 24 / O2_PER_C * warm * (g["adult"] / 30) ** -0.2 * grams[i]
                lost = BASAL * max(0.4, min(1.0, condition[i] / 0.8)) * thrift * warm * (g["adult"] / 0.5) ** -0.2 * grams[i]
                d[at + 8 + i] -= lost
                nh4_in += lost * AN_N
                body_carbon += lost * AN_C
                rel += lost * np.array([AN_P, AN_K, AN_FE])
                if heads[i] > 0:  # they multiply while each has mass to spare; a narrow ramp in place of a switch
                    spare = (grams[i] / (0.7 * g["adult"] * heads[i]) - 1) / 0.01
                    room = max(0.0, 1 - 0.5 * heads[i] * g["room"] / self.v)
                    d[at + 8 + m + i] += g["breeds"] * room * th * heads[i] * min(1.0, max(0.0, spare)) * min(1.0, max(0.0, heads[i] - 1))
                lean = 0.15 * max(0.0, 1 - condition[i] / 0.45) if heads[i] > 0 else 0.0
                if lean > 0:
                    body = lean * grams[i]
                    d[at + 8 + i] -= body
                    d[at + 8 + m + i] -= lean * heads[i]
                    d[scrap] += body * np.array([AN_C, AN_N, AN_P, AN_K, AN_FE])
            # What was eaten is breathed as it is needed, half of it a day at least (ln 2 at every instant).
            out = max(math.log(2) * fat, min(max(0.0, needs - body_carbon), 20 * fat))
            d[x + 11] -= out
            carbon_in += body_carbon + out
            burn += (body_carbon + out) * O2_PER_C

        # Bed.
        d[18] -= FLUSH * th * flush
        d[19] -= SLOW * th * slow
        d[x + 10] -= READY * th * ready
        stir = 6.0 if day < 21 else 3.0 if day < 60 else 1.5  # by the whole day, so that no break falls inside a step
        turned = min(1.0, sum(grams[i] for i, g in enumerate(self.groups) if g["burrows"]) / TURNED / self.area)
        passing = self.conduct * (9.50 + 0.413 * self.t) / (9.50 + 0.413 * 25.0) * stir * (1 + 0.5 * turned)
        leak = passing / self.holdup
        if self.soiled:
            d[x + 16 + 3 * n] -= (passing / self.pores + SOIL_DENIT * th) * soil_nitrate
            d[2] += passing / self.pores * soil_nitrate
        d[17] += FLUSH * th * flush + READY * th * ready + SLOW * th * slow - leak * pore
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
        if self.sealed:
            d[x + 18 + 3 * n] += BUBBLES * (cq + co)
        burn += AEROBIC * (cq + co) * O2_PER_C + PAID * debt
        d[x + 12] += DEBT * max(0.0, 1 - AEROBIC - BUBBLES - SOIL_TANNIN) * (cq + co) * O2_PER_C - PAID * debt
        rotting += cq + co
        if acid_left > 0:
            ease = max(0.0, min(1.0, (-math.log10(h) - 5.8) / 1.2))
            soft = min(min(0.5, leak) * ease * acid_left, 0.2 * max(0.0, alk), gh / 2.804)
            d[x + 13] -= soft
            d[9] -= soft
            d[10] -= 0.8 * 2.804 * soft
            d[x + 19 + 3 * n] -= 0.8 * 2.804 * soft * y[x + 19 + 3 * n] / gh

        # Clumps: what they could grow and take up.
        ramps = [c["reach"] * ramp(t, *c["rooting"]) for c in self.clumps]
        on_floor = sum(b[i] / c["dense"] for i, c in enumerate(self.clumps) if c["role"] in STANDS) / (1.6 * self.area)
        floating = sum(b[i] / c["dense"] for i, c in enumerate(self.clumps) if c["floats"]) / self.area
        want, appetite, dig, lits, out_of = np.zeros(n), np.zeros(n), np.zeros(n), np.zeros(n), np.zeros(n)
        for i, c in enumerate(self.clumps):
            quota = q[i] / b[i]
            stand = 0.15 + 0.85 * ramp(t, *c["rooting"]) if c["role"] == "house-plant" else 1.0
            mu = c["mu"] * c["warm"] * c["seat"] * stand
            fed = max(0.0, min(1.0, (quota - QMIN) / (QFULL - QMIN)))
            over_dim = max(0.0, light[i] - DIM * c["ki"])
            lits[i] = over_dim / (c["ki"] + over_dim) * (min(max(12.0, self.hours), 18.0) / 12 if c["role"] == "house-plant" else length)
            if c["floats"]:
                crowd = floating
            elif c["role"] == "house-plant":
                crowd = b[i] / (c["dense"] * c["pieces"])
            else:
                radius = math.sqrt(spread[i] / math.pi) + 0.05
                own = b[i] / (1.6 * c["dense"] * min(self.area, math.pi * radius**2))
                crowd = max(on_floor if c["role"] in STANDS else 0.0, own) ** 4
            want[i] = mu * lits[i] * fed * max(0.0, 1 - crowd) * b[i]
            hunger = UPTAKE * mu * QMAX * b[i] * max(0.0, (QMAX - quota) / (QMAX - QMIN))
            dig[i] = hunger * c["share"] * ramps[i]
            appetite[i] = hunger * (1 - c["share"] * ramps[i])
            if c["air"]:
                out_of[i] = 1.0
            elif c["role"] in ("fast-stem", "slow-stem") and not self.sealed:
                out_of[i] = 0.6 * ramp(c["tall"] * min(1.0, 0.5 * (b[i] / c["mass"]) ** (1 / 3)) / self.depth, 1.0, 1.45)
        factor = np.ones(n)
        bed, water_got = np.zeros((3, n)), np.zeros((3, n))
        for j, (ratio, reserve, water, soil) in enumerate(((LEAF_P, RESERVE[0], ph, sp), (LEAF_K, RESERVE[1], ka, sk), (LEAF_FE, RESERVE[2], fe, sfe))):
            share = np.array([(c["share"] if j == 1 else 0.95 * min(1.0, 2 * c["share"])) * r for c, r in zip(self.clumps, ramps)])
            ask = np.maximum(0.0, want * ratio + REFILL * (reserve * b - laid[j]))
            bed_need = (ask * share).sum()
            share = share * (min(1.0, 0.02 * soil / bed_need) if bed_need > 0 else 1.0)
            need = (ask * (1 - share)).sum()
            free = min(1.0, 0.8 * water / need) if need > 0 else 1.0
            bed[j], water_got[j] = ask * share, ask * (1 - share) * free
            with np.errstate(divide="ignore", invalid="ignore"):
                got = np.where(want * ratio > 0, (bed[j] + water_got[j] + LAID_BY * laid[j]) / (want * ratio), 1.0)
            factor = np.minimum(factor, np.clip(got, 0.0, 1.0))
        potential = want * factor
        dug = dig * pore / (HALF_PORE * self.holdup + pore)
        d[17] -= dug.sum()
        d[25 + n:25 + 2 * n] += dug

        # Algae.
        whole = ag.sum()
        rest = min(1.0, 0.5 * ph / max(1e-9, whole * LEAF_P), 0.5 * fe / max(1e-9, whole * LEAF_FE), 0.5 * ka / max(1e-9, whole * LEAF_K))
        grow_a, want_a = np.zeros(3), np.zeros(3)
        for i, (mu, ki, _) in enumerate(ALGAE):
            quota = an[i] / ag[i]
            fed = max(0.0, (quota - QMIN) / (QFULL - QMIN))
            see = drift_light if i == 1 else film_light
            full = 1000 * ag[1] / v / GREENEST if i == 1 else (ag[0] + ag[2]) / (ALGAE_DENSE * self.lit)
            rate = mu * th * see / (ki + see) * length * min(1.0, fed) * max(0.0, 1 - full) * rest if see > 0 else 0.0
            if i == 2:
                rate *= si / v / (HALF_SI + si / v)
            grow_a[i] = min(rate, 2.0) * ag[i]
            want_a[i] = 2 * mu * th * QMAX * ag[i] * max(0.0, (QMAX - quota) / (QMAX - QMIN))

        # Nitrogen chain.
        c, c2, c3, o = tan / v, no2 / v, no3 / v, o2 / v
        acid = max(0.3 * min(1.0, max(0.0, (self.pH - 4) / 0.3)), min(1.0, 1 - 0.833 * (7.2 - self.pH)))
        first = RATE_A * xa * th * acid * c / (HALF_A + c) * o / (OX_A + o)
        ka_nh = 10 ** -(0.09018 + 2729.92 / (self.t + 273.2))
        unionised = c * ka_nh / (ka_nh + h)
        second = RATE_N * xn * th * acid * c2 / (HALF_N + c2) * o / (OX_N + o) / (1 + unionised / INHIBIT)
        through = COMAMMOX * 0.5 / (0.5 + self.mean_ammonia)
        take = appetite * awake * c / (HALF_NH4 + c)
        take_a = want_a * awake * c / (ALGAE_HALF_N + c)
        shy = NH4_FIRST / (NH4_FIRST + c)
        take2 = appetite * awake * shy * c2 / (HALF_NO3 + c2)
        take3 = appetite * awake * shy * c3 / (HALF_NO3 + c3)
        take3_a = want_a * awake * shy * c3 / (ALGAE_HALF_N + c3)
        rotting_m2 = rotting / 1000 / self.area
        gone = DENIT * rotting_m2 / (1 + rotting_m2) * th * self.area * 1000 * c3
        most_a = SURFACE_RATE * (self.surface + leaf_area) / RATE_A
        busy_a, busy_n = first / (RATE_A * th * xa), second / (RATE_N * th * xn)
        d[at + 6] += YIELD_A * first * (1 - xa / most_a) - DECAY * th * (DORMANT + (1 - DORMANT) * busy_a) * xa
        d[at + 7] += YIELD_N * second * (1 - xn / (most_a * RATE_A / RATE_N)) - DECAY * th * (DORMANT + (1 - DORMANT) * busy_n) * xn
        take3 = take3 + take2
        d[25 + n:25 + 2 * n] += take + take3
        d[at + 3:at + 6] += take_a + take3_a

        # Growth with carbon.
        over_gamma = max(0.0, co2 - GAMMA)
        beta = BETA * bicarbonate / (HALF_BIC + bicarbonate)
        share = np.ones(n)
        for i, c_ in enumerate(self.clumps):
            half = HALF_CO2 * (HALF_CO2_BIC / HALF_CO2) ** c_["bic"] * c_["mu"] / 0.15 * light[i] / (c_["ki"] + light[i]) if light[i] > 0 else 0.1
            on_co2 = nodes(half, over_gamma)
            under = (1 - c_["bic"]) * on_co2 + c_["bic"] * (beta + (1 - beta) * on_co2)
            share[i] = out_of[i] + (1 - out_of[i]) * under
        on = per_hour if lit else 0.0
        # Leaves in a lit room grow on while the lamp is dark, but what they do is booked by the day all the same.
        grown = potential * on * share
        fixed = sum(g * LEAF_C * (1 - o_ / s_) for g, o_, s_ in zip(grown, out_of, share) if s_ > 0)
        draw = water_got.sum(axis=1)
        for j, ratio in enumerate((LEAF_P, LEAF_K, LEAF_FE)):
            d[22 + j] -= bed[j].sum()
            d[x + 16 + j * n:x + 16 + (j + 1) * n] += bed[j] + water_got[j] - grown * ratio
        d[25:25 + n] += grown
        share_a = co2 / (0.15 + co2)
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
            burnt = RESP * c_["mu"] * 1.06 ** (self.t - 25) * (0.5 + 0.5 * min(1.0, lits[i])) * b[i]
            d[25 + i] -= burnt
            rel += burnt * np.array([LEAF_P, LEAF_K, LEAF_FE])
            spill = QMAX * burnt * brim(q[i] / b[i])
            d[25 + n + i] -= spill
            nh4_in += spill
            carbon_in += (1 - out_of[i]) * burnt * LEAF_C
            burn += (1 - out_of[i]) * burnt * LEAF_C * O2_PER_C
            lost = (MORT * c_["warm"] * c_["mu"] + c_["scorched"]) * b[i] + (c_["melt"] * c_["mass"] / (c_["until"] - 3) if 3 <= day < c_["until"] else 0.0)
            part = lost / b[i]
            d[25 + i] -= lost
            d[25 + n + i] -= q[i] * part
            fell = [lost * LEAF_C, q[i] * part]
            for j, ratio in enumerate((LEAF_P, LEAF_K, LEAF_FE)):
                fell.append(lost * ratio + laid[j][i] * part)
                d[x + 16 + j * n + i] -= laid[j][i] * part
            d[12:17] += np.array(fell)
        eaten = 0.25 + 0.75 * min(1.0, t / 42.0)
        for i, (_, _, mort) in enumerate(ALGAE):
            burnt = ALGAE_RESP * th * ag[i]
            d[at + i] -= burnt
            rel += burnt * np.array([LEAF_P, LEAF_K, LEAF_FE])
            carbon_in += burnt * LEAF_C
            burn += burnt * LEAF_C * O2_PER_C
            over = QMAX * burnt * brim(an[i] / ag[i])
            d[at + 3 + i] -= over
            nh4_in += over
            lost = mort * eaten * th * max(0.0, ag[i] - 1e-4)
            nit = an[i] * lost / ag[i]
            d[at + i] -= lost
            d[at + 3 + i] -= nit
            d[12:17] += np.array([lost * LEAF_C, nit, lost * LEAF_P, lost * LEAF_K, lost * LEAF_FE])

        # Water: gases, alkalinity, lime, top-up.
        k = self.velocity * (1 - 0.5 * cover) * self.area * 1000
        helped = 0.94 * enhancement(0.94 * self.velocity, self.pH, self)
        came = second + through * first
        sat, co2_air = self.sat, self.co2_air
        if self.sealed:
            sat, co2_air = sat * head_o2 / (HEAD_O2 * self.headspace), co2_air * CO2_PER_C * head_c / (HEAD_CO2 * self.headspace)
        bubbles = 48 * max(0.0, o2 - 2 * self.sat * v)
        if self.sealed:
            d[x + 17 + 3 * n] += bubbles - k * (sat - o)
            d[x + 18 + 3 * n] -= k * helped / CO2_PER_C * (co2_air - co2)
        rain, runs_over = self.rain, max(0.0, self.rains - self.dries)
        drip, src = max(0.0, self.dries - self.rains), self.topup
        poured = lambda what: drip * src[what] + (self.rains * rain[what] if self.rains > 0 else 0.0)
        d[0] += nh4_in - first - take.sum() - take_a.sum()
        d[1] += (1 - through) * first - second - take2.sum()
        d[2] += came - (take3 - take2).sum() - take3_a.sum() - gone + poured("no3")
        d[3] += rel[0] - draw[0] + poured("p")
        d[4] += rel[1] - draw[1] + poured("k")
        d[5] += rel[2] - draw[2] + poured("fe")
        d[6] += poured("si")
        d[7] += k * (sat - o) + fixed * O2_PER_C + 4.57 * (take3.sum() + take3_a.sum()) - (burn + 3.43 * first + 1.14 * came) * o / (0.2 + o) + (drip + self.rains) * self.sat - bubbles
        d[8] += carbon_in - fixed + k * helped / CO2_PER_C * (co2_air - co2) + poured("dic")
        d[9] += (nh4_in - take.sum() - take_a.sum() - 2 * first + take3.sum() + take3_a.sum() + gone) / N_MOLAR + poured("alk")
        d[10] += poured("gh")
        d[x + 19 + 3 * n] += poured("ca")
        if runs_over > 0:
            over = runs_over / v
            d[:12] -= over * y[:12]
            d[x + 19 + 3 * n] -= over * y[x + 19 + 3 * n]
            d[at + 1] -= over * ag[1]
            d[at + 4] -= over * an[1]
        # Calcite that falls out, and what limestone gives.
        calcium = y[x + 19 + 3 * n] / v * 17.848e-3 / 100.087
        bicarb = max(0.0, alk / v) / 1000 / (1 + 2 * self.k2 / h)
        omega = calcium * self.k2 * bicarb / h / self.ksp
        if omega < 1 and self.stone_lime > 0:
            g = LIME_RATE * self.stone_lime * (1 - omega)
            d[8] += g * 12011 / 100.087
            d[9] += g * 2000 / 100.087
            d[10] += g * 1000 / 17.848
            d[x + 19 + 3 * n] += g * 1000 / 17.848
        if omega > 20:
            g = 0.03 * (1 - 20 / omega) * min(alk / (2000 / 100.087), y[x + 19 + 3 * n] / (1000 / 17.848), dic / (12011 / 100.087))
            d[8] -= g * 12011 / 100.087
            d[9] -= g * 2000 / 100.087
            d[10] -= g * 1000 / 17.848
            d[x + 19 + 3 * n] -= g * 1000 / 17.848
        return d

    def run(self, days, rtol, atol, dose=0.0):
        """Yields the state at the end of each day."""
        y = self.start(dose)
        self.least, self.most = y.copy(), y.copy()
        n, m = self.n, len(self.groups)
        at = 25 + 2 * n
        for day in range(days):
            self.warm(day)
            dawn, dusk = (24 - self.hours) / 48, (24 + self.hours) / 48
            for e in self.events:
                if e["day"] == day and e["do"] == "leaves":
                    y[12:17] += e["grams"] * np.array([470.0, 10.0, 0.8, 2.0, 0.15])
            if self.change_every and day > 0 and day % self.change_every == 0:
                keep = 1 - self.change_share
                w, litres = self.water, self.change_share * self.v
                y[:12] *= keep
                y[self.x + 19 + 3 * n] = keep * y[self.x + 19 + 3 * n] + litres * w["ca"]
                y[at + 1] *= keep
                y[at + 4] *= keep
                y[2:11] += litres * np.array([w["no3"], w["p"], w["k"], w["fe"], w["si"], saturation(self.site["temperature"]), w["dic"], w["alk"], w["gh"]])
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
            if self.sealed:
                self.vent(y)
            x = self.x
            self.pH = -math.log10(y[x + 14] / 1e7)
            self.mean_ammonia += (y[x + 15] - self.mean_ammonia) / 14
            y[x + 14] = y[x + 15] = 0.0
            yield day, y

    def vent(self, y):
        """A clip lid lets gas out above 1.05 atmospheres and sucks air in below 0.9, once a day."""
        at = self.x + 17 + 3 * self.n
        o2, c = HEAD_O2 * self.headspace, HEAD_C * self.headspace
        pressure = (1 - 0.2095 - 420e-6) + 0.2095 * y[at] / o2 + 420e-6 * y[at + 1] / c
        if pressure > 1.05:
            y[at:at + 2] *= 1.05 / pressure
        elif pressure < 0.9:
            y[at] += (0.9 - pressure) * o2
            y[at + 1] += (0.9 - pressure) * c

    def row(self, day, y):
        n, v = self.n, self.v
        at = 25 + 2 * n
        c, m = y[:12] / v, len(self.groups)
        return dict(day=day, ammonia=c[0], nitrite=c[1], nitrate=c[2], phosphate=c[3], potassium=c[4], iron=c[5], silicon=c[6], oxygen=c[7], carbon=c[8], alkalinity=c[9], hardness=c[10], tannin=c[11],
                    litterCarbon=y[12], litterNitrogen=y[13], droppingsNitrogen=y[self.x + 1], scrapsNitrogen=y[self.x + 6], poreNitrogen=y[17], soilNitrate=y[self.x + 16 + 3 * n], flushNitrogen=y[18], quickCarbon=y[20], soilPotassium=y[23],
                    **{f"biomass{i}": y[25 + i] for i in range(n)}, **{f"leafNitrogen{i}": y[25 + n + i] for i in range(n)},
                    film=y[at], drift=y[at + 1], diatoms=y[at + 2], ammoniaOxidisers=y[at + 6], nitriteOxidisers=y[at + 7],
                    **{f"animals{i}": y[at + 8 + i] for i in range(m)}, **{f"heads{i}": y[at + 8 + m + i] for i in range(m)}, **(dict(headOxygen=y[self.x + 17 + 3 * n], headCarbon=y[self.x + 18 + 3 * n]) if self.sealed else {}))


def saturation(t):
    """Benson & Krause (1984)."""
    k = t + 273.15
    return math.exp(-139.34411 + 1.575701e5 / k - 6.642308e7 / k**2 + 1.2438e10 / k**3 - 8.621949e11 / k**4)


def brim(quota):
    """0 below a full leaf, 1 above: what a full leaf loses in mass it loses in nitrogen too, without a kink that would stop the solver."""
    return 1 / (1 + math.exp(-min(50.0, max(-50.0, (quota - QMAX) / 0.1))))


def nodes(half, co2):
    """Fixation by CO2 as the model lays it between its nodes of half saturation: 0.1, 0.3, 0.9 and 2.7 mg/L."""
    place = math.log(max(0.1, min(2.7, half)) / 0.1) / math.log(3.0)
    low = min(2, int(place))
    at = lambda node: co2 / (0.1 * 3.0**node + co2)
    return (1 - (place - low)) * at(low) + (place - low) * at(low + 1)


def enhancement(velocity, pH, tank):
    """Hoover & Berkshire (1969)."""
    h = 10.0**-pH
    tau = 1 + h * h / (tank.k1 * (tank.k2 + h))
    k = tank.t + 273.15
    hydration, spread = math.exp(1246.98 - 6.19e4 / k - 183.0 * math.log(k)), 5.019e-6 * math.exp(-19510 / 8.314 / k)
    reach = math.sqrt((hydration + 8500 * tank.kw / h) * tau / spread) * spread / (velocity / 86400)
    return tau / (tau - 1 + math.tanh(reach) / reach)


def read(path):
    with open(path) as file:
        return Tank(json.load(file))


# What is written: which plan, days, mg N/L of ammonia on day 0.
RUNS = (("dose", 60, 5.0), ("planted", 90, 0.0), ("overstocked", 90, 0.0), ("cold", 40, 0.0), ("warm", 40, 0.0), ("jar", 60, 0.0), ("tub", 40, 0.0))


def main():
    if sys.argv[1:2] == ["--write"]:
        for name, days, dose in RUNS:
            if sys.argv[2:] and name not in sys.argv[2:]:
                continue
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
