"""What somebody would write with pandas and numpy: the coefficients of agreement of every item and of all pooled, with
BCa intervals from resampled cases, and Light's kappa. A peer to time agreement:compute against, not a part of it.

    python3 peer_agreement.py ratings.csv RESAMPLES
"""
import sys

import numpy as np
import pandas as pd


def statistics(s):
    """Sums by column: n, n2, Σa, Σo, Σn_k/r (q), Σn_k paired (q), both (q), possible (q)."""
    q = (s.shape[1] - 4) // 4
    n, n2, a, o = s[:, 0], s[:, 1], s[:, 2], s[:, 3]
    share, paired, both, possible = (s[:, 4 + i * q:4 + (i + 1) * q] for i in range(4))
    with np.errstate(all='ignore'):
        pa = a / n2
        pi = share / n[:, None]
        fleiss = (pi ** 2).sum(axis=1)
        ac = (pi * (1 - pi)).sum(axis=1) / (q - 1)
        all_ = paired.sum(axis=1)
        alpha = 1 - (all_ - 1) * (all_ - o) / (all_ ** 2 - (paired ** 2).sum(axis=1))
        return np.column_stack([pa, (pa - fleiss) / (1 - fleiss), (pa - ac) / (1 - ac), (pa - 1 / q) / (1 - 1 / q), alpha,
                                both / possible])


def normal(z):
    # Abramowitz & Stegun 7.1.26 would do for a bench; this is exact enough and vectorised.
    from math import erf
    return 0.5 * (1 + np.vectorize(erf)(z / np.sqrt(2)))


def quantile(p):
    low, high = -9.0, 9.0
    for _ in range(60):
        middle = (low + high) / 2
        low, high = (middle, high) if normal(middle) < p else (low, middle)
    return low


def intervals(sums, times):
    estimate = statistics(sums.sum(axis=0)[None, :])[0]
    left = statistics(sums.sum(axis=0)[None, :] - sums)
    if times is None:
        return estimate, None
    drawn = statistics(times @ sums)
    out = []
    for k, value in enumerate(estimate):
        v = np.sort(drawn[:, k][~np.isnan(drawn[:, k])])
        if len(v) == 0 or np.isnan(value):
            out.append((np.nan, np.nan))
            continue
        z0 = quantile(((v < value).sum() + 0.5 * (v == value).sum()) / len(v))
        d = left[:, k].mean() - left[:, k]
        a = (d ** 3).sum() / (6 * (d ** 2).sum() ** 1.5)
        ends = [float(normal(z0 + (z0 + z) / (1 - a * (z0 + z)))) for z in (-1.959964, 1.959964)]
        out.append(tuple(np.quantile(v, ends)))
    return estimate, out


def light(table, q):
    m = table.shape[1]
    kappas = []
    for g in range(m):
        for h in range(g + 1, m):
            both = (table[:, g] >= 0) & (table[:, h] >= 0)
            cells = np.bincount(table[both, g] * q + table[both, h], minlength=q * q).reshape(q, q)
            n = cells.sum()
            pe = (cells.sum(axis=0) * cells.sum(axis=1)).sum() / n / n
            kappas.append((np.trace(cells) / n - pe) / (1 - pe))
    return np.mean(kappas)


def main():
    data = pd.read_csv(sys.argv[1], dtype=str)
    resamples = int(sys.argv[2])
    if 'item' not in data:
        data['item'] = ''
    case, cases = pd.factorize(data['case'], sort=True)
    rater, raters = pd.factorize(data['rater'], sort=True)
    item, items = pd.factorize(data['item'], sort=True)
    value, values = pd.factorize(data['value'], sort=True)
    q, c, m = len(values), len(cases), len(raters)
    times = None
    if resamples:
        random = np.random.default_rng(1)
        times = np.zeros((resamples, c))
        for b in range(resamples):
            times[b] = np.bincount(random.integers(0, c, c), minlength=c)
    table = np.full((len(items), c, m), -1)
    table[item, case, rater] = value
    pooled = np.zeros((c, 4 + 4 * q))
    for i, name in enumerate(items):
        n = np.stack([(table[i] == k).sum(axis=1) for k in range(q)], axis=1).astype(float)
        r = n.sum(axis=1)
        pair = r >= 2
        with np.errstate(all='ignore'):
            same = (n * (n - 1)).sum(axis=1)
            sums = np.column_stack([
                r >= 1, pair, np.where(pair, same / (r * (r - 1)), 0), np.where(pair, same / (r - 1), 0),
                np.where(r[:, None] >= 1, n / r[:, None], 0), np.where(pair[:, None], n, 0),
                n * (n - 1), n * (r - 1)[:, None],
            ]).astype(float)
        pooled += sums
        estimate, ends = intervals(sums, times)
        print(name, estimate, ends, light(table[i], q))
    print('pooled', *intervals(pooled, times), light(table.reshape(-1, m), q))


main()
