#!/usr/bin/env python3
"""Writes a C3D file of closed forms by the format's own description, and what is in it as JSON.

Shares nothing with the program. Standing on two plates for 0.6 s, a right-handed golfer who looks along -Y, X to the
target; forces, places and turning moments are sines whose values at every analog sample are known.

    write_c3d.py OUT.c3d [--rate 200] [--ratio 5] [--type 2|4] [--ints] > OUT.json
"""

import argparse
import json
import math
import struct

SECONDS = 0.6
MASS_N = 80.0 * 9.80665
DEPTH = 35.0
PLATES = {"lead": (250.0, 20.0), "trail": (-260.0, -10.0)}  # middles of the surfaces, mm
HALF = (200.0, 300.0)  # half of a plate along its own x (lab Y) and y (lab X), mm
POINTS = {
    "LEAD_HEEL": (240.0, 95.0, 30.0), "LEAD_BALL": (262.0, -95.0, 20.0),
    "TRAIL_HEEL": (-235.0, 90.0, 30.0), "TRAIL_BALL": (-235.0, -100.0, 20.0),
    "LEAD_HIP": (120.0, 40.0, 930.0), "TRAIL_HIP": (-120.0, 40.0, 930.0),
    "LEAD_SHOULDER": (190.0, -150.0, 1390.0), "TRAIL_SHOULDER": (-190.0, -150.0, 1370.0),
    "CLUB_HEAD": (30.0, -820.0, 25.0), "GRIP": (20.0, -330.0, 760.0),
}


def ground(side, t):
    """What the ground does to one foot: force (N, lab), place (mm, lab), free moment about Z (N m)."""
    sign = 1.0 if side == "lead" else -1.0
    part = 0.55 + 0.15 * math.sin(2 * math.pi * 1.5 * t)
    part = part if side == "lead" else 1.0 - part
    fz = part * MASS_N
    fx = 22.0 * math.sin(2 * math.pi * 2.0 * t) + sign * 4.0
    fy = sign * 31.0 * math.sin(2 * math.pi * 1.0 * t)
    x = (245.0 if side == "lead" else -240.0) + 9.0 * math.sin(2 * math.pi * 1.2 * t)
    y = -5.0 + 40.0 * math.cos(2 * math.pi * 0.8 * t)
    return (fx, fy, fz), (x, y), sign * 2.5 * math.sin(2 * math.pi * 1.1 * t)


def channels(side, t):
    """Fx Fy Fz Mx My Mz as a plate gives them whose x lies along lab Y, y along lab X, z down."""
    (gx, gy, gz), (x, y), turn = ground(side, t)
    cx, cy = PLATES[side]
    fx, fy, fz = -gy, -gx, gz
    px, py = y - cy, x - cx
    mx, my, mz = py * fz, -px * fz, px * fy - py * fx + 1000.0 * turn
    # The transducers lie below the surface.
    return [fx, fy, fz, mx + DEPTH * fy, my - DEPTH * fx, mz]


def calibration():
    """Six by six: what each channel counts, with a little crosstalk."""
    size = [12.0, 15.0, 22.0, 900.0, 800.0, 700.0]
    return [[size[i] if i == j else 0.01 * size[i] * (1 + i - j) for j in range(6)] for i in range(6)]


def solve(matrix, right):
    rows = [list(r) + [b] for r, b in zip(matrix, right)]
    n = len(rows)
    for i in range(n):
        best = max(range(i, n), key=lambda k: abs(rows[k][i]))
        rows[i], rows[best] = rows[best], rows[i]
        for k in range(n):
            if k != i:
                by = rows[k][i] / rows[i][i]
                rows[k] = [a - by * b for a, b in zip(rows[k], rows[i])]
    return [rows[i][n] / rows[i][i] for i in range(n)]


def parameter(name, group, kind, dims, data):
    body = struct.pack("<bB", kind, len(dims)) + bytes(dims) + data + b"\0"
    return struct.pack("<bb", len(name), group) + name.encode() + struct.pack("<h", 2 + len(body)) + body


def words(items, width):
    return b"".join(i.encode().ljust(width) for i in items)


def shorts(*v):
    return struct.pack("<%dh" % len(v), *v)


def floats(*v):
    return struct.pack("<%df" % len(v), *v)


