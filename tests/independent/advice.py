"""First causes, chain, priority, decisions, drills and misses once more, from the formulas alone.

usage: advice.py FIXTURE.json RESULT.json – prints how many numbers agree, and each that does not.
"""
import json
import math
import sys
from itertools import combinations

import numpy as np

from agreement import jackknife, student

MISSES = ['fat', 'thin', 'top', 'toe', 'push', 'pull', 'hook', 'slice', 'high weak', 'none']
MAJORITY, ABLE = 0.75, 3
SHARES = ('priority', 'decision', 'helps', 'harms', 'unsafe')


def likeness(a, b):
    a, b = set(a), set(b)
    if not a | b:
        return 1.0
    if a == b:
        factor = 1.0
    elif not a & b:
        factor = 0.0
    else:
        factor = 2 / 3 if a <= b or b <= a else 1 / 3
    return len(a & b) / len(a | b) * factor


def settled_set(sets):
    n = len(sets)
    if n < ABLE:
        return None
    named = {x: sum(x in s for s in sets) for s in sets for x in s}
    if any(k < MAJORITY * n - 1e-9 and n - k < MAJORITY * n - 1e-9 for k in named.values()):
        return None
    return {x for x, k in named.items() if k >= MAJORITY * n - 1e-9}


def settled_one(answers):
    for a in set(answers):
        if len(answers) >= ABLE and answers.count(a) >= MAJORITY * len(answers) - 1e-9:
            return a
    return None


def alpha(units):
    """Of units in clusters: cluster -> list of the values given to each unit; 1 − likeness as difference."""
    pairable = {g: [u for u in us if len(u) >= 2] for g, us in units.items()}
    pairable = {g: us for g, us in pairable.items() if us}

    def value(groups):
        us = [u for us in groups.values() for u in us]
        everything = [v for u in us for v in u]
        observed = sum(2 * sum(1 - likeness(a, b) for a, b in combinations(u, 2)) / (len(u) - 1) for u in us)
        expected = 2 * sum(1 - likeness(a, b) for a, b in combinations(everything, 2))
        return 1 - (len(everything) - 1) * observed / expected if expected > 1e-12 else float('nan')

    if not pairable:
        return None
    everything = [frozenset(v) for us in pairable.values() for u in us for v in u]
    if len(set(everything)) < 2:
        return None
    whole = value(pairable)
    if len(pairable) < 2:
        return (whole, None)
    left = [value({h: us for h, us in pairable.items() if h != g}) for g in pairable]
    perfect = all(len({frozenset(v) for v in u}) == 1 for us in pairable.values() for u in us)
    if perfect or any(map(math.isnan, left)):
        return (whole, None)
    sizes = np.array([float(len(us)) for us in pairable.values()])
    return (whole, jackknife(whole, left, None, sizes))


def mean(by_golfer, most):
    clusters = list(by_golfer.values())
    n = sum(map(len, clusters))
    if n == 0:
        return None
    value = sum(map(sum, clusters)) / n
    if value < 1e-12 or value > most - 1e-12 or len(clusters) < 2:
        return (value, None)
    left = [(sum(map(sum, clusters)) - sum(c)) / (n - len(c)) for c in clusters]
    return (value, jackknife(value, left, None, np.array([float(len(c)) for c in clusters]), 0.0, most))


def share(by_golfer):
    clusters = list(by_golfer.values())
    k, n = sum(map(sum, clusters)), sum(map(len, clusters))
    if n == 0:
        return None
    g, p = len(clusters), k / n
    if g < 2:
        return (p, None)
    deff = n / g
    if 0 < k < n:
        deff = max(1.0, sum((sum(c) - p * len(c)) ** 2 for c in clusters) * g / (g - 1) / (n * p * (1 - p)))
    z, m = student(g - 1), n / deff
    middle, half = p + z * z / (2 * m), z * math.sqrt(p * (1 - p) / m + z * z / (4 * m * m))
    low, high = (middle - half) / (1 + z * z / m), (middle + half) / (1 + z * z / m)
    return (p, (math.sqrt(deff * p * (1 - p) / n), 0.0 if k == 0 else low, 1.0 if k == n else high))


def priority(sheet):
    now = [f for f, c in sheet['present'].items() if c == 'now']
    for cause in sheet['causes']:
        if cause.startswith('outside-') or cause in now:
            return cause
    return now[0] if len(now) == 1 else ''


def brier(misses, flights):
    seen = dict.fromkeys(MISSES, 0.0)
    for ball in flights:
        for miss in ball or ['none']:
            seen[miss] += 1 / (len(flights) * max(1, len(ball)))
    stated = dict.fromkeys(MISSES, 0.0) | {m: p / 100 for m, p in misses.items()}
    stated['none'] = 1 - sum(p / 100 for p in misses.values())
    return sum((stated[m] - seen[m]) ** 2 for m in MISSES)


RUNGS = ['rehearsal', 'short-iron', 'longer-clubs', 'full-speed']


