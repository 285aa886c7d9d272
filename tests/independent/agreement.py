"""Works out anew, with numpy and from the formulas alone, what agreement:compute says of ratings in clusters.

    python3 agreement.py ratings.csv key.csv result.json

result.json comes from agreement:compute --format=json --categories=absent,present --cannot-tell=cannot_tell
--field-prevalence=0.1. Prints how many figures agree to 1e-9 and every one that does not; its exit status tells which.
"""
import csv
import hashlib
import itertools
import json
import math
import struct
import sys

import numpy as np

# Undefined figures are NaN here; what is told of them is held against there.
np.seterr(all='ignore')
TOLERANCE = 1e-9
Z = 1.959963984540054
CATEGORIES = ['absent', 'present']
NAMES = ['percent_agreement', 'fleiss_kappa', 'gwet_ac1', 'brennan_prediger', 'krippendorff_alpha']


# ── special functions: Student's quantile, the normal's, the digamma function

def betacf(a, b, x):
    tiny, c, d = 1e-300, 1.0, 1.0 - (a + b) * x / (a + 1.0)
    d = 1.0 / (d if abs(d) > tiny else tiny)
    h = d
    for m in range(1, 20000):
        for num in (m * (b - m) * x / ((a + 2 * m - 1) * (a + 2 * m)),
                    -(a + m) * (a + b + m) * x / ((a + 2 * m) * (a + 2 * m + 1))):
            d = 1.0 + num * d
            d = 1.0 / (d if abs(d) > tiny else tiny)
            c = 1.0 + num / c
            c = c if abs(c) > tiny else tiny
            h *= d * c
        if abs(d * c - 1.0) < 1e-16:
            break
    return h


def incbeta(a, b, x):
    if x <= 0.0 or x >= 1.0:
        return 0.0 if x <= 0.0 else 1.0
    front = math.exp(math.lgamma(a + b) - math.lgamma(a) - math.lgamma(b) + a * math.log(x) + b * math.log1p(-x))
    if x < (a + 1.0) / (a + b + 2.0):
        return front * betacf(a, b, x) / a
    return 1.0 - front * betacf(b, a, 1.0 - x) / b


def student_tail(t, df):
    return 0.5 * incbeta(df / 2.0, 0.5, df / (df + t * t))


def student(df):
    """The quantile at 0.975."""
    low, high = 0.0, 2.0
    while student_tail(high, df) > 0.025:
        high *= 2.0
    for _ in range(200):
        middle = (low + high) / 2.0
        low, high = (middle, high) if student_tail(middle, df) > 0.025 else (low, middle)
    return (low + high) / 2.0


def normal_quantile(p):
    low, high = -40.0, 40.0
    for _ in range(200):
        middle = (low + high) / 2.0
        low, high = (middle, high) if 0.5 * math.erfc(-middle / math.sqrt(2.0)) < p else (low, middle)
    return (low + high) / 2.0


def density(z):
    return math.exp(-z * z / 2.0) / math.sqrt(2.0 * math.pi)


def digamma(x):
    total = 0.0
    while x < 30.0:
        total -= 1.0 / x
        x += 1.0
    y = 1.0 / (x * x)
    return total + math.log(x) - 0.5 / x - y * (1 / 12 - y * (1 / 120 - y * (1 / 252 - y * (1 / 240 - y / 132))))


# ── the seeded generator: xoshiro256** from the bytes of a SHA-256

class Generator:
    MASK = (1 << 64) - 1

    def __init__(self, seed):
        self.s = list(struct.unpack('<4Q', hashlib.sha256(seed.encode()).digest()))
        self.spare = None

    def next(self):
        s, m = self.s, self.MASK
        rotl = lambda v, k: ((v << k) | (v >> (64 - k))) & m
        result = (rotl((s[1] * 5) & m, 7) * 9) & m
        t = (s[1] << 17) & m
        s[2] ^= s[0]
        s[3] ^= s[1]
        s[1] ^= s[2]
        s[0] ^= s[3]
        s[2] ^= t
        s[3] = rotl(s[3], 45)
        return result

    def below(self, n):
        """A whole number in [0, n), n below 2^32."""
        if n == 1:
            return 0
        full = (1 << 32) - 1
        result = self.next() & full
        if n & (n - 1) == 0:
            return result & (n - 1)
        while result > full - full % n - 1:
            result = self.next() & full
        return result % n

    def uniform(self):
        return (self.next() & ((1 << 53) - 1)) / (1 << 53)

    def normal(self):
        if self.spare is not None:
            z, self.spare = self.spare, None
            return z
        while True:
            u, v = 2 * self.uniform() - 1, 2 * self.uniform() - 1
            s = u * u + v * v
            if 0.0 < s < 1.0:
                break
        f = math.sqrt(-2 * math.log(s) / s)
        self.spare = v * f
        return u * f

    def gamma(self, shape):
        if shape < 1.0:
            g = self.gamma(shape + 1.0)
            return g * (1.0 - self.uniform()) ** (1.0 / shape)
        d = shape - 1.0 / 3.0
        c = 1.0 / math.sqrt(9.0 * d)
        while True:
            x = self.normal()
            v = (1.0 + c * x) ** 3
            if v > 0.0 and math.log(1.0 - self.uniform()) < 0.5 * x * x + d * (1.0 - v + math.log(v)):
                return d * v

    def beta(self, a, b):
        x = self.gamma(a)
        return x / (x + self.gamma(b))


# ── data

