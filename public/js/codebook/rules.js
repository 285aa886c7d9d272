// The builder of rules on a fault's form, and what the rules would turn as they stand. The fields it fills are those
// that are sent; where scripts do not run a rule is written in them as in the file.
import { word } from '../words.js';
import { about, add, asked, at, blank, GROUPS, isGroup, number, NUMBER_OPS, put, WORD_OPS } from './rule.js';

const form = document.querySelector('[data-rules]');
const { measures, stations } = JSON.parse(document.getElementById('vocabulary').textContent);
const byKey = new Map(measures.map((m) => [m.key, m]));
const says = (path) => word(`draft.builder.${path}`);

const element = (name, of = {}, ...children) => {
  const made = Object.assign(document.createElement(name), of);
  made.append(...children.filter((child) => child !== null));
  return made;
};

function choice(label, options, value, change) {
  const select = element('select', { onchange: () => change(select.value) });
  select.setAttribute('aria-label', label);
  for (const [key, name] of options) select.append(new Option(name, key, false, key === value));
  return element('div', { className: 'select' }, select);
}

const button = (label, click) => element('button', { type: 'button', className: 'plain small', onclick: click }, label);

/** One rule of a place: its builder stands over the field that is sent. */
class Builder {
  constructor(part) {
    this.field = part.querySelector('[data-json]');
    this.says = part.querySelector('[data-says]');
    this.root = element('div', { className: 'rule-built' });
    this.field.before(this.root);
    this.field.hidden = true;
    try {
      this.rule = this.field.value.trim() === '' ? null : JSON.parse(this.field.value);
      this.draw();
    } catch {
      // What was written by hand and is no JSON is left to be mended by hand.
      this.field.hidden = false;
    }
  }

  set(rule, redraw = true) {
    this.rule = rule;
    this.field.value = rule === null ? '' : JSON.stringify(rule);
    if (redraw) this.draw();
    look();
  }

  draw() {
    const begin = () => this.set(blank(byKey.get('lead_share') ?? measures[0]));
    this.root.replaceChildren(this.rule === null ? button(says('begin'), begin) : this.drawn([]));
  }

  drawn(way) {
    const rule = at(this.rule, way);
    return isGroup(rule) ? this.group(rule, way) : this.condition(rule, way);
  }

  more(way) {
    const next = blank(byKey.get(asked(at(this.rule, way)).key) ?? measures[0]);
    return element(
      'p',
      { className: 'rule-more' },
      button(says('condition'), () => this.set(add(this.rule, way, next))),
      way.length < 2 ? button(says('group'), () => this.set(add(this.rule, way, ['any', next]))) : null,
      way.length > 0 ? button(says('remove'), () => this.set(put(this.rule, way, null))) : null,
    );
  }

  group(rule, way) {
    const kinds = GROUPS.map((kind) => [kind, says(kind)]);
    return element(
      'div',
      { className: 'rule-group' },
      choice(says('kind'), kinds, rule[0], (kind) => this.set(put(this.rule, way, [kind, ...rule.slice(1)]))),
      ...rule.slice(1).map((_, i) => this.drawn([...way, i])),
      this.more(way),
    );
  }

  condition(rule, way) {
    const { key, station } = asked(rule);
    const measure = byKey.get(key) ?? measures[0];
    const change = (next, redraw = false) => this.set(put(this.rule, way, next), redraw);
    const now = () => at(this.rule, way);
    const ops = (measure.words.length ? WORD_OPS : NUMBER_OPS).map((op) => [op, word(`remarks.op.${op}`)]);
    return element(
      'div',
      { className: 'rule-condition' },
      choice(
        says('measure'),
        measures.map((m) => [m.key, m.name]),
        key,
        (next) => change(about(now(), byKey.get(next)), true),
      ),
      measure.stations
        ? choice(
            says('station'),
            stations.map((s) => [s, s]),
            station,
            (next) => change([`${key}@${next}`, ...now().slice(1)]),
          )
        : null,
      choice(says('op'), ops, rule[1], (op) => change([now()[0], op, now()[2]])),
      measure.words.length
        ? choice(
            says('threshold'),
            measure.words.map((w) => [w, w]),
            rule[2],
            (next) => change([now()[0], now()[1], next]),
          )
        : this.threshold(rule, measure, (next) => change([now()[0], now()[1], next])),
      measure.unit && measure.unit !== 'ratio' ? element('span', { className: 'unit quiet' }, measure.unit) : null,
      way.length > 0 || rule === this.rule ? this.conditionMore(way) : null,
    );
  }

