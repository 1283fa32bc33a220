#!/usr/bin/env python3
"""Writes days.csv: hours from sunrise to sunset by an astronomical library (PyEphem; Debian package python3-ephem), the sun's centre on the
geometric horizon, without refraction, for some latitudes through a year."""
import csv
import math
import os

import ephem

with open(os.path.join(os.path.dirname(os.path.abspath(__file__)), "days.csv"), "w", newline="") as file:
    rows = csv.writer(file, lineterminator="\n")
    rows.writerow(["latitude", "day", "hours"])
    for latitude in (-40, 0, 25, 40, 52, 60):
        for day in range(10, 366, 29):
            place = ephem.Observer()
            place.lat, place.lon, place.pressure, place.horizon = str(latitude), "0", 0, "0"
            place.date = ephem.Date(ephem.Date("2027/1/1 12:00") + day - 1)
            rise = place.previous_rising(ephem.Sun(), use_center=True)
            fall = place.next_setting(ephem.Sun(), use_center=True)
            rows.writerow([latitude, day, f"{(fall - rise) * 24:.3f}"])
