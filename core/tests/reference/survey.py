# An independent judge of survey answers: SciPy's least squares on residuals written straight from docs/survey-problem.md,
# with axes as two angles about a frame of their own and derivatives by differences. It shares no code with the core.
#
#   {"make": SEED}                       a problem with readings of a made-up engine, and what is true of it
#   {"problem": …, "answer": …}          what is wrong with the answer, a line each
import json, math, sys
import numpy as np
from scipy.optimize import least_squares
from scipy.spatial.transform import Rotation

Z, X = np.array([0, 0, 1.0]), np.array([1.0, 0, 0])


def unit(v):
    return v / np.linalg.norm(v)


def across(d):
    h = unit(np.cross(X if abs(d[2]) > 0.9 else Z, d))
    return h, np.cross(d, h)


def wrap(a):
    return (a + 180.0) % 360.0 - 180.0


class Sheet:
    def __init__(self, problem):
        self.problem = problem
        self.at, self.dir = {"datum": np.zeros(3)}, {}
        self.free_at, self.free_dir = [], []
        for one in problem.get("points", []) + problem.get("ends", []):
            if one.get("at") is None:
                self.free_at.append(one["id"])
            else:
                self.at[one["id"]] = np.array(one["at"], float)
        for one in problem.get("ends", []):
            if one.get("dir") is None:
                self.free_dir.append(one["id"])
            else:
                self.dir[one["id"]] = unit(np.array(one["dir"], float))
        self.free_radius = [r["id"] for r in problem["readings"] if r["kind"] == "bolt_circle" and "diameter" not in r]

    def start(self, answer):
        """Unknowns about an answer: places, small turns of each axis, radii."""
        self.base = {n: unit(np.array(answer["ends"][n]["dir"])) for n in self.free_dir}
        x = []
        for n in self.free_at:
            x += list(answer["ends" if n in answer["ends"] else "points"][n]["at"])
        x += [0.0, 0.0] * len(self.free_dir)
        at, dirs, _ = self.read(np.array(x + [0.0] * len(self.free_radius)))
        for id in self.free_radius:
            r = next(r for r in self.problem["readings"] if r["id"] == id)
            ps = [self.point(at, p) - at[r["end"]] for p in r["points"]]
            d = dirs[r["end"]]
            x.append(float(np.mean([np.linalg.norm(p - p.dot(d) * d) for p in ps])))
        return np.array(x)

    def read(self, x):
        at, dirs, i = dict(self.at), dict(self.dir), 0
        for n in self.free_at:
            at[n] = x[i : i + 3]
            i += 3
        for n in self.free_dir:
            b = self.base[n]
            # Turned about two lines of a frame that has nothing to do with h and v.
            u = unit(np.cross(b, np.array([0.3, -0.8, 0.52])))
            w = np.cross(b, u)
            dirs[n] = Rotation.from_rotvec(x[i] * u + x[i + 1] * w).apply(b)
            i += 2
        return at, dirs, dict(zip(self.free_radius, x[i:]))

    def point(self, at, p):
        return at[p] if isinstance(p, str) else np.array(p, float)

    def residuals(self, x):
        at, dirs, radii = self.read(x)
        out = []
        for r in self.problem["readings"]:
            k, s, id = r["kind"], r["sigma"], r["id"]
            put = lambda suffix, value: out.append((id + suffix, value, s))
            if k == "offset":
                d = at[r["of"]] - at[r.get("from", "datum")]
                for n, ax in enumerate("xyz"):
                    if r["axis"] == ax:
                        put("", r["value"] - d[n])
                    elif r["axis"] == "xyz":
                        put("." + ax, r["value"][n] - d[n])
            elif k == "tape":
                put("", r["value"] - np.linalg.norm(at[r["between"][0]] - at[r["between"][1]]))
            elif k in ("rod", "face", "bolt_circle"):
                a, d = at[r["end"]], dirs[r["end"]]
                h, v = across(d)
                for n, p in enumerate(r["points"], 1):
                    q = self.point(at, p) - a
                    if k == "rod":
                        put(f".{n}h", -q.dot(h))
                        put(f".{n}v", -q.dot(v))
                    elif k == "face":
                        put(f".{n}", -q.dot(d))
                    else:
                        put(f".{n}f", -q.dot(d))
                        radius = r["diameter"] / 2 if "diameter" in r else radii[id]
                        put(f".{n}c", radius - np.linalg.norm(np.cross(q, d)))
            elif k == "dip":
                put("", r["value"] + math.degrees(math.asin(dirs[r["end"]][2])))
            elif k == "bearing":
                d = dirs[r["end"]]
                zero = {"x": 0, "y": 90, "-x": 180, "-y": 270}[r["from"]]
                put("", wrap(r["value"] + zero - math.degrees(math.atan2(d[1], d[0]))))
            elif k == "lean":
                d = dirs[r["end"]]
                put("", wrap(r["value"] - math.degrees(math.atan2(d[0] if r["view"] == "side" else d[1], d[2]))))
            elif k == "level":
                d = dirs[r["end"]]
                if r["is"] == "level":
                    put("", math.degrees(math.asin(d[2])))
                else:
                    put(".x", -math.degrees(math.asin(d[0])))
                    put(".y", -math.degrees(math.asin(d[1])))
            elif k == "square_to":
                h, v = across(dirs[r["to"]])
                put(".h", -math.degrees(math.asin(np.clip(dirs[r["end"]].dot(h), -1, 1))))
                put(".v", -math.degrees(math.asin(np.clip(dirs[r["end"]].dot(v), -1, 1))))
            elif k == "angle":
                put("", r["value"] - math.degrees(math.acos(np.clip(dirs[r["ends"][0]].dot(dirs[r["ends"][1]]), -1, 1))))
            elif k == "midpoint":
                d = at[r["of"]] - (at[r["between"][0]] + at[r["between"][1]]) / 2
                for n, ax in enumerate("xyz"):
                    put("." + ax, -d[n])
            elif k == "on_line":
                p, q = at[r["through"][0]], at[r["through"][1]]
                h, v = across(unit(q - p))
                put(".h", -(at[r["of"]] - p).dot(h))
                put(".v", -(at[r["of"]] - p).dot(v))
        return out

    def scaled(self, x, skip=()):
        return np.array([v / s for i, v, s in self.residuals(x) if i not in skip])


