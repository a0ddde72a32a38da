# The geometry of a line closed round a body, solved anew with SciPy (Debian: python3-scipy): the radius by a bracketing root finder, the bends at
# each radius by the same finder, and who stands on the body by lifting one at a time, the highest first.
# Run: /usr/bin/python3 bench/closed_line_reference.py > spec/fixtures/closed_lines.json
import json
import math
import random
import sys

from scipy.optimize import brentq

ROUND, FLAT, POINTED = 'round', 'flat', 'pointed'


def rolled(b, h, lean):
    return math.hypot(b * math.cos(lean), h * math.sin(lean)) - b * math.cos(lean)


def opening(one, other, angle):
    if POINTED in (one[2], other[2]) or angle <= 0:
        return 0.0
    if one[2] == other[2] == ROUND:
        return rolled(one[0], one[1], angle / 2) + rolled(other[0], other[1], angle / 2)
    if one[2] == other[2]:
        return 2 * min(one[1], other[1]) * math.sin(angle / 2)
    ball, face = (one, other) if one[2] == ROUND else (other, one)
    lean = min(angle, math.atan(face[1] * ball[0] / ball[1] ** 2))
    return rolled(ball[0], ball[1], lean) + face[1] * math.sin(angle - lean)


def angle_to(rest, distance):
    return math.acos(max(-1.0, min(1.0, rest / distance)))


class Line:
    def __init__(self, row, skin):
        first = max(range(len(row)), key=lambda i: row[i][1] if row[i][2] != 'bare' else -1)
        row = row[first:] + row[:first]
        self.parts, self.bare = [], []
        for along, height, profile in row:
            if profile == 'bare':
                self.bare[-1] += along
            else:
                self.parts.append((along / 2, height, profile))
                self.bare.append(0.0)
        self.skin = skin
        self.n = len(self.parts)

    def leg(self, i, j, radius):
        """Angle from the middle of part i to that of the next standing part j, and what lies between."""
        a, b = self.parts[i], self.parts[j % self.n]
        near, far = math.hypot(radius + a[1], a[0]), math.hypot(radius + b[1], b[0])
        out, home = math.atan2(a[0], radius + a[1]), math.atan2(b[0], radius + b[1])
        inner = list(range(i + 1, j))
        loose = self.bare[i] + sum(self.bare[k % self.n] for k in inner)
        length = loose + sum(2 * self.parts[k % self.n][0] for k in inner)
        rest = radius + self.skin
        if loose > 0:
            down, up = math.sqrt(max(near**2 - rest**2, 0)), math.sqrt(max(far**2 - rest**2, 0))
            if length > down + up:
                span = angle_to(rest, near) + angle_to(rest, far) + (length - down - up) / rest
            else:
                span = math.acos(max(-1, min(1, (near**2 + far**2 - length**2) / (2 * near * far))))
            return out, span, home, near, far, inner, length, True, 0.0

        def reaching(gap):
            reach = length + gap
            return reach, math.acos(max(-1, min(1, (near**2 + far**2 - reach**2) / (2 * near * far))))

        def short(gap):
            reach, span = reaching(gap)
            if not inner:
                return opening(a, b, out + span + home) - gap
            foot = near * far * math.sin(span) / max(reach, 1e-12)
            needed = opening(a, self.parts[inner[0] % self.n], out + angle_to(foot, near))
            return needed + opening(self.parts[inner[-1] % self.n], b, home + angle_to(foot, far)) - gap

        gap = 0.0 if short(0.0) <= 0 else brentq(short, 0.0, 100.0, xtol=1e-12)
        return out, reaching(gap)[1], home, near, far, inner, length, False, gap

    def path_height(self, leg, gone, radius):
        _, span, _, near, far, _, _, loose, _ = leg
        rest = radius + self.skin
        if loose and span > angle_to(rest, near) + angle_to(rest, far):
            down, up = angle_to(rest, near) - gone, angle_to(rest, far) - (span - gone)
            return rest / math.cos(down) if down > 0 else rest / math.cos(up) if up > 0 else rest
        return near * far * math.sin(span) / (near * math.sin(gone) + far * math.sin(span - gone))

    def legs(self, radius):
        standing = list(range(self.n)) if self.from_all else self.first(radius)
        seen = set()
        while tuple(standing) not in seen:
            seen.add(tuple(standing))
            laid = [self.leg(i, (standing + [self.n])[at + 1], radius) for at, i in enumerate(standing)]
            turned, middles = 0.0, []
            for i, leg in zip(standing, laid):
                middles.append(turned)
                gone = self.bare[i]
                for k in leg[5]:
                    middles.append(turned + leg[0] + leg[1] * (gone + self.parts[k][0]) / leg[6])
                    gone += 2 * self.parts[k][0] + self.bare[k]
                turned += leg[0] + leg[1] + leg[2]
            before, standing = standing, self.changed(standing, middles + [turned], radius)
        self.settled = before == standing
        return laid

    def first(self, radius):
        """Who stands, with all laid out by length alone."""
        total, gone, middles = sum(2 * part[0] for part in self.parts) + sum(self.bare), -self.parts[0][0], []
        for part, bare in zip(self.parts, self.bare):
            middles.append((gone + part[0]) / total * 2 * math.pi)
            gone += 2 * part[0] + bare
        standing, before = list(range(self.n)), None
        while standing != before:
            before, standing = standing, self.changed(standing, middles + [2 * math.pi], radius, pressing=False)
        return standing

    def above(self, before, i, after, middles, radius):
        """How far the line from one standing part to another passes above a third."""
        one, other = self.parts[before], self.parts[after % self.n]
        near, far = math.hypot(radius + one[1], one[0]), math.hypot(radius + other[1], other[0])
        out, home = math.atan2(one[0], radius + one[1]), math.atan2(other[0], radius + other[1])
        span = middles[after] - middles[before] - out - home
        if span >= math.pi:
            return -math.inf
        loose = sum(self.bare[k % self.n] for k in range(before, after)) > 0
        leg = (out, span, home, near, far, None, None, loose, None)
        return self.path_height(leg, middles[i] - middles[before] - out, radius) - radius - self.parts[i][1]

    def changed(self, standing, middles, radius, pressing=True):
        """One step: the part that is lifted highest no longer stands, or the one that is pressed most stands again."""
        around = standing + [self.n]
        lifted = [(self.above(around[at - 1], around[at], around[at + 1], middles, radius), around[at]) for at in range(1, len(standing))]
        if len(standing) > 2 and lifted and max(lifted)[0] > 1e-6:
            return [i for i in standing if i != max(lifted)[1]]
        pressed = [(self.above(around[at], i, around[at + 1], middles, radius), i)
                   for at in range(len(standing)) for i in range(around[at] + 1, around[at + 1])]
        if pressing and pressed and min(pressed)[0] < -1e-6:
            return sorted(standing + [min(pressed)[1]])
        return standing

    def solve(self, from_all=False):
        self.from_all = from_all
        total = sum(2 * part[0] for part in self.parts) + sum(self.bare)
        tallest = max(part[1] for part in self.parts)
        turned = lambda radius: sum(leg[0] + leg[1] + leg[2] for leg in self.legs(radius)) - 2 * math.pi
        radius = brentq(turned, max(total / 2 / math.pi - 1.3 * tallest - 1, 2), total / 2 / math.pi + 1, xtol=1e-9)
        return 2 * math.pi * radius, sum(leg[8] for leg in self.legs(radius))


