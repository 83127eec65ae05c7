#!/usr/bin/env python3
"""Makes statistics.json: answers of scipy and python3-uncertainties that the core is held against.

Debian packages: python3-scipy, python3-numpy, python3-uncertainties. Run: /usr/bin/python3 test/reference/make-statistics.py
"""
import json, math, os, sys
import numpy as np, scipy
from scipy import stats, optimize
import uncertainties
from uncertainties import ufloat, umath

rng = np.random.default_rng(20260101)
out = {"made": f"make-statistics.py, scipy {scipy.__version__}, numpy {np.__version__}, uncertainties {uncertainties.__version__}"}

# Heating curve: T = Ti + s (1 - exp(-k tau))/k, tau = max(0, t - lag), with noise.
t = np.arange(0, 240, 2.0)
Ti, s, k, lag = 9.2, 0.40, 6.0e-4, 4.0
model = lambda t, s, k, lag: Ti + s * (1 - np.exp(-k * np.maximum(0, t - lag))) / k
y = np.round(model(t, s, k, lag) + rng.normal(0, 0.15, t.size), 3)
p, cov = optimize.curve_fit(model, t, y, [0.4, 5e-4, 2.0])
out["heating"] = {"startC": Ti, "trace": [[float(a), float(b)] for a, b in zip(t, y)], "parameters": p.tolist(), "u": np.sqrt(np.diag(cov)).tolist(), "truth": [s, k, lag]}

# Cool-down: T = Ta + e exp(-k t).
t = np.arange(0, 2400, 20.0)
cool = lambda t, e, k: 12.0 + e * np.exp(-k * t)
y = np.round(cool(t, 75.0, 1.8e-4) + rng.normal(0, 0.1, t.size), 3)
p, cov = optimize.curve_fit(cool, t, y, [70, 1e-4])
out["coolDown"] = {"airC": 12.0, "trace": [[float(a), float(b)] for a, b in zip(t, y)], "parameters": p.tolist(), "u": np.sqrt(np.diag(cov)).tolist()}

# Ordinary least squares, straight and quadratic.
x = np.array([1.1, 1.4, 1.9, 2.3, 2.8, 3.2, 3.6, 4.1]); y = np.array([12.2, 12.6, 13.6, 14.9, 16.0, 17.9, 19.1, 21.8])
def ols(X):
    b, rss, *_ = np.linalg.lstsq(X, y, rcond=None); r = y - X @ b; rss = float(r @ r); n, q = X.shape
    inv = np.linalg.inv(X.T @ X); s2 = rss / (n - q); kk = q + 1
    x0 = X[3]; half = stats.t.ppf(.975, n - q) * math.sqrt(s2 * float(x0 @ inv @ x0))
    return {"coefficients": b.tolist(), "se": np.sqrt(s2 * np.diag(inv)).tolist(), "rss": rss, "aicc": n * math.log(rss / n) + 2 * kk + 2 * kk * (kk + 1) / (n - kk - 1), "bandAtFourth": [float(x0 @ b - half), float(x0 @ b + half)]}
out["ols"] = {"x": x.tolist(), "y": y.tolist(), "straight": ols(np.c_[np.ones_like(x), x]), "quadratic": ols(np.c_[np.ones_like(x), x, x * x])}
lin = stats.linregress(x, y); out["ols"]["linregress"] = [lin.slope, lin.intercept, lin.stderr, lin.pvalue]

# Welch on logs, paired, Student.
a = np.array([14.2, 13.8, 14.6, 14.1]); b = np.array([12.9, 13.3, 12.6, 13.1, 13.0])
w = stats.ttest_ind(np.log(a), np.log(b), equal_var=False); se = math.sqrt(np.log(a).var(ddof=1) / a.size + np.log(b).var(ddof=1) / b.size)
va, vb = np.log(a).var(ddof=1) / a.size, np.log(b).var(ddof=1) / b.size
df = (va + vb) ** 2 / (va ** 2 / (a.size - 1) + vb ** 2 / (b.size - 1)); d = np.log(b).mean() - np.log(a).mean(); h = stats.t.ppf(.975, df) * se
pr = stats.ttest_rel(np.log(a), np.log(b[:4]))
out["welch"] = {"a": a.tolist(), "b": b.tolist(), "t": float(w.statistic), "p": float(w.pvalue), "df": float(df), "ratio": float(math.exp(d)), "ci": [math.exp(d - h), math.exp(d + h)], "paired": [float(pr.statistic), float(pr.pvalue)]}

