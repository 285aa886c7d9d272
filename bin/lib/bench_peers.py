"""Times whole processes turn and turn about: agreement:compute beside its peers, in processor seconds of one core.

    python3 bench_peers.py ROOT FOLDER
"""
import os
import random
import resource
import subprocess
import sys

ROUNDS = 11
ONE_CORE = {**os.environ, 'OMP_NUM_THREADS': '1', 'OPENBLAS_NUM_THREADS': '1', 'MKL_NUM_THREADS': '1'}


def made(path, raters, cases, items):
    draw = random.Random(1)
    with open(path, 'w') as out:
        out.write('case,item,rater,value\n')
        for c in range(cases):
            for i in range(items):
                there = draw.random() < 0.3
                for r in range(raters):
                    right = draw.random() < 0.85
                    out.write(f'c{c},i{i},r{r},{"present" if right == there else "absent"}\n')


def seconds(command):
    before = resource.getrusage(resource.RUSAGE_CHILDREN)
    subprocess.run(command, stdout=subprocess.DEVNULL, check=True, env=ONE_CORE)
    after = resource.getrusage(resource.RUSAGE_CHILDREN)
    return after.ru_utime + after.ru_stime - before.ru_utime - before.ru_stime


def main():
    root, folder = sys.argv[1:3]
    for what, (raters, cases, items), resamples in (
        ('(a) 40 raters, 200 cases, 23 items, 2,000 resamples', (40, 200, 23), 2000),
        ('(b) a million ratings, 10 raters, 100,000 cases', (10, 100_000, 1), 0),
    ):
        path = os.path.join(folder, 'ratings.csv')
        made(path, raters, cases, items)
        commands = {
            'agreement:compute': [f'{root}/bin/vc', 'agreement:compute', path, '--pairs=none', f'--bootstrap={resamples}',
                                  '--format=json'],
            'numpy and pandas': ['/usr/bin/python3', f'{root}/bin/lib/peer_agreement.py', path, str(resamples)],
            'R and data.table': ['Rscript', f'{root}/bin/lib/peer_agreement.R', path, str(resamples)],
        }
        taken = {name: [] for name in commands}
        for _ in range(ROUNDS):
            for name, command in commands.items():
                taken[name].append(seconds(command))
        median = {name: sorted(t)[ROUNDS // 2] for name, t in taken.items()}
        print(what)
        for name, t in median.items():
            print(f'  {name:18} {t:6.2f} s')
        best = min(median['numpy and pandas'], median['R and data.table'])
        print(f"  ratio to the faster peer {median['agreement:compute'] / best:.2f}")
        os.remove(path)


main()
