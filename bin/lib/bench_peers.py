"""Times whole processes turn and turn about: agreement:compute beside its peers, in processor seconds of one core.

    python3 bench_peers.py ROOT FOLDER
"""
import math
import os
import random
import subprocess
import sys

ROUNDS = 11
ONE_CORE = {**os.environ, 'OMP_NUM_THREADS': '1', 'OPENBLAS_NUM_THREADS': '1', 'MKL_NUM_THREADS': '1'}


def made(path, raters, cases, items, golfers=None):
    draw = random.Random(1)
    with open(path, 'w') as out:
        out.write('case,item,rater,value' + (',cluster' if golfers else '') + '\n')
        for c in range(cases):
            golfer = f',g{c % golfers}' if golfers else ''
            for i in range(items):
                there = draw.random() < 0.3
                for r in range(raters):
                    right = draw.random() < 0.85
                    out.write(f'c{c},i{i},r{r},{"present" if right == there else "absent"}{golfer}\n')


def ours(root, path, resamples):
    return [f'{root}/bin/vc', 'agreement:compute', path, '--pairs=none', f'--bootstrap={resamples}', '--format=json']


def run(command):
    """Processor seconds and most memory in MB of a process."""
    child = subprocess.Popen(command, stdout=subprocess.DEVNULL, env=ONE_CORE)
    _, status, used = os.wait4(child.pid, 0)
    child.returncode = os.waitstatus_to_exitcode(status)
    if child.returncode != 0:
        sys.exit(f'{command[0]} ended with {child.returncode}')
    return used.ru_utime + used.ru_stime, used.ru_maxrss / 1024


def median(values):
    return sorted(values)[len(values) // 2]


def growth(root, path):
    base = {'raters': 20, 'cases': 200, 'items': 10, 'clusters': 50}
    print('growth: 20 raters, 200 cases of 50 golfers, 10 items, 2,000 resamples; four times as many of each')

    def timed(raters, cases, items, clusters):
        made(path, raters, cases, items, clusters)
        return median([run(ours(root, path, 2000))[0] for _ in range(3)])

    once = timed(**base)
    print(f'  {"once":18} {once:6.2f} s')
    for what in base:
        four = timed(**{**base, what: 4 * base[what]})
        print(f'  {what:18} {four:6.2f} s, exponent {math.log(four / once, 4):.2f}')


def main():
    root, folder = sys.argv[1:3]
    for what, (raters, cases, items), resamples in (
        ('(a) 40 raters, 200 cases, 23 items, 2,000 resamples', (40, 200, 23), 2000),
        ('(b) a million ratings, 10 raters, 100,000 cases', (10, 100_000, 1), 0),
    ):
        path = os.path.join(folder, 'ratings.csv')
        made(path, raters, cases, items)
        commands = {
            'agreement:compute': ours(root, path, resamples),
            'numpy and pandas': ['/usr/bin/python3', f'{root}/bin/lib/peer_agreement.py', path, str(resamples)],
            'R and data.table': ['Rscript', f'{root}/bin/lib/peer_agreement.R', path, str(resamples)],
        }
        taken = {name: [] for name in commands}
        for _ in range(ROUNDS):
            for name, command in commands.items():
                taken[name].append(run(command))
        print(what)
        for name, of in taken.items():
            print(f'  {name:18} {median([t for t, _ in of]):6.2f} s {median([mb for _, mb in of]):6.0f} MB')
        for name in list(commands)[1:]:
            ratios = [mine[0] / theirs[0] for mine, theirs in zip(taken['agreement:compute'], taken[name])]
            print(f'  as long as {name}: {median(ratios):.2f} (median of {ROUNDS} pairs)')
        os.remove(path)
    path = os.path.join(folder, 'ratings.csv')
    growth(root, path)
    made(path, 10, 1_000_000, 1)
    print('ten million ratings, 10 raters: {:.1f} s, {:.0f} MB'.format(*run(ours(root, path, 0))))


main()
