"""A cooling problem solved another way: the method of lines on a fine even grid, by SciPy's BDF.

Written from docs/cool-problem.md. Reads a problem from standard input and writes its answer; with a folder as its only
argument, answers every problem in it into its folder answers. Needs python3-scipy and takes some seconds a problem, so the
answers are kept beside the problems.
"""

import json
import math
import pathlib
import sys

import numpy as np
from scipy.integrate import solve_ivp

SIGMA = 5.670374e-8
KELVIN = 273.15


def prop(value):
    if isinstance(value, (int, float)):
        return lambda t: np.full_like(np.asarray(t, float), value)
    xs, ys = zip(*value)
    return lambda t: np.interp(t, xs, ys)


def film(air, od_m):
    kind = air["film"]
    if kind == "given":
        return lambda t: np.full_like(t, air["w_m2k"])

    def law(t):
        ta = air["ambient_c"]
        tf = (t + ta) / 2 + KELVIN
        k = 0.0263 * (tf / 300) ** 0.835
        nu = 15.89e-6 * (tf / 300) ** 1.73
        pr = 0.707
        ra = 9.81 * np.abs(t - ta) * od_m**3 * pr / (nu**2 * tf)
        n = (0.60 + 0.387 * (ra / (1 + (0.559 / pr) ** (9 / 16)) ** (16 / 9)) ** (1 / 6)) ** 2
        if kind == "fan":
            re = air["m_per_s"] * od_m / nu
            moved = 0.3 + 0.62 * np.sqrt(re) * pr ** (1 / 3) / (1 + (0.4 / pr) ** (2 / 3)) ** 0.25 * (
                1 + (re / 282000) ** (5 / 8)
            ) ** (4 / 5)
            n = np.maximum(n, moved)
        return n * k / od_m

    return law


def grid(length, fine):
    """Cells from the seam outwards: 0.5 mm near it, then up to 5 mm."""
    if length <= 0:
        return []
    cells, wide, left = [], fine, length
    while left > 1e-9:
        wide = fine if length - left < 15 else min(5.0, wide * 1.04)
        now = left if left < 1.5 * wide else wide
        cells.append(now)
        left -= now
    return cells


