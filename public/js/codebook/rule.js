// A rule as data, in the language of the codebook's file: [measure or measure@STATION, op, threshold], or
// ['all' | 'any' | 'first', rule, …]. Pure: the page draws what stands here.

export const GROUPS = ['all', 'any', 'first'];
export const NUMBER_OPS = ['<', '<=', '>', '>='];
export const WORD_OPS = ['is', 'not'];

export const isGroup = (rule) => GROUPS.includes(rule[0]);

/** @returns {{key: string, station: ?string}} what a condition asks */
export function asked(rule) {
  const [key, station = null] = String(rule[0]).split('@');
  return { key, station };
}

/** A condition about a measure as it begins: at no threshold yet. */
export function blank(measure, station = 'IM') {
  return [
    measure.stations ? `${measure.key}@${station}` : measure.key,
    measure.words.length ? 'is' : '<',
    measure.words[0] ?? 0,
  ];
}

/** The same condition about another measure: what still fits stays. */
export function about(rule, measure) {
  const { station } = asked(rule);
  const fresh = blank(measure, station ?? 'IM');
  const fits = measure.words.length === 0 && typeof rule[2] === 'number';
  return fits ? [fresh[0], rule[1], rule[2]] : fresh;
}

/** @param {number[]} way to a part: its places from the root; empty: the whole */
export function at(rule, way) {
  return way.reduce((of, place) => of[place + 1], rule);
}

/** The rule with a part replaced, or taken out where it is null; a group that is left with nothing goes as well. */
export function put(rule, way, part) {
  if (way.length === 0) return part;
  const [place, ...rest] = way;
  const inner = put(rule[place + 1], rest, part);
  const next = [...rule];
  if (inner === null) next.splice(place + 1, 1);
  else next[place + 1] = inner;
  return next.length === 1 ? null : next;
}

/** The rule with one more part beside what stands at a place: a lone condition becomes a group of two. */
export function add(rule, way, part) {
  const of = at(rule, way);
  return put(rule, way, isGroup(of) ? [...of, part] : ['all', of, part]);
}

/** What is written in a field of numbers; null where it is none. */
export function number(text) {
  const plain = text.trim().replace('−', '-').replace(',', '.');
  return plain !== '' && Number.isFinite(Number(plain)) ? Number(plain) : null;
}
