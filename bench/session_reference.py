# The session model of bench/session.rb in SimPy (Debian: python3-simpy3): twelve people, 25 steps each, six kinds of tools,
# one instructor with random calls for help, lognormal times. Prints runs a second, mean and 95 % quantile of the last to finish.
# With HELD as well, one of five mats is kept from the fourth step to the tenth, and what dries twenty minutes after the twelfth is needed by the fifteenth.
# With FROM as well, it starts in the middle: each person has done five to eight steps and been at the next for 0.8 of its mean time, which is
# drawn from the same law on condition that it is not over yet (by rejection).
# With LIFE as well, an assistant helps, who takes 1.3 times as long, and the instructor takes half a minute to put a piece of their own down;
# a neighbour who waits or is done answers a quarter of the calls; a tool takes 0.3 minutes to fetch; after 40 minutes all work 15 % slower.
# Run: /usr/bin/python3 bench/session_reference.py RUNS SEED [HELD | FROM | LIFE]
import math
import random
import sys
import time

import simpy

PEOPLE, STEPS, TOOLS, HELP, VISIT = 12, 25, [4, 4, 3, 6, 5, 4], 0.2, 2.0
WITHIN, BETWEEN, VISITS, STUCK = 0.4, 0.2, 0.5, 1.9


def lognormal(sigma):
    return math.exp(random.gauss(0, sigma) - sigma * sigma / 2)


def minutes(person, step):
    return 1.0 + ((person * 7 + step * 3) % 11) / 5.0


# At the step that takes the mat no other tool is needed.
MATS, TAKES, FREES, DRIES, NEEDS_DRY, DRYING = 5, 3, 9, 11, 14, 20.0


ASSISTANT, PUT_DOWN, NEIGHBOURS, WALK, TIRED, TIRES_AFTER = 1.3, 0.5, 0.25, 0.3, 1.15, 40.0


# A visit: the assistant where one is free, else the instructor, who comes at once only from another visit.
def visit(env, room):
    if room.neighbours_idle() and random.random() < NEIGHBOURS:
        yield env.timeout(VISIT * lognormal(VISITS))
        return
    later = PUT_DOWN if room.instructor_free and not room.assistant_free else 0.0
    with room.helpers.request() as turn:
        yield turn
        if room.assistant_free:
            room.assistant_free = False
            yield env.timeout(VISIT * lognormal(VISITS) * ASSISTANT)
            room.assistant_free = True
        else:
            room.instructor_free = False
            yield env.timeout(VISIT * lognormal(VISITS) + later)
            room.instructor_free = True


class Room:
    def __init__(self, env):
        self.helpers = simpy.Resource(env, 2)
        self.assistant_free = self.instructor_free = True
        self.idle = 0

    def neighbours_idle(self):
        return self.idle > 0


def done(person):
    return 5 + person % 4 if FROM else 0


# What is left of the step somebody is at, and how lucky they are with it.
def under_way(mean, gone):
    while True:
        pace, luck = lognormal(BETWEEN), lognormal(WITHIN)
        if mean * luck * pace > gone:
            return mean * luck * pace - gone, luck, pace


def maker(env, person, tools, instructor, mats, room):
    pace = lognormal(BETWEEN)
    dry = 0.0
    for step in range(done(person), STEPS):
        if HELD and step == NEEDS_DRY and env.now < dry:
            yield env.timeout(dry - env.now)
        if HELD and step == TAKES:
            mat = mats.request()
            yield mat
        wanted = simpy.Resource(env, 1) if HELD and step == TAKES else tools[(step + person) % len(TOOLS)]
        with wanted.request() as tool:
            room.idle += 1
            yield tool
            room.idle -= 1
            luck = lognormal(WITHIN)
            work = minutes(person, step) * luck * pace
            if FROM and step == done(person):
                work, luck, pace = under_way(minutes(person, step), 0.8 * minutes(person, step))
            if LIFE:
                work = work * (TIRED if env.now > TIRES_AFTER else 1.0) + WALK
            if random.random() < HELP or luck > STUCK:
                before = work * random.random()
                yield env.timeout(before)
                if LIFE:
                    yield from visit(env, room)
                else:
                    with instructor.request() as help:
                        yield help
                        yield env.timeout(VISIT * lognormal(VISITS))
                yield env.timeout(work - before)
            else:
                yield env.timeout(work)
        if HELD and step == FREES:
            mats.release(mat)
        if HELD and step == DRIES:
            dry = env.now + DRYING
    room.idle += 1


def run():
    env = simpy.Environment()
    tools = [simpy.Resource(env, number) for number in TOOLS]
    instructor = simpy.Resource(env, 1)
    mats = simpy.Resource(env, MATS)
    room = Room(env)
    people = [env.process(maker(env, person, tools, instructor, mats, room)) for person in range(PEOPLE)]
    env.run(simpy.AllOf(env, people))
    return env.now


HELD, FROM, LIFE = (word in sys.argv for word in ('HELD', 'FROM', 'LIFE'))
runs, seed = int(sys.argv[1]), int(sys.argv[2])
random.seed(seed)
started = time.perf_counter()
ends = sorted(run() for _ in range(runs))
elapsed = time.perf_counter() - started
mean = sum(ends) / runs
deviation = math.sqrt(sum((end - mean) ** 2 for end in ends) / (runs - 1))
print(f"{runs / elapsed:.1f} {mean:.4f} {deviation:.4f} {ends[int(0.95 * runs)]:.4f}")