def chain_end(at, d, bends, last):
    n = X if abs(d[2]) > 0.9 else Z
    n = unit(n - n.dot(d) * d)
    for b in bends:
        n = Rotation.from_rotvec(math.radians(b["rotation"]) * d).apply(n)
        at = at + b["length"] * d
        centre = at + b["clr"] * n
        turn = Rotation.from_rotvec(math.radians(b["angle"]) * np.cross(d, n))
        at, d, n = centre + turn.apply(at - centre), turn.apply(d), turn.apply(n)
    return at + last * d, d


def slopes(f, x):
    rows = []
    for i in range(len(x)):
        e = np.zeros(len(x))
        e[i] = 1e-4
        rows.append((f(x + e) - f(x - e)) / 2e-4)
    return np.array(rows).T if rows else np.zeros((len(f(x)), 0))


def judge(problem, answer):
    wrong = []

    def same(what, mine, theirs, tol):
        if not np.allclose(mine, theirs, rtol=0, atol=tol):
            wrong.append(f"{what}: {mine}, not {theirs}")

    if answer["status"] != "adjusted":
        return [f"status {answer['status']}: {json.dumps(answer.get('reasons', answer.get('solutions')))[:300]}"]
    s = Sheet(problem)

    def part(answer, skip):
        x0 = s.start(answer)
        best = least_squares(lambda x: s.scaled(x, skip), x0, method="lm", xtol=1e-14, ftol=1e-14, gtol=1e-14) if len(x0) else None
        x = best.x if best is not None else x0
        same("chi-square", answer["chi_square"], float((s.scaled(x, skip) ** 2).sum()), 1e-3 * (1 + answer["chi_square"]))
        at, dirs, _ = s.read(x)
        for n in s.free_at:
            same(f"place of {n}", (answer["ends"] if n in answer["ends"] else answer["points"])[n]["at"], at[n], 0.01)
        for n in s.free_dir:
            same(f"axis of {n}", answer["ends"][n]["dir"], dirs[n], 1e-4)
        j = slopes(lambda x: s.scaled(x, skip), x)
        c = np.linalg.inv(j.T @ j) if len(x) else np.zeros((0, 0))
        for k, n in enumerate(s.free_at):
            sd = np.sqrt(np.diag(c)[3 * k : 3 * k + 3])
            same(f"sd of {n}", (answer["ends"] if n in answer["ends"] else answer["points"])[n]["sd"], sd, 0.01 * sd.max() + 1e-6)
        for n in answer["ends"]:
            g = slopes(lambda x: np.concatenate([s.read(x)[0][n], s.read(x)[1][n]]), x)
            cov = g @ c @ g.T
            sd = np.sqrt(np.maximum(np.diag(cov), 0))
            same(f"cov of {n}", np.array(answer["ends"][n]["cov"]) / np.maximum(np.outer(sd, sd), 1e-30), cov / np.maximum(np.outer(sd, sd), 1e-30), 0.02)
            if n in s.free_dir:
                e = np.sqrt(np.maximum(np.linalg.eigvalsh(cov[3:, 3:]), 0))[::-1]
                same(f"sd_dir of {n}", answer["ends"][n]["sd_dir"], np.degrees(e[:2]), 0.01 * math.degrees(e[0]) + 1e-7)
        for run in problem.get("runs", []):
            got = answer["runs"][run["id"]]

            def gap(x):
                at, dirs, _ = s.read(x)
                end, travel = chain_end(at[run["from"]], dirs[run["from"]], run["bends"], run["last"])
                g = at[run["to"]] - end
                return np.concatenate([g, travel + dirs[run["to"]], [-g.dot(dirs[run["to"]])]])

            v, g = gap(x), slopes(gap, x)
            cov = g @ c @ g.T
            size = math.sqrt(np.trace(cov[:3, :3]))
            same("gap", got["gap"], v[:3], 0.02)
            same("size_sd", got["size_sd"], size, 0.01 * size)
            same("angle_sd", got["angle_sd"], math.degrees(math.sqrt(np.trace(cov[3:6, 3:6]))), 0.01 * got["angle_sd"] + 1e-9)
            same("along", got["along"], v[6], 0.02)
            same("along_sd", got["along_sd"], math.sqrt(cov[6, 6]), 0.01 * got["along_sd"] + 1e-9)
            ids = [i for i, _, _ in s.residuals(x) if i not in skip]
            best = (size, None)
            for r in problem["readings"]:
                w = np.array([100.0 if i == r["id"] or i.startswith(r["id"] + ".") else 1.0 for i in ids])
                cc = np.linalg.inv(j.T @ (j * w[:, None]))
                t = math.sqrt(np.trace((g @ cc @ g.T)[:3, :3]))
                if t < best[0] * (1 - 1e-9):
                    best = (t, r["id"])
            if (got["retake"] or {"reading": None})["reading"] != best[1]:
                again = got["retake"] or {"size_sd": size, "reading": None}
                if abs(again["size_sd"] - best[0]) > 0.01 * best[0]:
                    wrong.append(f"retake {again}, not {best}")
        return x, c, j

    x, c, j = part(answer, ())
    for (id, value, sigma), got in zip(s.residuals(x), answer["residuals"]):
        same(f"residual of {id}", got["residual"], value, 0.01)
        if got["id"] != id:
            wrong.append(f"{got['id']} stands where {id} should")
    r = 1 - np.einsum("ij,jk,ik->i", j, c, j) if len(x) else np.ones(len(answer["residuals"]))
    for (id, value, sigma), got, left in zip(s.residuals(x), answer["residuals"], r):
        if (got["w"] is None) != (left < 0.001) and abs(left - 0.001) > 1e-5:
            wrong.append(f"w of {id}: {got['w']}, checked by {left}")
        elif got["w"] is not None:
            same(f"w of {id}", got["w"], value / sigma / math.sqrt(left), 0.02)
    out = []
    for suspect in answer["suspects"]:
        if len(suspect["candidates"]) == 1:
            out.append(suspect["id"])
    if out:
        part(answer["without"], tuple(out))
    return wrong