class Data:
    def __init__(self, ratings, key):
        rows = list(csv.DictReader(open(ratings, newline='', encoding='utf-8')))
        keys = list(csv.DictReader(open(key, newline='', encoding='utf-8')))
        self.cluster = {}
        for row in rows + keys:
            if row.get('cluster'):
                self.cluster[row['case']] = row['cluster']
        self.first, self.again, self.sure, order = {}, {}, {}, {}
        for row in rows:
            at = (row.get('item', ''), row['case'], row['rater'])
            order.setdefault(at, []).append((int(row.get('occasion') or 1), row['value'], row.get('confidence') or ''))
        for at, said in order.items():
            said.sort()
            self.first[at] = said[0][1]
            self.sure[at] = said[0][2]
            if len(said) > 1:
                self.again[at] = (said[0][1], said[1][1])
        self.items = sorted({at[0] for at in self.first}, key=str.encode)
        self.raters = sorted({at[2] for at in self.first}, key=str.encode)
        self.cases = sorted({at[1] for at in self.first}, key=str.encode)
        self.key, self.votes = {}, {}
        for row in keys:
            at = (row.get('item', ''), row['case'])
            self.key[at] = row['value']
            if row.get('weight'):
                self.votes[at] = (0, 0, float(row['weight']))
            elif row.get('present') or row.get('absent'):
                self.votes[at] = (int(row['present'] or 0), int(row['absent'] or 0), None)

    def golfer(self, case):
        return self.cluster.get(case, '\0' + case)

    def clustered(self):
        return len({self.golfer(c) for c in self.cases}) < len(self.cases)


class Table:
    """Units × categories, with each rater's ratings and the cluster of each unit."""

    def __init__(self, data, items, categories, raters=None):
        self.categories = categories
        index = {c: k for k, c in enumerate(categories)}
        names = data.raters if raters is None else raters
        values, golfers = [], []
        for case in data.cases:
            for item in items:
                row = [index.get(data.first.get((item, case, r), ''), -1) for r in names]
                if max(row, default=-1) >= 0:
                    values.append(row)
                    golfers.append(data.golfer(case))
        values = np.array(values, dtype=int).reshape(len(values), len(names))
        said = (values >= 0).any(axis=0) if len(values) else np.zeros(len(names), bool)
        self.raters = [r for r, yes in zip(names, said) if yes]
        self.values = values[:, said]
        labels = {g: i for i, g in enumerate(sorted(set(golfers)))}
        self.golfer = np.array([labels[g] for g in golfers], dtype=int)

    def without(self, rater):
        out = Table.__new__(Table)
        out.categories, out.golfer = self.categories, self.golfer
        out.raters = [r for r in self.raters if r != rater]
        out.values = np.delete(self.values, self.raters.index(rater), axis=1)
        return out

    def only(self, units):
        out = Table.__new__(Table)
        out.categories, out.raters = self.categories, self.raters
        out.values, out.golfer = self.values[units], self.golfer[units]
        return out

    def counts(self):
        q = len(self.categories)
        return np.stack([(self.values == k).sum(axis=1) for k in range(q)], axis=1).astype(float)


# ── coefficients

def parts(table):
    n = table.counts()
    r = n.sum(axis=1)
    some, pair = r >= 1, r >= 2
    a = np.zeros(len(r))
    a[pair] = (n[pair] * (n[pair] - 1)).sum(axis=1) / (r[pair] * (r[pair] - 1))
    pi = (n[some] / r[some, None]).mean(axis=0) if some.any() else np.full(n.shape[1], np.nan)
    return n, r, some, pair, a, pi


def coefficients(table):
    n, r, some, pair, a, pi = parts(table)
    q = n.shape[1]
    out = dict.fromkeys(NAMES, np.nan)
    if not pair.any():
        return out
    pa = a[pair].mean()
    out['percent_agreement'] = pa
    if (n[some].sum(axis=0) > 0).sum() > 1:
        pe = (pi ** 2).sum()
        out['fleiss_kappa'] = (pa - pe) / (1 - pe)
    pe = (pi * (1 - pi)).sum() / (q - 1)
    out['gwet_ac1'] = (pa - pe) / (1 - pe)
    out['brennan_prediger'] = (pa - 1 / q) / (1 - 1 / q)
    nk = n[pair].sum(axis=0)
    if (nk > 0).sum() > 1:
        all_ = nk.sum()
        o = (n[pair] * (n[pair] - 1)).sum(axis=1) / (r[pair] - 1)
        out['krippendorff_alpha'] = 1 - (all_ - 1) * (all_ - o.sum()) / (all_ ** 2 - (nk ** 2).sum())
    return out


def specific(table):
    n, r, *_ = parts(table)
    out = {}
    for k, c in enumerate(table.categories):
        possible = (n[:, k] * (r - 1)).sum()
        out[c] = (n[:, k] * (n[:, k] - 1)).sum() / possible if possible > 0 else np.nan
    return out