# Holm by its definition (Holm 1979), on given p values.
ps = [0.001, 0.011, 0.012, 0.04, 0.2]
order = np.argsort(ps); adj = np.empty(len(ps)); run = 0.0
for i, j in enumerate(order): run = max(run, min(1.0, (len(ps) - i) * ps[j])); adj[j] = run
out["holm"] = {"p": ps, "adjusted": adj.tolist()}

# Grubbs' two-sided 5 % critical values; noncentral t; power of the two-sample t test.
out["grubbs"] = [[n, float((n - 1) / math.sqrt(n) * math.sqrt(stats.t.ppf(1 - .05 / (2 * n), n - 2) ** 2 / (n - 2 + stats.t.ppf(1 - .05 / (2 * n), n - 2) ** 2)))] for n in (5, 6, 8, 10)]
out["noncentralT"] = [[x, df, nc, float(stats.nct.cdf(x, df, nc))] for x, df, nc in ((2.0, 6, 1.5), (2.1, 14, 2.5), (2.306, 8, 3.0), (-1.0, 10, 1.0), (2.78, 4, 4.0), (2.02, 40, 2.8), (3.5, 22, 5.0))]
def power(n, cv, diff):
    """Two-sided two-sample t test at 5 %, on logarithms: effect ln(1 + difference), scatter the coefficient of variation."""
    df = 2 * n - 2; nc = math.log1p(diff) / (cv * math.sqrt(2 / n)); tc = stats.t.ppf(.975, df)
    return float(1 - stats.nct.cdf(tc, df, nc))  # the other tail is below 1e-4 here, and scipy's is not to be had there
def needed(cv, diff):
    n = 2
    while power(n, cv, diff) < .8: n += 1
    return n
out["replicates"] = [[cv, diff, needed(cv, diff), power(needed(cv, diff), cv, diff)] for cv, diff in ((.03, .05), (.04, .05), (.05, .10), (.03, .09), (.02, .10))]

# The paired t test of blocks with a run of each arm: half the freedom. Blocks that show it four times in five, four at least.
def block_power(n, cv, diff):
    nc = math.log1p(diff) / (cv * math.sqrt(2 / n)); tc = stats.t.ppf(.975, n - 1)
    return float(1 - stats.nct.cdf(tc, n - 1, nc))
def blocks(cv, diff):
    n = 4
    while block_power(n, cv, diff) < .8: n += 1
    return n
out["blocks"] = [[cv, diff, blocks(cv, diff), float(optimize.brentq(lambda d: block_power(blocks(cv, diff), cv, d) - .8, 1e-4, 2))] for cv, diff in ((.03, .05), (.04, .05), (.05, .10), (.04, .10), (.02, .02))]

# First-order propagation: a product, a difference and the log-mean heating formula.
m, t_, d = ufloat(8.6, .06), ufloat(260, 2.9), ufloat(84.98, .5)
out["uncertainties"] = [["m*80/d", (m * 80 / d).n, (m * 80 / d).s], ["m/t*60", (m / t_ * 60).n, (m / t_ * 60).s], ["exp(m/10)*log(t)", (umath.exp(m / 10) * umath.log(t_)).n, (umath.exp(m / 10) * umath.log(t_)).s]]
# GUM-like correlated pair: a difference of two readings that share an offset.
off = ufloat(0, .2); one, two = ufloat(10, .1) + off, ufloat(12, .1) + off
out["sharedOffset"] = {"difference": (two - one).s, "mean": ((one + two) / 2).s}

with open(os.path.join(os.path.dirname(os.path.abspath(__file__)), "statistics.json"), "w") as f:
    json.dump(out, f, indent=1); f.write("\n")
