// The debrief: one topic open at a time, the key and the names shown when they are asked for.
import { Aids } from '../bench/aids.js';
import { openStage } from '../bench/stage.js';
import { DEBRIEF, KeyMap, STAGE, keyDialog } from '../keys.js';
import { word } from '../words.js';
import { Lanes, lanesOf } from './lanes.js';

async function open(root) {
  const said = JSON.parse(document.getElementById('said').textContent);
  const topics = [...root.querySelectorAll('[data-topic]')];
  const say = (text) => {
    root.querySelector('[data-announce]').textContent = text;
  };
  const helpBox = root.querySelector('[data-help-box]');
  const map = new KeyMap({ ...STAGE, ...DEBRIEF }, JSON.parse(document.getElementById('keys').textContent));
  const keyList = keyDialog(helpBox, map, root.dataset.keysUrl);
  const stage = await openStage(root);
  const lanes = new Lanes(root.querySelector('[data-lanes]'), stage);
  const drawings = root.querySelector('[data-drawings]');
  const aids = stage.canvases.length
    ? new Aids(stage, document.createElement('select'), {
        locked: true,
        set() {},
        say,
        list: () => said.people.find((p) => p.letter === drawings?.value)?.aids ?? [],
      })
    : null;
  let current = 0,
    named = false;

  const show = (seek) => {
    topics.forEach((t, i) => {
      t.classList.toggle('current', i === current);
      t.querySelector('.line').setAttribute('aria-expanded', String(i === current));
    });
    const topic = topics[current].dataset.topic;
    lanes.show(lanesOf(said, topic, stage.swing + 1), named);
    if (seek && said.faults[topic]) stage.goTo(said.faults[topic].station);
  };
  const go = (to) => {
    current = Math.min(topics.length - 1, Math.max(0, to));
    show(true);
    topics[current].scrollIntoView({ block: 'nearest' });
    say(topics[current].querySelector('.name').textContent);
  };
  const does = {
    'topic-on': () => go(current + 1),
    'topic-back': () => go(current - 1),
    answer: () => {
      const answer = topics[current].querySelector('[data-answer]');
      if (!answer) return;
      answer.hidden = !answer.hidden;
      topics[current].querySelector('[data-do="answer"]').setAttribute('aria-expanded', String(!answer.hidden));
      say(answer.hidden ? word('debrief.script.hidden-again') : answer.textContent.replace(/\s+/g, ' ').trim());
    },
    names: () => {
      named = !named;
      root.classList.toggle('named', named);
      root.querySelector('[data-do="names"]').setAttribute('aria-pressed', String(named));
      for (const option of drawings?.options ?? [])
        if (option.value) {
          const who = named ? said.people.find((p) => p.letter === option.value).name : option.value;
          option.textContent = word('debrief.script.drawn-by', { who });
        }
      show(false);
    },
    drawings: () => {
      if (drawings) {
        drawings.selectedIndex = (drawings.selectedIndex + 1) % drawings.options.length;
        aids?.draw();
      }
    },
    'next-case': () => root.querySelector('[data-turn="next-case"]')?.click(),
    'previous-case': () => root.querySelector('[data-turn="previous-case"]')?.click(),
    help: () => keyList.open(),
    shut: () => helpBox.close(),
  };
  drawings?.addEventListener('change', () => aids?.draw());
  topics.forEach((t, i) =>
    t.querySelector('.line').addEventListener('click', () => {
      current = i;
      show(true);
    }),
  );
  for (const button of root.querySelectorAll('.side [data-do], [data-help-box] [data-do]'))
    button.addEventListener('click', () => does[button.dataset.do]?.());
  for (const button of root.querySelectorAll('[data-go]'))
    button.addEventListener('click', async () => {
      stage.halt();
      await stage.toSwing(Number(button.dataset.swingOf ?? 1) - 1);
      stage.seek(Number(button.dataset.go));
    });
  (stage.onSwing ??= []).push(() => show(false));
  addEventListener('keydown', (e) => {
    if (
      e.ctrlKey ||
      e.metaKey ||
      e.altKey ||
      e.target.closest('input, textarea, select') ||
      document.querySelector('dialog[open]')
    )
      return;
    if ([' ', 'Enter'].includes(e.key) && e.target.closest('button, a')) return;
    if (e.key === '?') {
      e.preventDefault();
      keyList.open();
      return;
    }
    const action = map.action(e);
    if (!action) return;
    e.preventDefault();
    if (does[action]) does[action]();
    else stage.do(action);
  });
  show(true);
  Object.assign(root, { stage });
  root.dataset.ready = '';
}

const root = document.querySelector('[data-debrief]');
if (root)
  open(root).catch((error) => {
    root.querySelector('.films').textContent = error.message;
  });
