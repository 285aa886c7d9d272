// A reading as it stands in this window: the server's sheet with what is still on its way laid over it.
export const OTHER = 'outside-other';

/** Whether a finding is none of the feet. */
export const isOutside = (key) => key.startsWith('outside-') || key === 'not-in-the-feet';

/** Lays one change over a sheet. */
export function apply(sheet, target, value) {
  const [what, of] = target.split(':');
  if (what === 'call') {
    if (value === null) delete sheet.calls[of];
    else sheet.calls[of] = value;
  } else if (what === 'mark') {
    if (value === null) delete sheet.marks[of];
    else sheet.marks[of] = value;
  } else if (what !== 'time') sheet[what] = value;
}

export function valueAt(sheet, target) {
  const [what, of] = target.split(':');
  if (what === 'call') return sheet.calls[of] ?? null;
  if (what === 'mark') return sheet.marks[of] ?? null;
  return sheet[what] ?? null;
}

/** What outside the feet is named anywhere in a sheet. */
export function outside(sheet) {
  const reactions = Object.values(sheet.calls).map((c) => c.reaction);
  return [...new Set([...sheet.causes, ...sheet.chain.flat(), ...reactions])].filter((k) => k && isOutside(k));
}

/** Per cent that no miss comes. */
export const noMiss = (misses) => 100 - Object.values(misses).reduce((a, b) => a + b, 0);

export const copy = (value) => JSON.parse(JSON.stringify(value));

export function present(sheet) {
  return Object.keys(sheet.calls).filter((k) => sheet.calls[k].presence === 'present');
}

/** Whether a link from one finding to another would close a circle. */
export function circles(links, from, to) {
  const seen = new Set();
  const reach = (at) => at === from || (!seen.has(at) && seen.add(at) && links.some(([a, b]) => a === at && reach(b)));
  return reach(to);
}

/** Findings of a chain in columns, causes first. */
export function layers(links) {
  let left = [...new Set(links.flat())],
    open = links;
  const out = [];
  while (left.length) {
    const free = left.filter((k) => !open.some(([, to]) => to === k));
    if (!free.length) return out;
    out.push(free);
    left = left.filter((k) => !free.includes(k));
    open = open.filter(([from]) => !free.includes(from));
  }
  return out;
}
