// What a person reads comes from lang/, printed into the page by <x-words>; scripts only put values in.

/** @param {object} said words by dotted path: text with :name for values, or "one|many" chosen by :count */
export const speaker =
  (said) =>
  (path, values = {}) => {
    const line = path.split('.').reduce((of, part) => of?.[part], said);
    if (typeof line !== 'string') return path;
    const [one, many] = line.split('|');
    const text = many !== undefined && values.count !== 1 ? many : one;
    return text.replace(/:([a-z]+)/g, (whole, name) => values[name] ?? whole);
  };

let page = null;

/** The words of this page; the path itself where there is no such line. */
export function word(path, values) {
  page ??= speaker(JSON.parse(document.getElementById('words')?.textContent ?? '{}'));
  return page(path, values);
}
