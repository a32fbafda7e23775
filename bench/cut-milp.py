#!/usr/bin/python3
"""Answers a cut problem (docs/cut-problem.md) as a mixed-integer programme, by HiGHS: another way than ours, to measure
ours against. Wants Debian's python3-scipy, which nothing else here needs.

    /usr/bin/python3 bench/cut-milp.py PROBLEM.json SECONDS > ANSWER.json

Joints are continuous; one binary for each piece, copy of a donor and place in it. A copy is named after the first bend
cut from it, so that no two names mean the same. Narrower than the format here and there (no straight piece runs from a
leg into the arc, no copy is opened for its legs alone), so its answers are valid but its bound is only nearly one.
Runs have at least one bend each. Cuts and cost are left for the judge to count.
"""
import json
import math
import sys

import numpy as np
from scipy.optimize import Bounds, LinearConstraint, milp
from scipy.sparse import csr_matrix


class Programme:
    """Columns and rows, written down one after another."""

    def __init__(self):
        self.cost, self.low, self.high, self.whole = [], [], [], []
        self.rows, self.least, self.most = [], [], []

    def real(self, high, cost=0.0):
        return self._column(high, cost, 0)

    def binary(self, cost=0.0):
        return self._column(1.0, cost, 1)

    def _column(self, high, cost, whole):
        self.cost.append(cost)
        self.low.append(0.0)
        self.high.append(high)
        self.whole.append(whole)
        return len(self.cost) - 1

    def row(self, terms, least=-np.inf, most=np.inf):
        self.rows.append(terms)
        self.least.append(least)
        self.most.append(most)

    def held_rest(self, used, room):
        """Keeps what is used within a room; the binary says that the saw can hold what is left of it."""
        rest = self.binary()
        self.row(used + [(rest, min(hold + kerf, room))], most=room)
        if room < hold + kerf:
            self.row([(rest, 1)], 0, 0)
        return rest

    def solve(self, seconds):
        data = [(i, column, factor) for i, terms in enumerate(self.rows) for column, factor in terms]
        rows, columns, factors = zip(*data)
        matrix = csr_matrix((factors, (rows, columns)), (len(self.rows), len(self.cost)))
        return milp(
            self.cost,
            constraints=LinearConstraint(matrix, self.least, self.most),
            bounds=Bounds(self.low, self.high),
            integrality=self.whole,
            options={"time_limit": seconds, "mip_rel_gap": 1e-4},
        )


problem, seconds = json.load(open(sys.argv[1])), float(sys.argv[2])
rules = problem["rules"]
kerf, trim, hold, least = rules["kerf"], rules["end_trim"], rules["hold"], rules["least_piece"]
extra = rules["long_by"]["joint"]
p = Programme()
big = 5000.0


class Bend:
    """One bend of a run with the straight on each side; `before` and `after` are what its piece takes of them."""


class Middle:
    """A straight piece with no bend."""


