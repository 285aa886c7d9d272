// How the clock of one swing follows another's.

/**
 * The second's time for a time of the first.
 * @param {Object<string, number>} a stations of the first, s
 * @param {Object<string, number>} b stations of the second, s
 * @param {string} lock "stations" to meet at every station both have, or the code of the one they meet at
 */
export function follow(a, b, lock) {
  const shared = Object.keys(a).filter((code) => b[code] !== undefined);
  if (!shared.length) return (t) => t;
  if (lock !== 'stations') {
    const code = shared.includes(lock) ? lock : shared[0];
    return (t) => b[code] + t - a[code];
  }
  const from = shared.map((code) => a[code]),
    to = shared.map((code) => b[code]);
  return (t) => {
    const last = from.length - 1;
    if (t <= from[0]) return to[0] + t - from[0];
    if (t >= from[last]) return to[last] + t - from[last];
    const i = from.findLastIndex((s) => s <= t);
    return to[i] + ((t - from[i]) / (from[i + 1] - from[i])) * (to[i + 1] - to[i]);
  };
}