  conditionMore(way) {
    return element(
      'span',
      {},
      way.length === 0 ? button(says('condition'), () => this.set(add(this.rule, way, at(this.rule, way)))) : null,
      button(says('remove'), () => this.set(put(this.rule, way, null))),
    );
  }

  threshold(rule, measure, change) {
    const input = element('input', { className: 'input threshold', inputMode: 'decimal', value: String(rule[2]) });
    input.setAttribute('aria-label', `${says('threshold')}, ${measure.unit}`);
    input.addEventListener('input', () => {
      const value = number(input.value);
      input.setAttribute('aria-invalid', value === null ? 'true' : 'false');
      if (value !== null) change(value);
    });
    return input;
  }
}

const built = new Map();

function begin(place) {
  for (const part of place.querySelectorAll('[data-rule]')) {
    built.set(part.querySelector('[data-json]').name, new Builder(part));
  }
  place.querySelector('[data-drop-place]').addEventListener('click', () => {
    const more = form.querySelector('[data-more]');
    more.append(new Option(place.querySelector('[data-place-name]').textContent, place.dataset.place));
    for (const field of place.querySelectorAll('[data-json]')) built.delete(field.name);
    place.remove();
    look();
  });
}

form.querySelector('[data-add-place]').addEventListener('click', () => {
  const more = form.querySelector('[data-more]');
  const chosen = more.selectedOptions[0];
  if (!chosen) return;
  const place = form.querySelector('[data-place-blank]').content.firstElementChild.cloneNode(true);
  place.dataset.place = chosen.value;
  place.querySelector('[data-place-name]').textContent = chosen.textContent;
  place.querySelector('[data-drop-place]').hidden = false;
  for (const field of place.querySelectorAll('[data-json]')) {
    const member = field.closest('[data-rule]').dataset.rule;
    field.name = `rules[${chosen.value}][${member}]`;
    field.setAttribute(
      'aria-label',
      `${field.closest('[data-rule]').querySelector('h4').textContent} – ${chosen.text}`,
    );
    // It begins as the rule whose place it takes.
    field.value = built.get(`rules[own][${member}]`)?.field.value ?? '';
  }
  form.querySelector('.more-places').before(place);
  chosen.remove();
  begin(place);
  look();
});

const trial = form.querySelector('[data-trial]');

function showTrial(found) {
  for (const [name, builder] of built) {
    const [, place, member] = name.match(/^rules\[(.*)]\[(\w+)]$/);
    builder.says.textContent = found.says[place]?.[member] ?? '';
  }
  const row = (flip) =>
    element(
      'tr',
      {},
      element('td', {}, element('a', { href: flip.url }, flip.name), element('span', {}, ` ${flip.lenses}`)),
      element('td', { className: 'quiet' }, flip.was),
      element('td', {}, flip.is),
    );
  trial.replaceChildren(
    element('h3', {}, word('draft.row.trial')),
    ...(found.defects.length
      ? found.defects.map((defect) => element('p', { className: 'notice refused' }, defect))
      : [element('p', { className: 'small quiet' }, says('none'))]),
    element('p', {}, element('b', {}, found.title)),
    found.flips.length
      ? element(
          'table',
          { className: 'rows' },
          element(
            'thead',
            {},
            element(
              'tr',
              {},
              ...['recording', 'was', 'is'].map((name) => element('th', {}, word(`draft.flips.${name}`))),
            ),
          ),
          element('tbody', {}, ...found.flips.map(row)),
        )
      : null,
  );
}

/** What it would be as it stands; an answer that was overtaken by a later one is dropped. */
let looks = 0;
let waiting = null;
function look() {
  clearTimeout(waiting);
  trial.setAttribute('aria-busy', 'true');
  waiting = setTimeout(async () => {
    const turn = ++looks;
    const body = new FormData(form);
    body.delete('_method');
    try {
      const response = await fetch(form.dataset.look, {
        method: 'POST',
        body,
        headers: { Accept: 'application/json' },
      });
      const found = await response.json();
      if (turn !== looks) return;
      if (response.ok) showTrial(found);
      else trial.replaceChildren(element('p', { className: 'notice refused' }, found.message));
    } catch {
      if (turn === looks) trial.replaceChildren(element('p', { className: 'notice refused' }, says('failed')));
    }
    if (turn === looks) trial.removeAttribute('aria-busy');
  }, 350);
}

for (const place of form.querySelectorAll('[data-place]')) begin(place);
look();