bends, middles, straights = [], [], []
for run in problem["runs"]:
    mine, at, lead, lead_from = [], 0.0, 0.0, 0.0
    for element in run["elements"]:
        if "straight" in element:
            lead += element["straight"]
        else:
            bend = Bend()
            bend.run, bend.clr, bend.angle = run["id"], element["clr"], element["bend"]
            bend.arc = math.radians(bend.angle) * bend.clr
            bend.lead, bend.lead_from, bend.at = lead, lead_from, lead_from + lead
            lead, lead_from = 0.0, bend.at + bend.arc
            mine.append(bend)
    ends = {
        side: run.get("ends", {}).get(side, {}).get("long_by", rules["long_by"]["end"]) for side in ("first", "last")
    }
    spans = [(b.lead_from, b.lead) for b in mine] + [(lead_from, lead)]
    forced = list(run.get("joints", []))
    hits = {j: [] for j in forced}
    for i, (start, mm) in enumerate(spans):
        is_first, is_last = i == 0, i == len(spans) - 1
        left = None if is_first else p.real(mm)  # what the bend before it takes
        right = None if is_last else p.real(mm)
        count = 0 if mm < least else 1 if mm < 400 else 2
        own = []
        for k in range(count):
            m = Middle()
            m.run, m.used, m.mm = run["id"], p.binary(rules["joint_cost"]), p.real(mm)
            m.extra = [extra, extra]
            if is_first and k == 0:
                m.extra[0] = ends["first"]
            if is_last and k == 0:
                m.extra[1] = ends["last"]
            p.row([(m.mm, 1), (m.used, -mm)], most=0)
            p.row([(m.mm, 1), (m.used, -max(least - sum(m.extra), rules["joint_spacing"], 0.1))], least=0)
            if own:
                p.row([(own[-1].used, 1), (m.used, -1)], least=0)
            own.append(m)
        middles += own
        # At the end of a run the first of them stands at that end, so there they count from the right.
        in_order = own[::-1] if is_last else own
        p.row([(v, 1) for v in (left, right) if v is not None] + [(m.mm, 1) for m in own], mm, mm)
        joints = []  # (station as terms, constant, the binary that says it is there, or None)
        if not is_first:
            joints.append(([(left, 1)], start, own[0].used if is_last and own else None))
        if is_last:
            joints += [
                ([(left, 1)] + [(m.mm, 1) for m in in_order[: k + 1]], start, in_order[k + 1].used)
                for k in range(len(in_order) - 1)
            ]
            if not own:
                joints = []
        else:
            so_far = [] if is_first else [(left, 1)]
            for m in in_order:
                so_far = so_far + [(m.mm, 1)]
                joints.append((so_far, start, m.used))
        for terms, constant, there in joints:
            off = [] if there is None else [(there, big)]
            slack = 0.0 if there is None else big
            for low, high in run.get("no_joint", []):
                if high <= constant or low >= constant + mm:
                    continue
                beyond = p.binary()
                p.row(terms + [(beyond, -big)] + off, most=low - constant + slack)
                p.row(terms + [(beyond, -big)] + [(c, -f) for c, f in off], least=high - constant - big - slack)
            for j in forced:
                if start - 1e-9 <= j <= start + mm + 1e-9:
                    here = p.binary()
                    p.row(terms + [(here, big)], most=j - constant + big)
                    p.row(terms + [(here, -big)], least=j - constant - big)
                    if there is not None:
                        p.row([(here, 1), (there, -1)], most=0)
                    hits[j].append(here)
        if not is_first:
            mine[i - 1].after, mine[i - 1].trail = left, mm
            mine[i - 1].at_end = (own[0].used if own else None, ends["last"]) if is_last else None
        if not is_last:
            mine[i].before = right
            mine[i].at_start = (own[0].used if own else None, ends["first"]) if is_first else None
        straights.append((run["id"], start, mm, left, right, in_order))
    for here in hits.values():
        p.row([(h, 1) for h in here], least=1)
    bends += mine


def side(bend, which):
    """(length taken, straight there, most extra, the binary that puts a joint there or None, extra at the run's end)."""
    taken, mm, end = (
        (bend.before, bend.lead, bend.at_start) if which == "from" else (bend.after, bend.trail, bend.at_end)
    )
    if end is None:
        return taken, mm, extra, None, extra
    return taken, mm, (end[1] if end[0] is None else max(extra, end[1])), end[0], end[1]


class Copy:
    """One copy of a bend, elbow or ring, named after the first bend cut from it."""


