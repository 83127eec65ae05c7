#!/usr/bin/python3
"""Makes if97.json, the table of water's properties that core/water is checked against, and prints the
polynomials that core/water/liquid.ts uses, with their largest residual.

Needs Debian's python3-iapws and python3-numpy. Run:  /usr/bin/python3 test/reference/make-if97-table.py
"""
import json
import pathlib

import iapws
import numpy as np
from iapws.iapws97 import IAPWS97, _PSat_T, _Region1, _TSat_P

ATM_MPA = 0.101325
KELVIN = 273.15

liquid = []
for pressure_kpa in (50, 70, 90, 101.325, 105):
    for temp in range(0, 101, 5):
        state = _Region1(temp + KELVIN, pressure_kpa / 1000)
        liquid.append([pressure_kpa, temp, round(state["h"], 6), round(1 / state["v"], 6)])

table = {
    "source": "IAPWS-IF97, regions 1 and 4, by Debian's python3-iapws " + iapws.__version__,
    "madeBy": "test/reference/make-if97-table.py",
    "liquid": {"columns": ["pressureKPa", "tempC", "enthalpyKJPerKg", "densityKgPerM3"], "rows": liquid},
    "boiling": {
        "columns": ["pressurePa", "boilingC"],
        "rows": [[p, round(_TSat_P(p / 1e6) - KELVIN, 6)] for p in range(30000, 110001, 2500)],
    },
    "saturation": {
        "columns": ["tempC", "saturationPa"],
        "rows": [[t, round(_PSat_T(t + KELVIN) * 1e6, 4)] for t in range(1, 106, 4)],
    },
    "latent": {
        "columns": ["tempC", "latentKJPerKg"],
        "rows": [
            [t, round(IAPWS97(T=t + KELVIN, x=1).h - IAPWS97(T=t + KELVIN, x=0).h, 5)]
            for t in (1, 10, 20, 30, 40, 50, 60, 70, 80, 90, 100)
        ],
    },
}
target = pathlib.Path(__file__).with_name("if97.json")
target.write_text(json.dumps(table).replace("], [", "],\n["), encoding="utf-8")

temps = np.linspace(0, 100, 401)
x = temps / 100
one_atm = [_Region1(t + KELVIN, ATM_MPA) for t in temps]
wet = np.linspace(1, 100, 199)
series = {
    "enthalpy kJ/kg, degree 5": (x, [s["h"] for s in one_atm], 5),
    "density kg/m3, degree 6": (x, [1 / s["v"] for s in one_atm], 6),
    "latent kJ/kg, degree 3": (
        wet / 100,
        [IAPWS97(T=t + KELVIN, x=1).h - IAPWS97(T=t + KELVIN, x=0).h for t in wet],
        3,
    ),
}
for name, (at, values, degree) in series.items():
    fit = np.polynomial.polynomial.polyfit(at, values, degree)
    worst = abs(np.polynomial.polynomial.polyval(at, fit) - values).max()
    print(name, [float(f"{c:.9g}") for c in fit], "largest residual", float(f"{worst:.3g}"))