def part(rng):
    along = rng.choice([1.5, 2, 3, 4, 6, 8, 10, 12])
    profile = rng.choice([ROUND, ROUND, FLAT, POINTED])
    height = along / 2 if profile == ROUND else rng.choice([1, 1.5, 2, 3, 4])
    return (along, height, profile)


def case(rng, sparse):
    unit = [part(rng) for _ in range(rng.randint(1, 5))]
    row = [(12, 1.75, POINTED), (4, 0.5, POINTED)]
    while sum(along for along, _, _ in row) < rng.uniform(150, 420):
        row += unit
        if sparse:
            row.append((rng.choice([5, 15, 40, 60]), 0.2, 'bare'))
    if rng.random() < 0.4:
        row.insert(len(row) // 2, (14, 7, ROUND))
    return row


rng = random.Random(7)
cases, unsettled = [], 0
while len(cases) < 200:
    row = case(rng, len(cases) % 3 == 2)
    line = Line(row, 0.2 if any(p == 'bare' for _, _, p in row) else 0.0)
    other, _ = line.solve(from_all=True)
    inside, slack = line.solve()
    if line.settled and abs(inside - other) < 0.01:
        cases.append({'row': row, 'inside': round(inside, 4), 'slack': round(slack, 4)})
    else:
        unsettled += 1
print('[\n' + ',\n'.join(json.dumps(one) for one in cases) + '\n]')
print(f'left out, because more than one way to lie is possible: {unsettled}', file=sys.stderr)
