"""How a seam beside a mass cools, in two dimensions: along the part and round it.

A model of another kind than the core's, which knows one temperature round the seam and the first waves of it: here the tube is
unrolled, the arc travels, and ring, mate, flange, plate or bung are laid out in cells of their own. Backward Euler with a sparse
factorisation a step, 40 to 60 cells round; halving cells and steps moves times by 1 to 2 %. Reads a case from standard input and writes
its answer; with a folder as its only argument, answers every case in it into its folder answers. Needs python3-scipy and takes
some seconds a case, so the answers are kept beside the cases.

A case: tube {od_mm, wall_mm, length_mm}, metal, air_c, start_c, weld {watts, arc_s, runs, stop_s, bead_mm}, and one of
  band    {inner_mm, outer_mm, length_mm, contact_w_k, clamp_kg, clamp_mm}  the ring, its mate alike behind the contact
  flange  {inner_mm, outer_mm, thickness_mm, plate}  plate null or {kg, area_mm2, heat_j_kgk, contact_w_m2k}
  bung    {radius_mm, kg, area_mm2}
The runs go round by opposite quarters. Answer: seconds after the arc until the hottest spot of the seam is below each of spot_c and
until the mean of the tube within 10 mm of the seam is below each of mean_c.
"""

import json
import math
import pathlib
import sys

import numpy as np
from scipy.sparse import coo_matrix, diags
from scipy.sparse.linalg import splu

SIGMA = 5.670374e-8
KELVIN = 273.15
QUARTERS = [0, 2, 1, 3]


def film(t, ta, od_m):
    tf = (t + ta) / 2 + KELVIN
    k = 0.0263 * (tf / 300) ** 0.835
    nu = 15.89e-6 * (tf / 300) ** 1.73
    ra = 9.81 * np.abs(t - ta) * od_m**3 * 0.707 / (nu**2 * tf)
    n = (0.60 + 0.387 * (ra / (1 + (0.559 / 0.707) ** (9 / 16)) ** (16 / 9)) ** (1 / 6)) ** 2
    return n * k / od_m


class Body:
    """Cells with heat capacity and free area, and what conducts between them."""

    def __init__(self):
        self.capacity, self.area, self.links = [], [], []

    def cell(self, capacity, area):
        self.capacity.append(capacity)
        self.area.append(area)
        return len(self.capacity) - 1

    def link(self, a, b, w_k):
        self.links.append((a, b, w_k))


def lengths(total, fine, widest, growth):
    cells, wide, left = [], fine, total
    while left > 1e-9:
        now = left if left < 1.5 * wide else wide
        cells.append(now)
        left -= now
        if total - left > 14:
            wide = min(widest, wide * growth)
    return cells


def rows(body, metal, around, strips):
    """Strips across the seam's direction, outwards: each {width, thick or section, radius, area, contact before}; cells all round."""
    rc, k = metal["density_kg_m3"] * metal["specific_heat_j_kgk"], metal["conductivity_w_mk"]
    made, before = [], None
    for strip in strips:
        turn = 2 * math.pi / around
        section = strip["section"] * 1e-6  # m2 across the direction round
        radius = strip["radius"] / 1000
        ids = [body.cell(rc * section * radius * turn + strip.get("extra", 0.0) / around, strip["area"] * 1e-6 / around) for _ in range(around)]
        for i in range(around):
            body.link(ids[i], ids[(i + 1) % around], k * section / (radius * turn))
            if before is not None:
                ids0, strip0 = before
                across = [s["section"] / s["width"] * s["radius"] * turn * 1e-6 / (s["width"] / 2000) for s in (strip0, strip)]
                resist = sum(1 / (k * g) for g in across) + strip.get("contact", 0.0) * around
                body.link(ids0[i], ids[i], 1 / resist)
        made.append(ids)
        before = (ids, strip)
    return made


def tube_strips(tube, widths):
    r = (tube["od_mm"] - tube["wall_mm"]) / 2
    return [{"width": w, "section": w * tube["wall_mm"], "radius": r, "area": math.pi * tube["od_mm"] * w} for w in widths]