def influences(table, values):
    """ψ of each unit, with N."""
    n, r, some, pair, a, pi = parts(table)
    q, count, paired = n.shape[1], some.sum(), pair.sum()
    out = {}
    pa = a[pair].mean()
    share = np.zeros_like(n)
    share[some] = n[some] / r[some, None]
    for name, chance in (('percent_agreement', np.zeros(q)), ('fleiss_kappa', pi),
                         ('gwet_ac1', (1 - pi) / (q - 1)), ('brennan_prediger', np.full(q, 1 / q))):
        pe = (pi * chance).sum()
        e = share @ chance
        out[name] = (some * ((count / paired) * pair * (a - pa) / (1 - pe)
                             - 2 * (1 - values[name]) * (e - pe) / (1 - pe)), count)
        if name == 'percent_agreement':
            out[name] = ((count / paired) * pair * (a - pa), count)
    mean = r[pair].mean()
    d = np.where(pair, (r - mean) / mean, 0.0)
    eps = 1 / r[pair].sum()
    p = a * r / mean
    share = n[pair].sum(axis=0) / r[pair].sum()
    raw = p[pair].mean()
    alpha_pa, pe = (1 - eps) * raw + eps, (share ** 2).sum()
    alpha = (raw - pe) / (1 - pe)
    e = (n @ share) / mean
    psi = (p - alpha_pa * d - pe) / (1 - pe) - 2 * (1 - alpha) * (e - pe * d - pe) / (1 - pe) - alpha
    out['krippendorff_alpha'] = (np.where(pair, psi, 0.0), paired)
    for k, c in enumerate(table.categories):
        possible = (n[:, k] * (r - 1)).sum()
        if possible > 0:
            s = values['on ' + c]
            out['on ' + c] = (count * (n[:, k] * (n[:, k] - 1) - s * n[:, k] * (r - 1)) / possible, count)
    return out


def everything(table):
    return {**coefficients(table), **{'on ' + c: v for c, v in specific(table).items()}}


def effective(sizes):
    sizes = np.array([s for s in sizes if s > 0], float)
    return len(sizes), (sizes.sum() ** 2 / (sizes ** 2).sum() if len(sizes) else 0.0)


def by_cluster(golfer, v):
    return np.bincount(golfer, weights=v, minlength=(golfer.max() + 1) if len(golfer) else 0)


def jackknife(estimate, left, linear, sizes, floor=-1.0, ceiling=1.0):
    """se, low and high over clusters; linear gives Σψ/N of each cluster, where a θ_(−g) is undefined."""
    g, ge = effective(sizes)
    left = np.array(left, float)
    if g < 2:
        return None
    if np.isnan(left).any():
        if linear is None:
            return None
        variance = g / (g - 1) * (np.asarray(linear) ** 2).sum()
    else:
        variance = (g - 1) / g * ((left - estimate) ** 2).sum()
    se = math.sqrt(variance)
    t = student(ge - 1)
    return se, max(floor, estimate - t * se), min(ceiling, estimate + t * se)


def figures(table, grouped):
    """By name: estimate, se, low, high and what is said of readers like these."""
    values = everything(table)
    if not (table.counts().sum(axis=1) >= 2).any():
        return {}
    n, r, some, pair, a, pi = parts(table)
    golfers = range(table.golfer.max() + 1)
    left = [everything(table.only(table.golfer != g)) for g in golfers] if grouped else None
    psi = influences(table, values)
    out = {}
    perfect = all(len(set(row[row >= 0])) <= 1 for row in table.values)
    m = len(table.raters)
    rest = [(t, everything(t)) for t in (table.without(x) for x in table.raters)] if m >= 4 else []
    rest = [(v, influences(t, v) if not math.isnan(v['percent_agreement']) else {}) for t, v in rest]
    for name, value in values.items():
        if math.isnan(value):
            continue
        floor = 0.0 if name.startswith('on ') else -1.0
        units = (pair if name == 'krippendorff_alpha' else some).astype(float)
        if name.startswith('on '):
            # By how many pairs of calls a golfer has a part in it.
            units = n[:, table.categories.index(name[3:])] * (r - 1)
        sizes = by_cluster(table.golfer, units)
        g = int((sizes > 0).sum())
        if grouped:
            linear = by_cluster(table.golfer, psi[name][0]) / psi[name][1]
            told = jackknife(value, [x[name] for x in left], linear, sizes, floor)
        elif name.startswith('on '):
            told = None
        else:
            count = psi[name][1]
            se = math.sqrt((psi[name][0] ** 2).sum() / (count * (count - 1)))
            t = student(count - 1)
            told = (se, max(floor, value - t * se), min(1.0, value + t * se))
        # At perfect agreement, and on a category nobody ever differs on, the bound stands for the interval.
        bounded = perfect or (name.startswith('on ') and value in (0.0, 1.0))
        new = None
        if m >= 4 and told and told[0] + 0.0 >= 0.0 and not perfect:
            without = np.array([v[name] for v, _ in rest])
            if not np.isnan(without).any():
                vc = told[0] ** 2
                vr = (m - 1) / m * ((without - without.mean()) ** 2).sum()
                each = np.stack([by_cluster(table.golfer, x[name][0]) for _, x in rest])
                crossed = (m - 1) / m * g / (g - 1) * ((each - each.mean(axis=0)) ** 2).sum() / psi[name][1] ** 2
                if vc + vr > 0:
                    nu = (vc + vr) ** 2 / (vc ** 2 / (g - 1) + vr ** 2 / (m - 1))
                    half = student(min(max(nu, m - 1), g - 1)) * math.sqrt(vc + vr)
                    new = (math.sqrt(vc + max(0.0, vr - crossed)), max(floor, value - half), min(1.0, value + half))
        out[name] = (value, None if bounded else told, new, effective(sizes)[1])
    return out


# ── pairs, oneself, the key

def cohen(x, y, q):
    n = len(x)
    if n < 2:
        return np.nan
    rows = np.bincount(x, minlength=q)
    columns = np.bincount(y, minlength=q)
    chance = int((rows * columns).sum())
    return np.nan if chance == n * n else (n * int((x == y).sum()) - chance) / (n * n - chance)


def cohen_influence(x, y, q):
    n = len(x)
    px, py = np.bincount(x, minlength=q) / n, np.bincount(y, minlength=q) / n
    po, pe = (x == y).mean(), (px * py).sum()
    kappa = (po - pe) / (1 - pe)
    return ((x == y) - po - (1 - kappa) * (py[x] + px[y] - 2 * pe)) / (1 - pe)


