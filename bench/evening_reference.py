# Evenings of a class in SimPy (Debian: python3-simpy3), independent of the product's own simulator: plain processes that share tools, see
# demonstrations, call for help, tire, and tap Next: on time, late, or not at all. Hidden truths are drawn here, so that what Live and the
# logbook make of the taps can be held against them.
# Reads one JSON object a line from standard input: a class (see bench/evenings.rb), with the spreads of the truth; writes one a line: the
# factors of techniques, the minute at which each person finished, and the taps.
# Run: /usr/bin/python3 bench/evening_reference.py < CLASSES
import json
import math
import random
import sys

import simpy

VISITS = 0.5  # spread of the logarithm of visits


def spread(draw, sigma):
    return math.exp(draw.gauss(0, sigma))


def with_mean_one(draw, sigma):
    return math.exp(draw.gauss(0, sigma) - sigma * sigma / 2)


class Shelf:
    """Tools of one kind: people take several at once, first come, first served."""

    def __init__(self, env, numbers):
        self.env, self.free, self.waiting = env, dict(numbers), []

    def take(self, wanted):
        wanted = {tool: number for tool, number in wanted.items() if tool in self.free and number > 0}
        got = self.env.event()
        self.waiting.append((wanted, got))
        self.serve()
        return got

    def put_back(self, given):
        for tool, number in given.items():
            if tool in self.free:
                self.free[tool] += number
        self.serve()

    def serve(self):
        for wanted, got in list(self.waiting):
            if all(self.free[tool] >= number for tool, number in wanted.items()):
                for tool, number in wanted.items():
                    self.free[tool] -= number
                self.waiting.remove((wanted, got))
                got.succeed()


class Showing:
    def __init__(self, env, told):
        self.minutes, self.quorum, self.alone = told['minutes'], told['quorum'], told['alone']
        self.there, self.over, self.done, self.begun = 0, env.event(), False, False


def show(env, showing, helpers):
    showing.begun = True
    with helpers.request(priority=0) as turn:
        yield turn
        yield env.timeout(showing.minutes)
    showing.done = True
    showing.over.succeed()


def see(env, showing, helpers):
    if showing.begun:
        if not showing.done:
            yield showing.over
            return
        with helpers.request(priority=1) as turn:
            yield turn
            yield env.timeout(showing.alone)
        return
    showing.there += 1
    if showing.there == showing.quorum:
        env.process(show(env, showing, helpers))
    yield showing.over


def maker(env, told, person, pace, room, draw, finished, taps):
    yield env.timeout(person['begins'])
    seen = set()
    for number, task in enumerate(person['tasks']):
        if task['demonstration'] is not None and task['demonstration'] not in seen:
            seen.add(task['demonstration'])
            yield from see(env, room['showings'][task['demonstration']], room['helpers'])
        fetched = {tool: count for tool, count in task['takes'].items() if tool in told['tools'] and count > 0}
        if fetched:
            yield room['shelf'].take(fetched)
        luck = with_mean_one(draw, told['sigmas'][task['sigma']])
        work = task['minutes'] * luck * pace * room['paces'].get(task['technique'], 1.0) * room['evening']
        if env.now > told['tires_after']:
            work *= 1 + told['fatigue']
        work += told['walking'] if fetched else 0
        if draw.random() < task['help'] or luck > told['stuck']:
            before = work * draw.random()
            yield env.timeout(before)
            called = env.now
            with room['helpers'].request(priority=1) as turn:
                yield turn
                yield env.timeout(told['help_minutes'] * with_mean_one(draw, VISITS))
            taps.append((called, 'hand', person['key']))
            taps.append((env.now, 'helped', person['key']))
            yield env.timeout(work - before)
        else:
            yield env.timeout(work)
        room['shelf'].put_back(task['gives'])
        if task['check']:
            with room['helpers'].request(priority=1) as turn:
                yield turn
                yield env.timeout(told['check_minutes'])
        finished.append(env.now)


def tapped(ends, told, draw):
    """When Next was tapped for each step: late, or forgotten until the next one is tapped."""
    at, times, waiting = 0.0, [], 0
    for number, end in enumerate(ends):
        last = number == len(ends) - 1
        if not last and draw.random() < told['forgotten']:
            waiting += 1
            continue
        late = draw.expovariate(1 / told['late_minutes']) if draw.random() < told['late'] else 0.0
        at = max(at + 1 / 60, end + late)
        for _ in range(waiting):
            times.append(at)
            at += 2 / 60
        waiting = 0
        times.append(at)
    return times


def evening(told):
    draw = random.Random(told['seed'])
    paces = told.get('paces') or {key: spread(draw, told['techniques']) for key in told['keys']}
    env = simpy.Environment()
    room = {'shelf': Shelf(env, told['tools']), 'helpers': simpy.PriorityResource(env, told['helpers']),
            'showings': [Showing(env, one) for one in told['demonstrations']], 'paces': paces, 'evening': spread(draw, told['evening'])}
    ends, calls, people = {}, [], {}
    for person in told['people']:
        ends[person['key']] = []
        own = random.Random(draw.getrandbits(60))
        people[person['key']] = with_mean_one(draw, told['between'])
        env.process(maker(env, told, person, people[person['key']], room, own, ends[person['key']], calls))
    env.run()
    while (held_up := [one for one in room['showings'] if one.there and not one.begun]):
        env.process(show(env, max(held_up, key=lambda one: one.there), room['helpers']))
        env.run()
    taps = [(minute, 'next', key) for key, own in ends.items() for minute in tapped(own, told, draw)]
    taps += calls if told['calls'] else []
    must = {person['key']: sum(1 for task in person['tasks'] if not task['optional']) for person in told['people']}
    return {'paces': paces, 'evening': room['evening'], 'people': people, 'finished': {key: own[must[key] - 1] for key, own in ends.items() if len(own) >= must[key]},
            'taps': sorted(taps)}


for line in sys.stdin:
    print(json.dumps(evening(json.loads(line))), flush=True)