def ring_case(case, around):
    """A tube and a ring or flange at its end."""
    body, tube, metal, bead = Body(), case["tube"], case["metal"], case["weld"]["bead_mm"]
    widths = lengths(tube["length_mm"], 1.0, 10.0, 1.12)
    strips = []
    if "band" in case:
        b = case["band"]
        count = max(4, round(b["length_mm"] / 1.5))
        w = b["length_mm"] / count
        thick, radius = b["outer_mm"] - b["inner_mm"], (b["outer_mm"] + b["inner_mm"]) / 2
        outside = 2 * math.pi * b["outer_mm"]
        clamp = b["clamp_kg"] * metal["specific_heat_j_kgk"] / (2 * count)
        def ring(contact):
            return [
                {"width": w, "section": w * thick, "radius": radius,
                 "area": 4 * math.pi * radius * w + b["clamp_mm"] * outside / (2 * count) + (2 * math.pi * radius * thick if last else 0),
                 "extra": clamp, "contact": 1 / b["contact_w_k"] if first and contact else 0.0}
                for first, last in [(i == 0, i == count - 1 and contact) for i in range(count)]
            ]
        strips = ring(False) + ring(True)
        width_first = w
    else:
        f = case["flange"]
        count = max(10, round((f["outer_mm"] - f["inner_mm"]) / 1.5))
        w = (f["outer_mm"] - f["inner_mm"]) / count
        for i in range(count):
            r = f["inner_mm"] + (i + 0.5) * w
            face = 2 * math.pi * r * w
            edge = 2 * math.pi * f["outer_mm"] * f["thickness_mm"] if i == count - 1 else 0.0
            strips.append({"width": w, "section": w * f["thickness_mm"], "radius": r, "area": (1 if f["plate"] else 2) * face + edge, "face": face})
        width_first = w
    ends = rows(body, metal, around, strips)
    tubes = rows(body, metal, around, tube_strips(tube, widths))
    k = metal["conductivity_w_mk"]
    area = math.pi * (tube["od_mm"] - tube["wall_mm"]) * tube["wall_mm"] * 1e-6
    near = strips[0]
    cross = near["section"] / near["width"] * 2 * math.pi * near["radius"] * 1e-6
    if "flange" in case:
        cross = 2 * math.pi * case["flange"]["inner_mm"] * case["flange"]["thickness_mm"] * 1e-6
    resist = widths[0] / 2000 / (k * area) + width_first / 2000 / (k * cross)
    for i in range(around):
        body.link(ends[0][i], tubes[0][i], 1 / (resist * around))
    plate = case.get("flange", {}).get("plate")
    if plate:
        p = body.cell(plate["kg"] * plate["heat_j_kgk"], plate["area_mm2"] * 1e-6)
        through = 1 / (1 / plate["contact_w_m2k"] + case["flange"]["thickness_mm"] / 2000 / k)
        for ids, strip in zip(ends, strips):
            for one in ids:
                body.link(one, p, through * strip["face"] * 1e-6 / around)
    # Half of the bead lies on either side.
    hot = []
    for ids, ws in ((ends, [s["width"] for s in strips]), (tubes, widths)):
        at = 0.0
        for cells, w in zip(ids, ws):
            part = max(0.0, min(at + w, bead / 2) - at)
            if part > 0:
                hot.append((cells, 0.5 * part / (bead / 2)))
            at += w
    near = []
    at = 0.0
    for cells, w in zip(tubes, widths):
        part = max(0.0, min(at + w, 10.0) - at)
        near += [(c, part) for c in cells]
        at += w
    spot = [c for ids in (ends[0], tubes[0]) for c in ids]
    return body, hot, near, spot


def bung_case(case, around):
    """A boss on the side of a tube, unrolled: its cells are as much thicker as its mass says."""
    body, tube, metal, b = Body(), case["tube"], case["metal"], case["bung"]
    rc, k = metal["density_kg_m3"] * metal["specific_heat_j_kgk"], metal["conductivity_w_mk"]
    round_mm = math.pi * (tube["od_mm"] - tube["wall_mm"])
    half = b["radius_mm"] + 3 * case["weld"]["bead_mm"]
    fine = [1.5] * math.ceil(half / 1.5)
    def outwards(total):
        cells, wide, left = list(fine), 1.5, total - sum(fine)
        while left > 1e-9:
            wide = min(10.0, wide * 1.15)
            now = left if left < 1.5 * wide else wide
            cells.append(now)
            left -= now
        return cells
    xs, ys = outwards(tube["length_mm"]), outwards(round_mm / 2)
    xs, ys = xs[::-1] + xs, ys[::-1] + ys
    xat = np.cumsum(xs) - np.array(xs) / 2 - sum(xs) / 2
    yat = np.cumsum(ys) - np.array(ys) / 2 - sum(ys) / 2
    wall = tube["wall_mm"]
    inside = [(i, j) for i in range(len(xs)) for j in range(len(ys)) if math.hypot(xat[i], yat[j]) <= b["radius_mm"]]
    cells_mm2 = sum(xs[i] * ys[j] for i, j in inside)
    deep = b["kg"] / metal["density_kg_m3"] * 1e9 / cells_mm2
    ins = set(inside)
    ids = {}
    for i, w in enumerate(xs):
        for j, h in enumerate(ys):
            boss = (i, j) in ins
            free = b["area_mm2"] / cells_mm2 if boss else tube["od_mm"] / (tube["od_mm"] - wall)
            ids[i, j] = body.cell(rc * w * h * (deep if boss else wall) * 1e-9, w * h * free * 1e-6)
    def thick(i, j):
        return deep if (i, j) in ins else wall
    for i, w in enumerate(xs):
        for j, h in enumerate(ys):
            if i + 1 < len(xs):
                body.link(ids[i, j], ids[i + 1, j], k * h * 1e-3 / (w / 2 / thick(i, j) + xs[i + 1] / 2 / thick(i + 1, j)))
            o = (j + 1) % len(ys)
            body.link(ids[i, j], ids[i, o], k * w * 1e-3 / (h / 2 / thick(i, j) + ys[o] / 2 / thick(i, o)))
    bead = case["weld"]["bead_mm"]
    turn = 2 * math.pi / around
    hot, near, spot = [], [], []
    sectors = {}
    for i in range(len(xs)):
        for j in range(len(ys)):
            r = math.hypot(xat[i], yat[j])
            if abs(r - b["radius_mm"]) <= bead / 2:
                sectors.setdefault(int((math.atan2(yat[j], xat[i]) % (2 * math.pi)) / turn), []).append((ids[i, j], xs[i] * ys[j]))
                spot.append(ids[i, j])
            if b["radius_mm"] < r <= b["radius_mm"] + 10:
                near.append((ids[i, j], xs[i] * ys[j]))
    return body, sectors, near, spot