def pair(x, y, golfer, q):
    """κ and agreement over clusters."""
    x, y = np.asarray(x), np.asarray(y)
    sizes = by_cluster(golfer, np.ones(len(x)))
    clusters = [g for g in range(len(sizes)) if sizes[g] > 0]
    kappa, p = cohen(x, y, q), (x == y).mean()
    out = {'agreement': (p, jackknife(
        p, [(x == y)[golfer != g].mean() if (golfer != g).any() else np.nan for g in clusters],
        by_cluster(golfer, (x == y) - p) / len(x), sizes, 0.0))}
    if not math.isnan(kappa):
        out['kappa'] = (kappa, jackknife(
            kappa, [cohen(x[golfer != g], y[golfer != g], q) for g in clusters],
            by_cluster(golfer, cohen_influence(x, y, q)) / len(x), sizes))
    return out


def light(table, grouped):
    """Light's κ: the mean of κ over pairs, its jackknife, and readers like these from leaving out case and reader."""
    v, q, m = table.values, len(table.categories), len(table.raters)
    some = (v >= 0).any(axis=1)
    golfers = [g for g in range(table.golfer.max() + 1) if (some & (table.golfer == g)).any()]
    pairs = list(itertools.combinations(range(m), 2))

    def kappas(keep):
        out = []
        for a, b in pairs:
            both = keep & (v[:, a] >= 0) & (v[:, b] >= 0)
            out.append(cohen(v[both, a], v[both, b], q))
        return np.array(out)

    def mean(k, of=None):
        k = k[[i for i, p in enumerate(pairs) if of not in p]]
        k = k[~np.isnan(k)]
        return k.mean() if len(k) else np.nan

    whole = kappas(np.ones(len(v), bool))
    if np.isnan(whole).all():
        return None
    left = [kappas(table.golfer != g) for g in golfers]
    value, without_case = mean(whole), [mean(k) for k in left]
    sizes = by_cluster(table.golfer, some.astype(float))
    told = None
    if not np.isnan(without_case).any() and len(golfers) > 1:
        n = len(golfers)
        if grouped:
            told = jackknife(value, without_case, None, sizes)
        else:
            se = math.sqrt((n - 1) / n * ((np.array(without_case) - np.mean(without_case)) ** 2).sum())
            told = (se, max(-1.0, value - student(n - 1) * se), min(1.0, value + student(n - 1) * se))
    new = None
    without = np.array([mean(whole, g) for g in range(m)])
    if m >= 4 and told and told[0] > 0 and not np.isnan(without).any():
        delta = np.array([[mean(k, g) - without[g] for k in left] for g in range(m)])
        if not np.isnan(delta).any():
            n = len(golfers)
            crossed = (m - 1) / m * (n - 1) / n * ((delta - delta.mean(axis=0)) ** 2).sum()
            vc, vr = told[0] ** 2, (m - 1) / m * ((without - without.mean()) ** 2).sum()
            nu = (vc + vr) ** 2 / (vc ** 2 / (n - 1) + vr ** 2 / (m - 1))
            half = student(min(max(nu, m - 1), n - 1)) * math.sqrt(vc + vr)
            new = (math.sqrt(vc + max(0.0, vr - crossed)), max(-1.0, value - half), min(1.0, value + half))
    return value, told, new


def score(p, n, z):
    middle, half = p + z * z / (2 * n), z * math.sqrt(p * (1 - p) / n + z * z / (4 * n * n))
    return (middle - half) / (1 + z * z / n), (middle + half) / (1 + z * z / n)


def rate(own, of):
    """Wilson over clusters, of k_g of P_g."""
    k, n = own.sum(), of.sum()
    if n == 0:
        return None
    p, g, gp = k / n, len(own), int((of > 0).sum())
    if gp < 2:
        return p, None
    d = n / gp
    if 0 < k < n:
        d = max(1.0, g / (g - 1) * ((own - p * of) ** 2).sum() / n ** 2 * n / (p * (1 - p)))
    low, high = score(p, n / d, student(gp - 1))
    return p, (math.sqrt(d * p * (1 - p) / n), 0.0 if k == 0 else low, 1.0 if k == n else high)


def mcc(tp, fn, fp, tn):
    of = (tp + fp) * (tp + fn) * (tn + fp) * (tn + fn)
    return np.nan if of == 0 else (tp * tn - fp * fn) / math.sqrt(of)


def criterion(tp, fn, fp, tn):
    p, q = tp + fn, fp + tn
    return np.nan if p == 0 or q == 0 else -(normal_quantile((tp + .5) / (p + 1)) + normal_quantile((fp + .5) / (q + 1))) / 2


def youden(tp, fn, fp, tn):
    return np.nan if tp + fn == 0 or fp + tn == 0 else tp / (tp + fn) + tn / (fp + tn) - 1


def kappa_of(tp, fn, fp, tn):
    n = tp + fn + fp + tn
    chance = (tp + fp) * (tp + fn) + (fn + tn) * (fp + tn)
    return np.nan if n < 2 or chance == n * n else (n * (tp + tn) - chance) / (n * n - chance)


def ratio(a, al, au, b, bl, bu):
    both = a * b
    low = both - math.sqrt(max(0.0, both ** 2 - al * bu * (2 * a - al) * (2 * b - bu)))
    high = both + math.sqrt(max(0.0, both ** 2 - au * bl * (2 * a - au) * (2 * b - bl)))
    below, above = bu * (2 * b - bu), bl * (2 * b - bl)
    return max(0.0, low) / below if below > 0 else 0.0, high / above if above > 0 else math.inf