def judged(row):
    """What a panel says a drill would do on one rung, and whether it may be held against anybody."""
    scores, harm = [s for s, _ in row['scores']], [h for _, h in row['scores']]
    if row['refused'] or harm.count('unsafe') >= 2:
        return 'unsafe', True
    if not scores:
        return None, False
    low, high = np.percentile(scores, [30, 70], method='linear')
    index = (high - low) / (2.35 + 1.5 * abs(5 - (low + high) / 2))
    median = np.median(scores)
    verdict = 'helps' if median >= 7 else 'harms' if median <= 3 else 'uncertain'
    return (verdict if index <= 1 else 'uncertain'), len(scores) >= 5


def would(case, drill, stop):
    rows = {row['rung']: judged(row) for row in case['scores'] if row['drill'] == drill}
    for rung in RUNGS[:RUNGS.index(stop) + 1]:
        if rows[rung][0] == 'unsafe':
            return 'unsafe'
    return rows[stop][0] if rows[stop][1] else None


def links(sheet):
    return {f'{a}>{b}' for a, b in sheet['chain']}


def grouped(cases, of):
    out = {}
    for case in cases:
        out.setdefault(case['golfer'], []).append([of(s) for s in case['readers'].values()])
    return out


def main(fixture, result):
    cases, theirs = fixture['cases'], result
    same, wrong = 0, []

    def number(where, mine, other):
        nonlocal same
        if (mine is None) != (other is None) or (mine is not None and abs(mine - other) > 1e-9 * max(1.0, abs(mine))):
            wrong.append(f'{where}: {mine!r} here, {other!r} there')
        else:
            same += 1

    def figure(where, mine, other):
        number(where, None if mine is None else mine[0], other.get('estimate'))
        if mine is not None and mine[1] is not None:
            for name, v in zip(('se', 'low', 'high'), mine[1]):
                number(f'{where} {name}', v, other.get(name))

    keys = []
    for case in cases:
        panel = list(case['panel'].values())
        key = {
            'causes': settled_set([set(s['causes']) for s in panel]),
            'chain': settled_set([links(s) for s in panel]),
            'priority': settled_one([priority(s) for s in panel]),
            'decision': {},
        }
        for fault in {f for s in panel for f in s['present']}:
            one = settled_one([s['present'][fault] for s in panel if fault in s['present']])
            if one is not None and case['labels'].get(fault) == 'present':
                key['decision'][fault] = one
        keys.append(key)
    for what in ('causes', 'chain', 'priority'):
        number(f'settled {what}', sum(k[what] is not None for k in keys), theirs['settled'][what])
    number('settled decision', sum(len(k['decision']) for k in keys), theirs['settled']['decision'])

    number('settled drill', sum(judged(row)[1] for case in cases for row in case['scores']), theirs['settled']['drill'])

    for what, of in (('priority', priority), ('drill', lambda s: (s['drill'] or [''])[0])):
        nominal = alpha(grouped(cases, lambda s: {of(s)}))
        number(f'among {what}', nominal and nominal[0], theirs['among'][what].get('estimate'))
    figure('among causes', alpha(grouped(cases, lambda s: set(s['causes']))), theirs['among']['causes'])
    figure('among chain', alpha(grouped(cases, links)), theirs['among']['chain'])
    overlap = {}
    for case in cases:
        for a, b in combinations([set(s['causes']) for s in case['readers'].values()], 2):
            overlap.setdefault(case['golfer'], []).append(len(a & b) / len(a | b) if a | b else 1.0)
    figure('among overlap', mean(overlap, 1.0), theirs['among']['overlap'])

    for row in theirs['beside']:
        reader, got = row['rater'], {w: {} for w in ('causes', 'chain', 'miss', *SHARES)}
        for case, key in zip(cases, keys):
            sheet = case['readers'].get(reader)
            if sheet is None:
                continue
            add = lambda what, v: got[what].setdefault(case['golfer'], []).append(v)
            if case['flights']:
                add('miss', brier(sheet['misses'], case['flights']))
            if key['causes'] is not None:
                add('causes', likeness(key['causes'], sheet['causes']))
            if key['chain'] is not None:
                add('chain', likeness(key['chain'], links(sheet)))
            if key['priority'] is not None:
                add('priority', priority(sheet) == key['priority'])
            for fault, decision in key['decision'].items():
                if fault in sheet['present']:
                    add('decision', sheet['present'][fault] == decision)
            verdict = would(case, *sheet['drill']) if sheet['drill'] else None
            for what in ('helps', 'harms', 'unsafe') if verdict else ():
                add(what, verdict == what)
        for what in ('causes', 'chain'):
            figure(f'{reader} {what}', mean(got[what], 1.0), row[what])
        figure(f'{reader} miss', mean(got['miss'], 2.0), row['miss'])
        for what in SHARES:
            figure(f'{reader} {what}', share(got[what]), row[what])
    print(json.dumps({'same': same, 'wrong': wrong}))


if __name__ == '__main__':
    main(json.load(open(sys.argv[1])), json.load(open(sys.argv[2])))