def solve(case, around=48, steps=1.0):
    metal, air, weld = case["metal"], case["air_c"], case["weld"]
    if "bung" in case:
        around = 24
        body, sectors, near, spot = bung_case(case, around)
        def share(sector):
            cells = sectors[sector]
            whole = sum(a for _, a in cells)
            return [(c, a / whole) for c, a in cells]
    else:
        body, hot, near, spot = ring_case(case, around)
        def share(sector):
            return [(cells[sector], part) for cells, part in hot]
    n = len(body.capacity)
    capacity, area = np.array(body.capacity), np.array(body.area)
    a, b, g = (np.array(x) for x in zip(*body.links))
    a, b = a.astype(int), b.astype(int)
    lap = coo_matrix((np.concatenate([g, g, -g, -g]), (np.concatenate([a, b, a, b]), np.concatenate([a, b, b, a]))), (n, n)).tocsc()
    t = np.full(n, float(case.get("start_c", air)))
    od = case["tube"]["od_mm"] / 1000
    eps = metal["emissivity"]
    known = {}

    def go(t, dt, watts):
        k = t + KELVIN
        loss = film(t, air, od) * area + eps * SIGMA * area * (k**2 + (air + KELVIN) ** 2) * (k + air + KELVIN)
        matrix = diags(capacity / dt + loss) + lap
        return splu(matrix.tocsc()).solve(capacity / dt * t + loss * air + watts)

    def watts_at(turned):
        """The arc at a share of the way round, by opposite quarters."""
        quarter = min(3, int(turned * 4))
        place = (QUARTERS[quarter] + turned * 4 - quarter) / 4
        w = np.zeros(n)
        for cell, part in share(int(place * around) % around):
            w[cell] += weld["watts"] * part
        return w

    def mean(t):
        return sum(t[c] * p for c, p in near) / sum(p for _, p in near)

    on = weld["arc_s"] / weld["runs"]
    per_run = max(4, round(around / weld["runs"]) * 2)
    peak = t.max()
    for run in range(weld["runs"]):
        if run:
            for _ in range(4):
                t = go(t, weld["stop_s"] / 4, np.zeros(n))
        for i in range(per_run):
            t = go(t, on / per_run, watts_at((run + (i + 0.5) / per_run) / weld["runs"]))
            peak = max(peak, mean(t))
    spots, means = {c: 0.0 for c in case["spot_c"]}, {c: 0.0 for c in case["mean_c"]}
    at, dt, zero = 0.0, 0.25 * steps, np.zeros(n)
    was_spot, was_mean = t[spot].max(), mean(t)
    while at < 4 * 3600:
        t = go(t, dt, zero)
        at += dt
        now_spot, now_mean = t[spot].max(), mean(t)
        for c in spots:
            if was_spot > c >= now_spot:
                spots[c] = at - dt * (c - now_spot) / (was_spot - now_spot)
        for c in means:
            if was_mean > c >= now_mean:
                means[c] = at - dt * (c - now_mean) / (was_mean - now_mean)
        was_spot, was_mean = now_spot, now_mean
        if now_spot < min([*spots, *means]):
            break
        dt = min(20.0, dt * 1.03)
    return {"case": case["name"], "peak_mean_c": peak, "spot_s": [spots[c] for c in case["spot_c"]], "mean_s": [means[c] for c in case["mean_c"]]}


def rounded(answer):
    return {k: [round(float(x), 1) for x in v] if isinstance(v, list) else round(float(v), 1) if isinstance(v, float) else v for k, v in answer.items()}


if __name__ == "__main__":
    if len(sys.argv) > 1:
        for file in sorted(pathlib.Path(sys.argv[1]).glob("*.json")):
            answer = rounded(solve(json.loads(file.read_text())))
            (file.parent / "answers" / file.name).write_text(json.dumps(answer, indent=1) + "\n")
            print(answer)
    else:
        print(json.dumps(rounded(solve(json.load(sys.stdin)))))