def predictive(wrong, right, odds):
    f, s = 1 - wrong[0], right[0]
    if f <= 0 and s <= 0:
        return None
    value = s / (s + odds * f)
    if wrong[1] is None or right[1] is None:
        return value, None
    share, of = (f, 1 - wrong[1][2], 1 - wrong[1][1]), (s, right[1][1], right[1][2])
    if s >= f:
        least, most = ratio(*share, *of)
        return value, (None, 1 / (1 + odds * most), 1 / (1 + odds * least))
    least, most = ratio(*of, *share)
    return value, (None, least / (least + odds), 1.0 if most == math.inf else most / (most + odds))


def against_key(cells, brier):
    """Cells by cluster, tp fn fp tn."""
    c = np.array(cells, float)
    tp, fn, fp, tn = c.sum(axis=0)
    sizes = c.sum(axis=1)
    p, q, g = tp + fn, fp + tn, len(c)
    out = {'sensitivity': rate(c[:, 0], c[:, 0] + c[:, 1]), 'specificity': rate(c[:, 3], c[:, 2] + c[:, 3]),
           'ppv': rate(c[:, 0], c[:, 0] + c[:, 2]), 'npv': rate(c[:, 3], c[:, 1] + c[:, 3])}
    whole = np.array([tp, fn, fp, tn])
    for name, of in (('youden', youden), ('mcc', mcc), ('cohen_kappa', kappa_of), ('criterion', criterion)):
        value = of(*whole)
        if math.isnan(value):
            continue
        left = [of(*(whole - row)) for row in c]
        reach = math.inf if name == 'criterion' else 1.0
        # Only what needs no linear formula is held against it here.
        told = None if np.isnan(left).any() else jackknife(value, left, None, sizes, -reach, reach)
        if name in ('criterion', 'youden') and tp * fn * fp * tn == 0:
            told = None
        out[name] = (value, told if told and told[0] > 0 else None)
    if p > 0 and q > 0:
        h, f = (tp + .5) / (p + 1), (fp + .5) / (q + 1)
        zh, zf = normal_quantile(h), normal_quantile(f)
        plain = h * (1 - h) / (p * density(zh) ** 2) + f * (1 - f) / (q * density(zf) ** 2)
        by = (c[:, 0] - (c[:, 0] + c[:, 1]) * tp / p) / (p * density(zh)) - (
            c[:, 2] - (c[:, 2] + c[:, 3]) * fp / q) / (q * density(zf))
        se = math.sqrt(max(plain, g / (g - 1) * (by ** 2).sum())) if g > 1 else None
        d = zh - zf
        out['d_prime'] = (d, None if se is None else (se, d - student(g - 1) * se, d + student(g - 1) * se))
    if brier:
        b = np.array(brier, float)
        n, total = b[:, 0].sum(), b[:, 1].sum()
        left = [(total - s) / (n - k) if n > k else np.nan for k, s in b]
        told = jackknife(total / n, left, None, b[:, 0], 0.0) if len(b) > 1 else None
        out['brier'] = (total / n, told if told and told[0] > 0 else None)
    out = {name: v for name, v in out.items() if v is not None}
    if 'sensitivity' in out and 'specificity' in out:
        for name, v in (('ppv_field', predictive(out['specificity'], out['sensitivity'], 9.0)),
                        ('npv_field', predictive(out['sensitivity'], out['specificity'], 1 / 9.0))):
            if v is not None:
                out[name] = v
    return out


def cells_of(data, items, rater, abstaining):
    cells, brier = {}, {}
    for item in items:
        for case in data.cases:
            truth = data.key.get((item, case)) or data.key.get(('', case)) or ''
            said = data.first.get((item, case, rater), '')
            if truth not in CATEGORIES or said == '' or (said == 'cannot_tell' and not abstaining):
                continue
            true = truth == 'present'
            called = (not true) if said == 'cannot_tell' else said == 'present'
            row = cells.setdefault(data.golfer(case), [0, 0, 0, 0])
            row[(0 if called else 1) if true else (2 if called else 3)] += 1
            sure = data.sure.get((item, case, rater), '')
            if sure != '' and said != 'cannot_tell':
                p = float(sure) if called else 1 - float(sure)
                b = brier.setdefault(data.golfer(case), [0, 0.0])
                b[0] += 1
                b[1] += (p - true) ** 2
    return cells, brier


