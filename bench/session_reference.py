# The session model of bench/session.rb in SimPy (Debian: python3-simpy3): twelve people, 25 steps each, six kinds of tools,
# one instructor with random calls for help, lognormal times. Prints runs a second, mean and 95 % quantile of the last to finish.
# With HELD as well, one of five mats is kept from the fourth step to the tenth, and what dries twenty minutes after the twelfth is needed by the fifteenth.
# With FROM as well, it starts in the middle: each person has done five to eight steps and been at the next for 0.8 of its mean time, which is
# drawn from the same law on condition that it is not over yet (by rejection).
# Run: /usr/bin/python3 bench/session_reference.py RUNS SEED [HELD | FROM]
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


def done(person):
    return 5 + person % 4 if FROM else 0


# What is left of the step somebody is at, and how lucky they are with it.
def under_way(mean, gone):
    while True:
        pace, luck = lognormal(BETWEEN), lognormal(WITHIN)
        if mean * luck * pace > gone:
            return mean * luck * pace - gone, luck, pace


def maker(env, person, tools, instructor, mats):
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
            yield tool
            luck = lognormal(WITHIN)
            work = minutes(person, step) * luck * pace
            if FROM and step == done(person):
                work, luck, pace = under_way(minutes(person, step), 0.8 * minutes(person, step))
            if random.random() < HELP or luck > STUCK:
                before = work * random.random()
                yield env.timeout(before)
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


def run():
    env = simpy.Environment()
    tools = [simpy.Resource(env, number) for number in TOOLS]
    instructor = simpy.Resource(env, 1)
    mats = simpy.Resource(env, MATS)
    people = [env.process(maker(env, person, tools, instructor, mats)) for person in range(PEOPLE)]
    env.run(simpy.AllOf(env, people))
    return env.now


HELD, FROM = 'HELD' in sys.argv, 'FROM' in sys.argv
runs, seed = int(sys.argv[1]), int(sys.argv[2])
random.seed(seed)
started = time.perf_counter()
ends = sorted(run() for _ in range(runs))
elapsed = time.perf_counter() - started
mean = sum(ends) / runs
deviation = math.sqrt(sum((end - mean) ** 2 for end in ends) / (runs - 1))
print(f"{runs / elapsed:.1f} {mean:.4f} {deviation:.4f} {ends[int(0.95 * runs)]:.4f}")