copies, choices = [], {id(b): [] for b in bends}
for item in problem["stock"]:
    if item["kind"] not in ("bend", "elbow", "donut"):
        continue
    is_ring = item["kind"] == "donut"
    angle = 360.0 if is_ring else item["angle"]
    legs = item.get("legs", [0.0, 0.0])
    fits = [b for b in bends if b.clr == item["clr"] and b.angle <= angle + 1e-9]
    made = []
    for n, first in enumerate(fits):
        c = Copy()
        c.item, c.legs, c.arc, c.is_ring = item, legs, math.radians(angle) * item["clr"], is_ring
        c.open = p.binary(item.get("cost", 0.0) + (rules["cut_cost"] if is_ring else 0.0))
        c.placed, c.remnants, c.full = [], [[], []], [None, None]
        used, arcs, at_tangent, rests = [[], []], [(c.open, -kerf)], [[], []], []
        for b in fits[n:]:
            places = ["M"] if is_ring else ["1+", "1-", "2+", "2-", "M"]
            if not is_ring and abs(b.angle - angle) < 1e-9:
                places = ["W+", "W-"]
            of_first = []
            for place in places:
                # A whole bend is not cut in its arc.
                x = p.binary(0.0 if place[0] == "W" else rules["cut_cost"])
                of_first.append((x, 1))
                choices[id(b)].append((x, 1))
                c.placed.append((b, place, x))
                p.row([(x, 1), (c.open, -1)], most=0)
                ends_at_arc = {"1+": ["to"], "1-": ["from"], "2+": ["from"], "2-": ["to"], "M": ["from", "to"]}.get(place, [])
                on_leg = {"1+": [("from", 0)], "1-": [("to", 0)], "2+": [("to", 1)], "2-": [("from", 1)],
                          "W+": [("from", 0), ("to", 1)], "W-": [("to", 0), ("from", 1)]}.get(place, [])  # fmt: skip
                length = b.arc + (0.0 if place[0] == "W" else kerf)
                for which in ends_at_arc:
                    taken, mm, most_extra, _, _ = side(b, which)
                    p.row([(taken, 1), (x, mm)], most=mm)
                    length += most_extra
                arcs.append((x, length))
                for which, leg in on_leg:
                    taken, mm, _, joint, end_extra = side(b, which)
                    at_tangent[leg].append((x, 1))
                    part = p.real(min(mm, legs[leg]))
                    p.row([(part, 1), (x, -min(mm, legs[leg]))], most=0)
                    p.row([(part, 1), (taken, -1), (x, -mm)], least=-mm)  # at least what is taken
                    used[leg].append((part, 1))
                    if joint is None:
                        used[leg].append((x, end_extra))
                    else:
                        used[leg].append((x, extra))
                        if end_extra > extra:
                            more = p.real(end_extra - extra)
                            p.row([(more, 1), (x, extra - end_extra), (joint, end_extra - extra)], least=0)
                            used[leg].append((more, 1))
                if hold > 0:
                    long_enough = p.binary()
                    rests.append((long_enough, 1))
                    p.row([(long_enough, 1), (x, -1)], most=0)
                    p.row([(b.before, 1), (b.after, 1), (long_enough, -hold)], least=-b.arc)
            if b is first:
                p.row(of_first + [(c.open, -1)], 0, 0)
        if is_ring:
            p.row([(x, 1) for b, place, x in c.placed] + [(c.open, -1)], least=0)
        else:
            tangents = at_tangent[0] + at_tangent[1]
            for leg in (0, 1):
                p.row(at_tangent[leg] + [(c.open, -1)], most=0)
                full = c.full[leg] = p.binary(-rules["cut_cost"])
                # One cut where a piece at the tangent ends in the leg, none when it takes all of it.
                for x, _ in at_tangent[leg]:
                    p.cost[x] += rules["cut_cost"]
                p.row([(full, 1)] + [(x, -1) for x, _ in at_tangent[leg]], most=0)
                for m in middles:
                    if legs[leg] < least:
                        continue
                    v, part = p.binary(rules["cut_cost"]), p.real(legs[leg])
                    m.places = getattr(m, "places", []) + [(v, part)]
                    p.row([(part, 1), (v, -legs[leg])], most=0)
                    p.row([(v, 1), (c.open, -1)], most=0)
                    used[leg] += [(part, 1), (v, sum(m.extra) + kerf)]
                    c.remnants[leg].append((m, v))
                p.row(used[leg] + [(full, -legs[leg])], least=0)
                rests.append((p.held_rest(used[leg], legs[leg]), 1))
            for x in (x for b, place, x in c.placed if place == "M"):
                p.row([(x, -1)] + tangents, least=0)
        rests.append((p.held_rest(arcs, c.arc - (kerf if is_ring else 0.0)), 1))
        p.row(rests + [(c.open, -1)], least=0)
        made.append(c)
    if item.get("count") is not None and made:
        p.row([(c.open, 1) for c in made], most=item["count"])
    copies += made
for terms in choices.values():
    p.row(terms, 1, 1)
for b in bends:
    # As long as a piece must be, counted with the least extra that its ends can have.
    both = sum(min(extra, side(b, which)[4]) for which in ("from", "to"))
    p.row([(b.before, 1), (b.after, 1)], least=max(least - both, rules["joint_spacing"]) - b.arc)

bars = []
for item in problem["stock"]:
    if item["kind"] not in ("stick", "offcut"):
        continue
    cut_off = trim if item["kind"] == "stick" else 0.0
    room = item["length"] - 2 * cut_off
    count = item["count"] if item.get("count") is not None else max(1, len(middles))
    before = None
    for n in range(min(count, 3 if item.get("count") is None else count)):
        c = Copy()
        c.item, c.start = item, cut_off
        c.open = p.binary(item.get("cost", 0.0) + (rules["cut_cost"] if cut_off > 0 else 0.0))
        if before is not None:
            p.row([(before, 1), (c.open, -1)], least=0)
        before = c.open
        filled, c.held = [(c.open, -kerf)], []
        for m in middles:
            v, part = p.binary(rules["cut_cost"]), p.real(room)
            m.places = getattr(m, "places", []) + [(v, part)]
            p.row([(part, 1), (v, -room)], most=0)
            p.row([(v, 1), (c.open, -1)], most=0)
            filled += [(part, 1), (v, sum(m.extra) + kerf)]
            c.held.append((m, v))
        longs = [(p.held_rest(filled, room), 1)]
        for m, v in c.held:
            long_enough = p.binary()
            longs.append((long_enough, 1))
            p.row([(long_enough, 1), (v, -1)], most=0)
            p.row([(m.mm, 1), (long_enough, -hold)], least=0)
        p.row(longs + [(c.open, -1)], least=0)
        bars.append(c)