def order(data, items, seed):
    right = {}
    for rater in data.raters:
        cells, _ = cells_of(data, items, rater, True)
        if cells:
            right[rater] = {g: (c[0] + c[3], sum(c)) for g, c in cells.items()}
    m = len(right)
    if m < 2:
        return None
    golfers = {g for of in right.values() for g in of}
    if len(golfers) < 2:
        return None
    there = {g: (sum(of.get(g, (0, 0))[0] for of in right.values()), sum(of.get(g, (0, 0))[1] for of in right.values()))
             for g in golfers}
    over = under = 0.0
    total = {r: (sum(v[0] for v in of.values()), sum(v[1] for v in of.values())) for r, of in right.items()}
    count = len(golfers)
    for r, of in right.items():
        y, n = total[r]
        e = np.array([of.get(g, (0, 0))[0] - of.get(g, (0, 0))[1] * there[g][0] / max(1, there[g][1]) for g in golfers])
        over += m / (m - 1) * count / (count - 1) * ((e - e.mean()) ** 2).sum() / n ** 2
        under += y / n * (1 - y / n) / n
    d = max(1.0, over / under) if under > 0 else 1.0
    if sum(y for y, _ in total.values()) in (0, sum(n for _, n in total.values())):
        return d, {r: (y / n, y / n, 1, m) for r, (y, n) in total.items()}
    scaled = {r: (y / d, n / d) for r, (y, n) in total.items()}

    def slopes(mean, s):
        a, b = mean * s, (1 - mean) * s
        by_a = sum(digamma(a + y) - digamma(a) for y, n in scaled.values())
        by_b = sum(digamma(b + n - y) - digamma(b) for y, n in scaled.values())
        both = sum(digamma(s) - digamma(s + n) for y, n in scaled.values())
        return by_a - by_b, mean * by_a + (1 - mean) * by_b + both

    def falling(of, low, high):
        if of(low) <= 0 or of(high) >= 0:
            return low if of(low) <= 0 else high
        for _ in range(120):
            middle = (low + high) / 2
            low, high = (middle, high) if of(middle) > 0 else (low, middle)
        return (low + high) / 2

    mean_at = lambda s: falling(lambda mean: slopes(mean, s)[0], 1e-9, 1 - 1e-9)

    def likelihood(s):
        mean = mean_at(s)
        a, b = mean * s, (1 - mean) * s
        return sum(math.lgamma(a + y) + math.lgamma(b + n - y) - math.lgamma(s + n) for y, n in scaled.values()) + m * (
            math.lgamma(s) - math.lgamma(a) - math.lgamma(b))

    low, high = math.log(0.05), math.log(1e6)
    step = (high - low) / 24
    best = high
    for i in range(24):
        s = low + i * step
        best = s if likelihood(math.exp(s)) > likelihood(math.exp(best)) else best
    if best == high or likelihood(math.exp(best)) < likelihood(math.exp(high)) + 1e-9:
        s = high
    else:
        s = falling(lambda v: slopes(mean_at(math.exp(v)), math.exp(v))[1], max(low, best - step), min(high, best + step))
    strength = math.exp(s)
    a, b = mean_at(strength) * strength, (1 - mean_at(strength)) * strength
    chance = Generator(f'{seed}|order')
    ranks = {r: [] for r in scaled}
    for _ in range(1000):
        drawn = {r: chance.beta(a + y, b + n - y) for r, (y, n) in scaled.items()}
        for place, r in enumerate(sorted(drawn, key=lambda r: -drawn[r])):
            ranks[r].append(place + 1)
    return d, {r: (total[r][0] / total[r][1], (a + y / 1.0) / (a + b + n), sorted(ranks[r])[24], sorted(ranks[r])[974])
               for r, (y, n) in scaled.items()}


# ── a key that errs

def latent(patterns, times):
    pi, s, c = .3, .8, .8
    n = sum(times.values())
    w = {}
    for _ in range(20000):
        yes = hits = hits_of = right = right_of = 0.0
        for i, t in times.items():
            p, a, known = patterns[i]
            if known is None:
                odds = math.log(pi / (1 - pi)) + p * (math.log(s) - math.log(1 - c)) + a * (math.log(1 - s) - math.log(c))
                w[i] = 1 / (1 + math.exp(-odds))
            else:
                w[i] = known
            v = t * w[i]
            yes, hits, hits_of = yes + v, hits + v * p, hits_of + v * (p + a)
            right, right_of = right + (t - v) * a, right_of + (t - v) * (p + a)
        new = ((yes + .5) / (n + 1), min(.999, max(.501, (hits + 1) / (hits_of + 2))),
               min(.999, max(.501, (right + 1) / (right_of + 2))))
        moved = max(abs(new[0] - pi), abs(new[1] - s), abs(new[2] - c))
        pi, s, c = new
        if moved <= 1e-12:
            break
    return pi, s, c, w


def reader(w, calls):
    s, f = .8, .2
    for _ in range(20000):
        hit = there = alarm = away = 0.0
        for i, (present, absent) in calls.items():
            q = w[i] * s / (w[i] * s + (1 - w[i]) * f)
            r = w[i] * (1 - s) / (w[i] * (1 - s) + (1 - w[i]) * (1 - f))
            hit, alarm = hit + present * q, alarm + present * (1 - q)
            there, away = there + present * q + absent * r, away + present * (1 - q) + absent * (1 - r)
        new = ((hit + .5) / (there + 1), (alarm + .5) / (away + 1))
        moved = max(abs(new[0] - s), abs(new[1] - f))
        s, f = new
        if moved <= 1e-12:
            break
    return s, 1 - f


def quantile(values, p):
    v = sorted(values)
    h = min(len(v), max(1.0, (len(v) + 1) * p))
    low = int(math.floor(h))
    return v[low - 1] + ((h - low) * (v[low] - v[low - 1]) if low < len(v) else 0.0)