def solve(problem):
    tube, metal, air, weld, asked = (problem[k] for k in ("tube", "metal", "air", "weld", "asked"))
    od, wall = tube["od_mm"], tube["wall_mm"]
    area = math.pi * (od - wall) * wall * 1e-6
    rho, eps, ta = metal["density_kg_m3"], metal["emissivity"], air["ambient_c"]
    c, k = prop(metal["specific_heat_j_kgk"]), prop(metal["conductivity_w_mk"])
    h = film(air, od / 1000)
    inside = air.get("inside_w_m2k", 0)
    start = problem.get("start_c", ta)
    sides = problem["sides"]
    cells = [grid(s["length_mm"], 0.5) for s in sides]
    wide = np.array(cells[0][::-1] + cells[1]) / 1000
    edges = np.concatenate([[-sum(cells[0]) / 1000], np.cumsum(wide) - sum(cells[0]) / 1000])
    mid = (edges[1:] + edges[:-1]) / 2
    n = len(wide)

    def under(half_mm):
        half = half_mm / 1000
        return np.clip(np.minimum(edges[1:], half) - np.maximum(edges[:-1], -half), 0, None)

    heated = under(weld["bead_mm"] / 2)
    heated = heated / heated.sum()
    near = under(asked["near_mm"])
    near = near / near.sum()
    masses = [s["end"] if s["end"]["kind"] == "mass" else None for s in sides]
    mass_c = [prop(m["specific_heat_j_kgk"]) if m and "specific_heat_j_kgk" in m else c for m in masses]

    def flux(t, e):
        return h(t) * (t - ta) + e * SIGMA * ((t + KELVIN) ** 4 - (ta + KELVIN) ** 4)

    def rate(power):
        def f(_, y):
            t = y[:n]
            out = -(
                wide * math.pi * od * 1e-3 * flux(t, eps)
                + wide * math.pi * (od - 2 * wall) * 1e-3 * inside * (t - ta)
            )
            out = out + power * heated
            kk = k((t[1:] + t[:-1]) / 2)
            between = kk * area * (t[:-1] - t[1:]) / ((wide[1:] + wide[:-1]) / 2)
            out[:-1] -= between
            out[1:] += between
            tail = np.zeros(2)
            for side, cell in ((0, 0), (1, n - 1)):
                end = sides[side]["end"]
                if end["kind"] == "bare":
                    continue
                contact = end.get("contact_w_k")
                mass = end["kind"] == "mass"
                far = y[n + side] if mass else end["plate_c"]
                kf = k((t[cell] + far) / 2 if mass else t[cell])
                g = 1 / (wide[cell] / 2 / (kf * area) + (1 / contact if contact else 0))
                q = g * (t[cell] - far)
                out[cell] -= q
                if mass:
                    m = np.array([far])
                    loss = end["area_mm2"] * 1e-6 * flux(m, end.get("emissivity", eps))[0]
                    plate = (
                        end["plate_w_k"] * (far - end["plate_c"])
                        if end.get("plate_w_k") is not None and end.get("plate_c") is not None
                        else 0
                    )
                    tail[side] = (q - loss - plate) / (end["mass_kg"] * mass_c[side](m)[0])
            return np.concatenate([out / (wide * area * rho * c(t)), tail])

        return f

    y = np.full(n + 2, float(start))
    amps = weld["amps"]
    volts = 10 + 0.04 * amps if weld["volts"] == "rule" else weld["volts"]
    power = weld["efficiency"] * volts * amps
    arc_s = math.pi * od / weld["travel_mm_min"] * 60
    distances = asked.get("distances", [])
    at = [(-1 if d["side"] == 0 else 1) * d["mm"] / 1000 for d in distances]
    peak, peaks = -1e9, [0.0] * len(distances)

    # Who touches whom: a row of three diagonals, and the masses at its ends.
    touch = np.eye(n + 2) + np.eye(n + 2, k=1) + np.eye(n + 2, k=-1)
    touch[n, :] = touch[:, n] = touch[n + 1, :] = touch[:, n + 1] = 0
    touch[n, n] = touch[n + 1, n + 1] = touch[n, 0] = touch[0, n] = touch[n + 1, n - 1] = touch[n - 1, n + 1] = 1

    ends = [-sum(cells[0]) / 1000, sum(cells[1]) / 1000]

    def faces(y):
        """The tube with its end faces: as warm as the cell, or as what it leans on there."""
        out = []
        for side, cell in ((0, 0), (1, n - 1)):
            end = sides[side]["end"]
            own = y[cell]
            if end["kind"] != "bare":
                far = y[n + side] if end["kind"] == "mass" else end["plate_c"]
                r = wide[cell] / 2 / (k(np.array([own]))[0] * area)
                contact = end.get("contact_w_k")
                own = own + (far - own) * r / (r + (1 / contact if contact else 0))
            out.append(own)
        return np.concatenate([[out[0]], y[:n], [out[1]]])

    places = np.concatenate([[ends[0]], mid, [ends[1]]])

    def go(y, seconds, watts, every):
        count = max(2, int(seconds / every) + 2)
        return solve_ivp(
            rate(watts), (0, seconds), y, method="BDF", rtol=1e-6, atol=1e-4,
            t_eval=np.linspace(0, seconds, count), jac_sparsity=touch,
        )

    def seen(run):
        nonlocal peak
        t = run.y[:n]
        means = near @ t
        peak = max(peak, means.max())
        for i, place in enumerate(at):
            peaks[i] = max(peaks[i], max(np.interp(place, places, faces(run.y[:, j])) for j in range(t.shape[1])) - start)
        return means

    for number in range(weld["runs"]):
        if number:
            run = go(y, weld["stop_s"], 0, 1)
            seen(run)
            y = run.y[:, -1]
        run = go(y, arc_s / weld["runs"], power, 1)
        seen(run)
        y = run.y[:, -1]
    limits, times = asked["limits_c"], asked.get("times_min", [])
    last = max([90.0, *[t + 1 for t in times]])
    run = go(y, last * 60, 0, 5)
    while near @ run.y[:n, -1] > min([*limits, 1e9]) and last < 20000:
        last *= 2
        run = go(y, last * 60, 0, 20)
    means = seen(run)
    below = []
    for limit in limits:
        above = np.nonzero(means > limit)[0]
        if len(above) == 0:
            below.append({"limit_c": limit, "minutes": 0.0})
        elif above[-1] == len(means) - 1:
            return {"status": "refused", "reasons": [{"field": f"asked.limits_c[{limits.index(limit)}]", "by": limit}]}
        else:
            j = above[-1]
            share = (means[j] - limit) / (means[j] - means[j + 1])
            below.append({"limit_c": limit, "minutes": (run.t[j] + share * (run.t[j + 1] - run.t[j])) / 60})
    fields = [np.array([np.interp(m * 60, run.t, run.y[i]) for i in range(n + 2)]) for m in times]
    return {
        "format": "cool-answer/1", "case": problem["name"], "status": "solved",
        "heat_kj": power * arc_s / 1000, "peak_near_c": peak, "below": below,
        "seam_c": [float(near @ f[:n]) for f in fields],
        "rises": [
            {"side": d["side"], "mm": d["mm"], "rise_k": [float(np.interp(p, places, faces(f))) - start for f in fields], "peak_rise_k": peaks[i]}
            for i, (d, p) in enumerate(zip(distances, at))
        ],
    }


def rounded(value):
    if isinstance(value, dict):
        return {k: rounded(v) for k, v in value.items()}
    if isinstance(value, list):
        return [rounded(v) for v in value]
    return round(float(value), 4) if isinstance(value, (float, np.floating)) else value


if __name__ == "__main__":
    if len(sys.argv) > 1:
        for file in sorted(pathlib.Path(sys.argv[1]).glob("*.json")):
            answer = rounded(solve(json.loads(file.read_text())))
            (file.parent / "answers" / file.name).write_text(json.dumps(answer, indent=1) + "\n")
    else:
        print(json.dumps(rounded(solve(json.load(sys.stdin)))))