def make(seed):
    """A four-port head, a turbo or collector, a shaft and frame: readings of all kinds with noise of their sigma."""
    rng = np.random.default_rng(seed)
    at = {"datum": np.zeros(3)}
    dirs, points, ends, readings = {}, [], [], []
    add = lambda **r: readings.append({"id": f"r{len(readings) + 1:02d}", **r})
    near = lambda v, s: float(v + rng.normal(0, s))
    read = lambda v, s: (v + rng.normal(0, s, 3)).tolist()
    for k in range(3):
        at[f"K{k}"] = np.array([(0, 0, 0), (-320, 4, 6), (-150, -25, 190)][k], float) + rng.uniform(-20, 20, 3) * (k > 0)
        points.append({"id": f"K{k}", "at": at[f"K{k}"].tolist()})
    ports = int(rng.integers(2, 5))
    for k in range(ports):
        n = f"port{k + 1}"
        at[n] = np.array([-105.0 * k, 0, -3.0 * k]) + rng.uniform(-3, 3, 3)
        dirs[n] = unit(np.array([rng.uniform(-0.1, 0.1), 1.0, rng.uniform(-0.5, -0.1)]))
        ends.append({"id": n})
        how = int(rng.integers(0, 4))
        if how == 0:
            add(kind="rod", end=n, points=[read(at[n] + t * dirs[n], 1.0) for t in (25, 140, 230)], sigma=1.0)
            add(kind="offset", of=n, axis="y", value=near(at[n][1], 0.5), sigma=0.5)
        else:
            add(kind="offset", of=n, axis="xyz", value=read(at[n], 0.8), sigma=0.8)
            if how == 1:
                add(kind="dip", end=n, value=near(-math.degrees(math.asin(dirs[n][2])), 0.3), sigma=0.3)
                add(kind="bearing", end=n, **{"from": "y"}, value=near(math.degrees(math.atan2(dirs[n][1], dirs[n][0])) - 90, 0.4), sigma=0.4)
            else:
                u, w = across(dirs[n])
                q = [at[n] + 38 * (math.cos(t) * u + math.sin(t) * w) for t in (0.3, 1.9, 3.6, 5.1)]
                ends[-1]["facing"] = "left"
                kind = "face" if how == 2 else "bolt_circle"
                add(kind=kind, end=n, points=[read(p, 0.5) for p in q], sigma=0.5)
    # A turbo: tapes from what is known, leans or dip and bearing.
    n = "turbine"
    at[n] = np.array([rng.uniform(-260, -120), rng.uniform(260, 380), rng.uniform(-260, 40)])
    dirs[n] = unit(rng.normal(0, 1, 3) + np.array([0.4, -0.6, 0.9]))
    ends.append({"id": n, "side": "left"})
    for k in range(3):
        add(kind="tape", between=[f"K{k}", n], value=near(np.linalg.norm(at[n] - at[f"K{k}"]), 1.5), sigma=1.5)
    if seed % 3 == 0:
        # Two more that check the others.
        for k, place in (("K3", (-200, 560, -30)), ("K4", (-180, 260, 330))):
            at[k] = np.array(place, float)
            points.append({"id": k, "at": at[k].tolist()})
            add(kind="tape", between=[k, n], value=near(np.linalg.norm(at[n] - at[k]), 1.5), sigma=1.5)
    if rng.random() < 0.5:
        add(kind="tape", between=["port2", n], value=near(np.linalg.norm(at[n] - at["port2"]), 1.5), sigma=1.5)
    d = dirs[n]
    if abs(d[2]) > 0.5:
        add(kind="lean", end=n, view="side", value=near(math.degrees(math.atan2(d[0], d[2])), 0.5), sigma=0.5)
        add(kind="lean", end=n, view="front", value=near(math.degrees(math.atan2(d[1], d[2])), 0.5), sigma=0.5)
    else:
        add(kind="dip", end=n, value=near(-math.degrees(math.asin(d[2])), 0.3), sigma=0.3)
        add(kind="bearing", end=n, **{"from": "-x"}, value=float(wrap(near(math.degrees(math.atan2(d[1], d[0])) - 180, 0.5))), sigma=0.5)
    add(kind="angle", ends=["port1", n], value=near(math.degrees(math.acos(np.clip(dirs["port1"].dot(d), -1, 1))), 0.5), sigma=0.5)
    # A shaft by two points, one midway, one on a string line.
    for p, place in (("S1", (-400, 120, 80)), ("S2", (150, 190, -260))):
        at[p] = np.array(place, float) + rng.uniform(-30, 30, 3)
        points.append({"id": p})
        add(kind="offset", of=p, axis="xyz", value=read(at[p] - at["K1"], 2.0), sigma=2.0, **{"from": "K1"})
    at["M"] = (at["S1"] + at["S2"]) / 2
    points.append({"id": "M"})
    add(kind="midpoint", of="M", between=["S1", "S2"], sigma=1.0)
    at["L"] = at["S1"] + 0.3 * (at["S2"] - at["S1"])
    points.append({"id": "L"})
    add(kind="on_line", of="L", through=["S1", "S2"], sigma=1.0)
    add(kind="tape", between=["L", "S1"], value=near(np.linalg.norm(at["L"] - at["S1"]), 1.5), sigma=1.5)
    add(kind="offset", of="L", axis="z", value=near(at["L"][2], 1.5), sigma=1.5)
    # A flange square to a port.
    n = "flange"
    at[n] = at["port1"] + 300 * dirs["port1"]
    dirs[n] = -dirs["port1"]
    ends.append({"id": n, "at": at[n].tolist()})
    add(kind="square_to", end=n, to="port1", sense="opposite", sigma=0.4)
    bends = [
        {"length": float(rng.uniform(40, 140)), "rotation": float(rng.uniform(-180, 180)), "angle": float(rng.uniform(20, 90)), "clr": 60.0}
        for _ in range(int(rng.integers(1, 4)))
    ]
    problem = {
        "format": "survey-problem/1", "name": f"made-{seed}", "points": points, "ends": ends, "readings": readings,
        "runs": [{"id": "run", "from": "port1", "to": "turbine", "bends": bends, "last": 60.0}],
    }
    if seed % 3 == 0:
        # One reading is wrong on purpose.
        bad = next(r for r in readings if r["kind"] == "tape" and "L" not in r["between"])
        bad["value"] += 25.0
    return {"problem": problem, "truth": {"at": {k: v.tolist() for k, v in at.items()}, "dir": {k: v.tolist() for k, v in dirs.items()}}}


if __name__ == "__main__":
    asked = json.load(sys.stdin)
    print(json.dumps(make(asked["make"]) if "make" in asked else judge(asked["problem"], asked["answer"])))