def key_error(data, items, seed, replicates):
    if not data.votes:
        return None
    names = sorted({(data.cluster.get(c) + '\0') if c in data.cluster else c + '\0\1' for c in data.cases}, key=str.encode)
    rank = {c: names.index((data.cluster[c] + '\0') if c in data.cluster else c + '\0\1') for c in data.cases}
    patterns, known, questions = [], {}, []
    for item in items:
        for case in sorted(data.cases, key=lambda c: (rank[c], c.encode())):
            if not any((item, case, r) in data.first for r in data.raters):
                continue
            at = (item, case) if (item, case) in data.key else ('', case)
            value, vote = data.key.get(at, ''), data.votes.get(at)
            if vote is None and value not in CATEGORIES:
                continue
            pattern = vote if vote is not None else (0, 0, 1.0 if value == 'present' else 0.0)
            if pattern not in known:
                known[pattern] = len(patterns)
                patterns.append(pattern)
            calls = {r: data.first[(item, case, r)] == 'present' for r in data.raters
                     if data.first.get((item, case, r)) in CATEGORIES}
            questions.append((rank[case], known[pattern], calls))

    def fitted(drawn):
        times, said = {}, {}
        for g, i, calls in questions:
            t = drawn.get(g, 0) if drawn is not None else 1
            if t:
                times[i] = times.get(i, 0) + t
                for r, call in calls.items():
                    row = said.setdefault(r, {}).setdefault(i, [0, 0])
                    row[0 if call else 1] += t
        pi, s, c, w = latent(patterns, dict(sorted(times.items())))
        return (pi, s, c), {r: reader(w, dict(sorted(of.items()))) for r, of in said.items() if r in enough}

    count = {r: sum(r in q[2] for q in questions) for r in data.raters}
    enough = {r for r in data.raters if count[r] >= 200}
    panel, rates = fitted(None)
    drawn = {r: [] for r in enough}
    for b in range(1, replicates + 1):
        generator = Generator(f'{seed}|{b}')
        times = {}
        for _ in range(len(names)):
            g = generator.below(len(names))
            times[g] = times.get(g, 0) + 1
        for r, v in fitted(times)[1].items():
            drawn[r].append(v)
    return len(questions), panel, {r: [(rates[r][k], (quantile([v[k] for v in drawn[r]], .025),
                                                      quantile([v[k] for v in drawn[r]], .975))) for k in (0, 1)]
                                   for r in enough}


# ── abstentions

def abstaining(table, at):
    n = table.counts()
    r = n.sum(axis=1)
    pairs = r >= 2
    proper = [k for k in range(n.shape[1]) if k != at]
    a = np.where(pairs, (n[:, proper] * (n[:, proper] - 1)).sum(axis=1) / np.maximum(1, r * (r - 1)), 0.0)
    out = {'percent_agreement': a[pairs].mean() if pairs.any() else np.nan}
    out['brennan_prediger'] = (out['percent_agreement'] - 1 / len(proper)) / (1 - 1 / len(proper))
    for k in proper:
        possible = ((n[:, k] + n[:, at]) * (r - 1))[pairs].sum()
        out['on ' + table.categories[k]] = (n[:, k] * (n[:, k] - 1))[pairs].sum() / possible if possible > 0 else np.nan
    return out


# ── against the result

class Check:
    def __init__(self):
        self.same, self.wrong = 0, []

    def number(self, where, mine, theirs):
        if theirs is None or mine is None:
            ok = theirs is None and mine is None
        else:
            ok = abs(mine - theirs) <= TOLERANCE * max(1.0, abs(mine))
        if ok:
            self.same += 1
        else:
            self.wrong.append(f'{where}: {mine!r} here, {theirs!r} there')

    def figure(self, where, mine, theirs):
        value, told = mine[0], mine[1]
        self.number(where, value, theirs.get('estimate'))
        if told is not None and theirs.get('method') not in ('perfect-agreement bound', 'point', 'bca', 'percentile'):
            for name, v in zip(('se', 'low', 'high'), told):
                if v is not None:
                    self.number(f'{where} {name}', v, theirs.get(name))
        if len(mine) > 2 and mine[2] is not None:
            for name, v in zip(('se', 'low', 'high'), mine[2]):
                self.number(f'{where}, readers like these, {name}', v, theirs['new_raters'].get(name))
        if len(mine) > 3 and 'clusters' in theirs:
            self.number(f'{where} clusters', mine[3], theirs['clusters'])