def main():
    a = argparse.ArgumentParser()
    a.add_argument("out")
    a.add_argument("--rate", type=float, default=200.0)
    a.add_argument("--ratio", type=int, default=5)
    a.add_argument("--type", type=int, default=2, choices=[2, 4])
    a.add_argument("--ints", action="store_true")
    args = a.parse_args()
    frames = int(SECONDS * args.rate)
    samples = frames * args.ratio
    labels = list(POINTS)
    matrix = calibration()
    scale = 0.05
    analog, truth = [], {"lead": [], "trail": []}
    for i in range(samples):
        t = i / (args.rate * args.ratio)
        row = []
        for side in ("lead", "trail"):
            six = channels(side, t)
            row += solve(matrix, six) if args.type == 4 else six
            truth[side].append(ground(side, t))
        analog.append(row)
    # Each channel in whole steps of its own, about an offset of its own.
    steps = [max(abs(r[c]) for r in analog) / 30000.0 for c in range(12)] if args.ints else [1.0] * 12
    offsets = [7 * c - 40 for c in range(12)] if args.ints else [0] * 12

    groups = [("POINT", 1), ("ANALOG", 2), ("FORCE_PLATFORM", 3), ("EVENT", 4)]
    body = b""
    for name, number in groups:
        body += struct.pack("<bb", len(name), -number) + name.encode() + struct.pack("<h", 3) + b"\0"
    used = len(labels)
    body += parameter("USED", 1, 2, [], shorts(used))
    body += parameter("FRAMES", 1, 2, [], shorts(frames))
    body += parameter("SCALE", 1, 4, [], floats(scale if args.ints else -scale))
    body += parameter("RATE", 1, 4, [], floats(args.rate))
    body += parameter("UNITS", 1, -1, [2], b"mm")
    body += parameter("LABELS", 1, -1, [16, used], words(labels, 16))
    body += parameter("USED", 2, 2, [], shorts(12))
    body += parameter("GEN_SCALE", 2, 4, [], floats(1.0))
    body += parameter("SCALE", 2, 4, [12], floats(*steps))
    body += parameter("OFFSET", 2, 2, [12], shorts(*offsets))
    body += parameter("RATE", 2, 4, [], floats(args.rate * args.ratio))
    body += parameter("LABELS", 2, -1, [4, 12], words(["C%02d" % c for c in range(12)], 4))
    corners = []
    for side in ("lead", "trail"):
        cx, cy = PLATES[side]
        for sx, sy in ((1, 1), (-1, 1), (-1, -1), (1, -1)):
            corners += [cx + sy * HALF[1], cy + sx * HALF[0], 0.0]
    body += parameter("USED", 3, 2, [], shorts(2))
    body += parameter("TYPE", 3, 2, [2], shorts(args.type, args.type))
    body += parameter("CORNERS", 3, 4, [3, 4, 2], floats(*corners))
    body += parameter("ORIGIN", 3, 4, [3, 2], floats(0, 0, -DEPTH, 0, 0, -DEPTH))
    body += parameter("CHANNEL", 3, 2, [6, 2], shorts(*range(1, 13)))
    body += parameter("ZERO", 3, 2, [2], shorts(0, 0))
    if args.type == 4:
        by_column = [matrix[i][j] for _ in range(2) for j in range(6) for i in range(6)]
        body += parameter("CAL_MATRIX", 3, 4, [6, 6, 2], floats(*by_column))
    body += parameter("USED", 4, 2, [], shorts(2))
    body += parameter("LABELS", 4, -1, [8, 2], words(["Address", "Impact"], 8))
    body += parameter("TIMES", 4, 4, [2, 2], floats(0.0, 0.15, 0.0, 0.45))
    body += b"\0\0"
    blocks = -(-(4 + len(body)) // 512)
    parameters = (struct.pack("<BBBB", 1, 0x50, blocks, 84) + body).ljust(512 * blocks, b"\0")
    header = struct.pack("<BB", 2, 0x50) + struct.pack("<5H", used, 12 * args.ratio, 1, frames, 10)
    header += floats(scale if args.ints else -scale) + struct.pack("<2H", 2 + blocks, args.ratio) + floats(args.rate)
    data = b""
    for f in range(frames):
        wave = 3.0 * math.sin(2 * math.pi * 1.0 * f / args.rate)
        for name in labels:
            x, y, z = POINTS[name]
            at = (x, y, z + (wave if name == "CLUB_HEAD" else 0.0))
            data += shorts(*(round(v / scale) for v in at), 0) if args.ints else floats(*at, 0.0)
        for s in range(args.ratio):
            for c, v in enumerate(analog[f * args.ratio + s]):
                raw = v / steps[c] + offsets[c]
                data += shorts(round(raw)) if args.ints else floats(raw)
    with open(args.out, "wb") as out:
        out.write(header.ljust(512, b"\0") + parameters + data)
    print(json.dumps({
        "rate": args.rate * args.ratio,
        "points": args.rate,
        "newtons": MASS_N,
        "events": {"AD": 0.15, "IM": 0.45},
        "lead": [[round(v, 6) for v in (*f, *p, m)] for f, p, m in truth["lead"][:: args.ratio]],
        "trail": [[round(v, 6) for v in (*f, *p, m)] for f, p, m in truth["trail"][:: args.ratio]],
    }))


if __name__ == "__main__":
    main()
