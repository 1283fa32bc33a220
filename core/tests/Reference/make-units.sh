#!/usr/bin/env bash
# Writes units.csv: conversions as the general-purpose program GNU units (Debian package "units") makes them.
# Temperatures and hardness are not in its linear form and are checked elsewhere.
set -eu
cd "$(dirname "$0")"
ask() { printf '%s,%s,%s,%s\n' "$1" "$2" "$3" "$(units --terse --output-format '%.15g' "$1 $4" "$5")"; }
{
    echo 'value,from,to,result'
    ask 29 usgal l usgallon liter
    ask 1 impgal l brgallon liter
    ask 1 usqt ml usquart ml
    ask 8 usfloz ml usfluidounce ml
    ask 2.5 ft3 l 'ft^3' liter
    ask 231 in3 usgal 'in^3' usgallon
    ask 12 in cm in cm
    ask 3.75 ft m ft m
    ask 17.3 cm in cm in
    ask 55 lb kg lb kg
    ask 3 oz g oz g
    ask 40 kg lb kg lb
    ask 144 in2 cm2 'in^2' 'cm^2'
    ask 4 ft2 m2 'ft^2' 'm^2'
    ask 36 h d hour day
    ask 2 wk h week hour
} >units.csv
