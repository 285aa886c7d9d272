"""What somebody would write with numpy: the take parsed, its channels smoothed, the twenty commonest measures.

Prints the median processor time of 15 runs in one process, ms. Arguments: the folder with take.csv and stations.json.
"""
import json
import sys
import time

import numpy as np

folder = sys.argv[1]
with open(f"{folder}/stations.json") as f:
    S = json.load(f)


def smoothed(v, half):
    """Local quadratic over +- half samples, as a convolution."""
    k = np.arange(-half, half + 1)
    a = np.vander(k, 3, increasing=True)
    w = np.linalg.pinv(a)[0]
    return np.convolve(np.pad(v, half, mode="edge"), w[::-1], mode="valid")


def run():
    with open(f"{folder}/take.csv") as f:
        names = f.readline().strip().split(",")
        data = np.loadtxt(f, delimiter=",")
    c = {n: smoothed(data[:, i], 12) for i, n in enumerate(names) if i > 0}
    t = data[:, 0]
    lead, trail = c["lead_fz_n"], c["trail_fz_n"]
    total = lead + trail
    share = 100 * lead / total
    weight = np.median(total[t < S["AD"]])
    at = lambda v, s: np.interp(S[s], t, v)
    part = lambda a, b: slice(np.searchsorted(t, S[a]), np.searchsorted(t, S[b]))
    back, down, through = part("AD", "TP"), part("LB", "IM"), part("IM", "FI")
    low = np.argmin(share[back])
    slope = np.gradient(share, t)
    push = c["trail_fy_n"][part("TP", "IM")] / weight * 100
    side = (c["lead_fx_n"] + c["trail_fx_n"])[down] / weight * 100
    force = total[down] / weight * 100
    return [
        share[(t > S["AD"] - 0.3) & (t < S["AD"])].mean(), 100 - share[back][low],
        (t[back][low] - S["AD"]) / (S["TP"] - S["AD"]), at(share, "TP"), at(share, "LD"), at(share, "SD"), at(share, "IM"),
        at(share, "FI"), slope[down].max(), t[down][np.argmax(slope[down])], share[down].max(),
        t[down][np.argmax(share[down])], at(share, "IM") - share[through].min(), force.min(), force.max(),
        t[down][np.argmax(force)], push.max(), t[part("TP", "IM")][np.argmax(push)], side.max(),
        (S["TP"] - S["AD"]) / (S["IM"] - S["TP"]),
    ]


assert len(run()) == 20 and np.isfinite(run()).all()
taken = []
for _ in range(15):
    start = time.process_time()
    run()
    taken.append(time.process_time() - start)
print(f"numpy {1000 * sorted(taken)[7]:.1f}")