def block(check, where, data, items, theirs, grouped, seed, replicates, pooled):
    table = Table(data, items, CATEGORIES)
    mine = figures(table, grouped)
    for name in NAMES:
        if name in mine:
            check.figure(f'{where} {name}', mine[name], theirs['coefficients'][name])
        else:
            check.number(f'{where} {name}', None, theirs['coefficients'][name]['estimate'])
    pairwise = light(table, grouped)
    if pairwise is not None:
        check.figure(f'{where} light_kappa', pairwise, theirs['coefficients']['light_kappa'])
    for c in CATEGORIES:
        if 'on ' + c in mine:
            check.figure(f'{where} on {c}', mine['on ' + c], theirs['specific_agreement'][c])
    if grouped:
        for row in theirs['pairs']:
            x, y = table.values[:, table.raters.index(row['a'])], table.values[:, table.raters.index(row['b'])]
            both = (x >= 0) & (y >= 0)
            if both.sum() < 2:
                continue
            found = pair(x[both], y[both], table.golfer[both], 2)
            if 'kappa' in found:
                check.figure(f"{where} {row['a']}-{row['b']} kappa", found['kappa'], row['cohen_kappa'])
        for row in theirs['self']:
            said = [(data.again[(i, c, row['rater'])], data.golfer(c)) for i in items for c in data.cases
                    if (i, c, row['rater']) in data.again and all(v in CATEGORIES for v in data.again[(i, c, row['rater'])])]
            labels = sorted({g for _, g in said})
            found = pair([CATEGORIES.index(v[0]) for v, _ in said], [CATEGORIES.index(v[1]) for v, _ in said],
                         np.array([labels.index(g) for _, g in said]), 2)
            if 'kappa' in found:
                check.figure(f"{where} {row['rater']} again", found['kappa'], row['cohen_kappa'])
            check.figure(f"{where} {row['rater']} again, same", found['agreement'], row['percent_agreement'])
        for which, rows in ((False, theirs['against_key']), (True, theirs['abstention']['against_key'])):
            for row in rows:
                cells, brier = cells_of(data, items, row['rater'], which)
                found = against_key([cells[g] for g in cells], [] if which else [brier[g] for g in brier])
                for name, v in found.items():
                    if name in row:
                        check.figure(f"{where} {row['rater']} {name}{' counted wrong' if which else ''}", v, row[name])
                if which:
                    some, _ = cells_of(data, items, row['rater'], False)
                    told = np.array([sum(some.get(g, [0])) for g in cells], float)
                    n = np.array([sum(cells[g]) for g in cells], float)
                    right = np.array([some.get(g, [0] * 4)[0] + some.get(g, [0] * 4)[3] for g in cells], float)
                    check.figure(f"{where} {row['rater']} answered", rate(told, n), row['answered'])
                    credit = right + 0.5 * (n - told)
                    value = credit.sum() / n.sum()
                    left = [(credit.sum() - k) / (n.sum() - c) if n.sum() > c else np.nan for k, c in zip(credit, n)]
                    check.figure(f"{where} {row['rater']} half credit", (value, jackknife(value, left, None, n, 0.0)),
                                 row['half_credit'])
        whole = Table(data, items, sorted(CATEGORIES + ['cannot_tell']))
        at = whole.categories.index('cannot_tell')
        value = abstaining(whole, at)
        left = [abstaining(whole.only(whole.golfer != g), at) for g in range(whole.golfer.max() + 1)]
        sizes = by_cluster(whole.golfer, np.ones(len(whole.golfer)))
        for name, v in value.items():
            place = theirs['abstention']['specific_agreement'][name[3:]] if name.startswith('on ') else \
                theirs['abstention']['coefficients'][name]
            if not math.isnan(v):
                rest = [x[name] for x in left]
                if name.startswith('on '):
                    n = whole.counts()
                    of = n[:, whole.categories.index(name[3:])] + n[:, at]
                    sizes = by_cluster(whole.golfer, of * (n.sum(axis=1) - 1))
                    v, rest = v, [x for x, size in zip(rest, sizes) if size > 0]
                told = None if np.isnan(rest).any() else jackknife(
                    v, rest, None, sizes, -1.0 if name == 'brennan_prediger' else 0.0)
                check.figure(f'{where} abstaining {name}', (v, told), place)
    if pooled and len(items) > 1:
        tables = [Table(data, [i], CATEGORIES) for i in items]
        golfers = sorted({data.golfer(c) for c in data.cases})
        each = [everything(t) for t in tables]
        labels = [sorted({data.golfer(c) for c in data.cases
                          if any(data.first.get((i, c, r)) in CATEGORIES for r in data.raters)}) for i in items]
        left = [{g: everything(t.only(t.golfer != k)) for k, g in enumerate(of)} for t, of in zip(tables, labels)]
        sizes = [sum(int((t.golfer == of.index(g)).sum()) if g in of else 0 for t, of in zip(tables, labels))
                 for g in golfers]
        for name in NAMES + ['on ' + c for c in CATEGORIES]:
            defined = [k for k, e in enumerate(each) if not math.isnan(e[name])]
            if not defined:
                continue
            value = float(np.mean([each[k][name] for k in defined]))
            rest = [float(np.mean([left[k].get(g, each[k])[name] for k in defined])) for g in golfers]
            told = None if np.isnan(rest).any() else jackknife(value, rest, None, sizes, 0.0 if name[:3] == 'on ' else -1.0)
            place = theirs['mean_over_items']['specific_agreement'][name[3:]] if name[:3] == 'on ' else \
                theirs['mean_over_items']['coefficients'][name]
            check.figure(f'{where} mean over items {name}', (value, told), place)
    if pooled and 'order' in theirs:
        d, found = order(data, items, seed)
        check.number(f'{where} design effect', d, theirs['order']['design_effect'])
        for row in theirs['order']['raters']:
            for name, v in zip(('rate', 'shrunken', 'rank_low', 'rank_high'), found[row['rater']]):
                check.number(f"{where} {row['rater']} {name}", v, row[name])
    if pooled and 'key_error' in theirs:
        questions, panel, found = key_error(data, items, seed, replicates)
        check.number(f'{where} questions', questions, theirs['key_error']['questions'])
        for name, v in zip(('prevalence', 'sensitivity', 'specificity'), panel):
            check.number(f'{where} panel {name}', v, theirs['key_error']['panel'][name])
        for row in theirs['key_error']['raters']:
            for k, name in enumerate(('sensitivity', 'specificity')):
                if row['rater'] in found:
                    value, ends = found[row['rater']][k]
                    check.number(f"{where} {row['rater']} {name} behind the panel", value, row[name]['estimate'])
                    if replicates:
                        check.number(f"{where} {row['rater']} {name} behind the panel, low", ends[0], row[name]['low'])
                        check.number(f"{where} {row['rater']} {name} behind the panel, high", ends[1], row[name]['high'])


def main():
    ratings, key, result = sys.argv[1:4]
    data, theirs, check = Data(ratings, key), json.load(open(result, encoding='utf-8')), Check()
    grouped = data.clustered()
    for item in theirs['items']:
        block(check, item['item'], data, [item['item']], item, grouped, theirs['seed'], theirs['bootstrap'],
              len(data.items) == 1)
    if len(data.items) > 1:
        block(check, 'pooled', data, data.items, theirs['pooled'], True, theirs['seed'], theirs['bootstrap'], True)
    for line in check.wrong[:40]:
        print(line)
    print(f'{check.same} figures the same, {len(check.wrong)} not')
    sys.exit(1 if check.wrong else 0)


if __name__ == '__main__':
    main()
