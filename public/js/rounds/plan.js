// Planning in steps: one is shown at a time, all of them where scripts do not run. What is chosen stays in the form.
import { word } from '../words.js';

const root = document.querySelector('[data-plan]');
const form = root.querySelector('[data-plan-form]');
const steps = [...root.querySelectorAll('[data-to]')].map((a) => a.dataset.to);
const ticked = (name) => form.querySelectorAll(`input[name="${name}[]"]:checked`).length;

/** How many cases of several swings are chosen. */
function severalCases() {
  const pairs = [...form.querySelectorAll('select[name$="[before]"]')].filter((s) => s.value).length;
  const ladder = [...form.querySelectorAll('select[name^="ladder["]')].some((s) => s.value) ? 1 : 0;
  return ticked('series') + pairs + ladder;
}

/** What the round as it is ticked will be able to say; an answer that was overtaken by a later one is dropped. */
let forecasts = 0;
async function forecast() {
  const turn = ++forecasts;
  const part = root.querySelector('[data-forecast]');
  const asked = new URLSearchParams({
    several: severalCases(),
    again: ticked('repeats'),
    readers: ticked('members'),
  });
  for (const box of form.querySelectorAll('input[name="recordings[]"]:checked'))
    asked.append('recordings[]', box.value);
  try {
    const response = await fetch(`${part.dataset.forecast}?${asked}`);
    if (response.ok && turn === forecasts) part.innerHTML = await response.text();
  } catch {
    // Without it the step still says what is said of every round.
  }
}

/** What the check says of the form as it stands. */
function check() {
  const several = severalCases();
  const counts = [
    ['cases', ticked('recordings')],
    ['several', several],
    ['again', ticked('repeats')],
    ['kept', Number(form.elements.keep.value)],
    ['people', ticked('members')],
  ];
  const lines = counts.filter(([, count]) => count).map(([what, count]) => word(`plan.check.${what}`, { count }));
  if (!ticked('recordings') && !several) lines.unshift(word('plan.check.nothing'));
  if (!ticked('members')) lines.push(word('plan.check.nobody'));
  root
    .querySelector('[data-check]')
    .replaceChildren(...lines.map((text) => Object.assign(document.createElement('li'), { textContent: text })));
}

function go(step) {
  for (const part of root.querySelectorAll('[data-step]')) part.hidden = part.dataset.step !== step;
  for (const link of root.querySelectorAll('[data-to]')) {
    if (link.dataset.to === step) link.setAttribute('aria-current', 'step');
    else link.removeAttribute('aria-current');
  }
  if (step === 'check') check();
  if (step === 'precision') forecast();
}

for (const link of root.querySelectorAll('[data-to]'))
  link.addEventListener('click', (e) => {
    e.preventDefault();
    history.replaceState(null, '', `#${link.dataset.to}`);
    go(link.dataset.to);
  });
steps.forEach((step, i) => {
  const next = steps[i + 1];
  if (!next) return;
  const button = document.createElement('button');
  Object.assign(button, {
    type: 'button',
    className: 'act',
    textContent: word('plan.next', { step: word(`plan.steps.${next}`) }),
  });
  button.addEventListener('click', () => {
    root.querySelector(`[data-to="${next}"]`).click();
    root.scrollIntoView({ block: 'start' });
  });
  form.querySelector(`[data-step="${step}"]`).append(button);
});
// What only a panel has.
const kind = form.elements.kind;
const ofPanels = () => {
  for (const part of form.querySelectorAll('[data-of="panel"]')) part.hidden = kind.value !== 'panel';
};
kind.addEventListener('change', ofPanels);
ofPanels();
// A group's people, all at once: ticked by the first press, let go by the next.
for (const button of form.querySelectorAll('[data-tick]'))
  button.addEventListener('click', () => {
    const on = button.getAttribute('aria-pressed') !== 'true';
    button.setAttribute('aria-pressed', String(on));
    for (const id of button.dataset.tick.split(' ').filter(Boolean)) {
      const box = form.querySelector(`input[name="members[]"][value="${id}"]`);
      if (box) box.checked = on;
    }
  });
// What is looked for is fetched with what is chosen so far, which the new list holds first; the last search wins.
const find = form.querySelector('[data-find]');
let asking = null;
async function look() {
  asking?.abort();
  asking = new AbortController();
  const chosen = [...new FormData(form)].filter(
    ([name, value]) => /^(recordings|series|pairs|ladder)\[/.test(name) && value,
  );
  const query = new URLSearchParams([...chosen, ['find', find.value]]);
  try {
    const response = await fetch(`${find.dataset.find}?${query}`, { signal: asking.signal });
    if (response.ok) form.querySelector('[data-choices]').innerHTML = await response.text();
  } catch (error) {
    if (error.name !== 'AbortError') throw error;
  }
}
let typed = null;
find.addEventListener('input', () => {
  clearTimeout(typed);
  typed = setTimeout(look, 200);
});
find.addEventListener('keydown', (e) => {
  if (e.key !== 'Enter') return;
  e.preventDefault();
  clearTimeout(typed);
  look();
});
// A field that wants something is gone to, in whichever step it stands.
form.addEventListener('invalid', (e) => go(e.target.closest('[data-step]').dataset.step), true);
const asked = location.hash.slice(1);
go(steps.includes(asked) ? asked : steps[0]);