for m in middles:
    p.row([(v, 1) for v, part in m.places] + [(m.used, -1)], 0, 0)
    p.row([(part, 1) for v, part in m.places] + [(m.mm, -1)], 0, 0)

found = p.solve(seconds)
if found.x is None:
    print(json.dumps({"format": "cut-answer/1", "case": problem["name"], "status": "not-found"}))
    sys.exit()
value = lambda column: float(found.x[column])
chosen = lambda column: found.x[column] > 0.5

# Where every joint is, then where every piece lies in its donor.
stations, pieces, opened, lengths = {}, [], {}, {}
for name, start, mm, left, right, in_order in straights:
    at = start + (0.0 if left is None else value(left))
    for m in in_order:
        m.at = [at, at + value(m.mm)]
        at = m.at[1]
for name, start, mm, left, right, in_order in straights:
    lengths[name] = max(lengths.get(name, 0.0), start + mm)
for b in bends:
    b.piece = [b.at - value(b.before), b.at + b.arc + value(b.after)]
    b.extra = [
        ends_extra if b.piece[k] < 1e-6 or b.piece[k] > lengths[b.run] - 1e-6 else extra
        for k, ends_extra in enumerate((side(b, "from")[4], side(b, "to")[4]))
    ]


def put(part, run, at, copy, is_reversed, span):
    pieces.append({
        "run": run, "from": span[0], "to": span[1],
        "donor": {"item": copy.item["id"], "copy": copy.number, "at": [at, at + part], "reversed": is_reversed},
    })  # fmt: skip


def number(copy):
    copy.number = opened[copy.item["id"]] = opened.get(copy.item["id"], 0) + 1


for c in copies:
    if not chosen(c.open):
        continue
    number(c)
    lay = [(b, place) for b, place, x in c.placed if chosen(x)]
    from_left, from_right = None, None
    # From the piece at the first tangent on; without one, back from the piece at the second.
    is_forward = c.is_ring or any(place[0] in "1W" for b, place in lay)
    order = {"W": 0, "1": 0, "M": 1, "2": 2} if is_forward else {"2": 0, "M": 1}
    at = 0.0
    for b, place in sorted(lay, key=lambda one: order[one[1][0]]):
        whole = b.piece[1] - b.piece[0] + sum(b.extra)
        is_reversed = place.endswith("-")
        on_left = b.extra[1] + b.piece[1] - b.at - b.arc if is_reversed else b.extra[0] + b.at - b.piece[0]
        if place[0] in "1W":
            begin = c.legs[0] - on_left
            from_left = begin
        elif place[0] == "M":
            begin = at if is_forward else at - whole
        else:
            begin = c.legs[0] + c.arc - b.arc - on_left
        put(whole, b.run, begin, c, is_reversed, b.piece)
        at = begin + whole + kerf if is_forward else begin - kerf
        if place[0] in "2W":
            from_right = begin + whole
    if c.is_ring:
        continue
    whole_length = c.legs[0] + c.arc + c.legs[1]
    # Straight pieces from the legs: next to the piece at the tangent, or from the free end inwards.
    for leg in (0, 1):
        against, away = (from_left, -1) if leg == 0 else (from_right, 1)
        if against is None:
            against, away = (0.0, 1) if leg == 0 else (whole_length, -1)
        else:
            against += away * kerf
        for m, v in c.remnants[leg]:
            if chosen(v):
                part = m.at[1] - m.at[0] + sum(m.extra)
                put(part, m.run, against if away > 0 else against - part, c, False, m.at)
                against += away * (part + kerf)
for c in bars:
    if not chosen(c.open):
        continue
    number(c)
    at = c.start
    for m, v in c.held:
        if chosen(v):
            part = m.at[1] - m.at[0] + sum(m.extra)
            put(part, m.run, at, c, False, m.at)
            at += part + kerf
joints = len(pieces) - len(problem["runs"])
print(json.dumps({
    "format": "cut-answer/1", "case": problem["name"], "status": "solved", "pieces": pieces,
    "totals": {"joints": joints, "cuts": None, "opened": opened, "cost": None},
    "lower_bound": None,
}))  # fmt: skip
