import { Aids } from './aids.js';
import { openFilmsPanel } from './films-panel.js';
import { KeyMap, STAGE, keyDialog } from '../keys.js';
import { openStage } from './stage.js';
import { showWhy } from './why.js';

const root = document.querySelector('[data-bench]');
const helpBox = root.querySelector('[data-help-box]');
const map = new KeyMap(STAGE, JSON.parse(document.getElementById('keys').textContent));
const keyList = keyDialog(helpBox, map, root.dataset.keysUrl);
for (const button of root.querySelectorAll('[data-do="help"], [data-do="shut"]'))
  button.addEventListener('click', () => (button.dataset.do === 'help' ? keyList.open() : helpBox.close()));

// What is open already waits until the swing is there to be looked at.
const opened = openStage(root);
for (const details of root.querySelectorAll('[data-why]')) {
  details.addEventListener('toggle', () => showWhy(details));
  opened.finally(() => showWhy(details)).catch(() => {});
}

opened
  .then((stage) => {
    openFilmsPanel(root, stage);
    // On the Bench aids are a sketch of this browser's; in a reading they are kept with it.
    const at = `vc-aids:${root.dataset.evidence}`;
    let sketch = JSON.parse(sessionStorage.getItem(at) ?? '[]');
    const menu = root.querySelector('[data-aid]');
    const says = root.querySelector('[data-announce]');
    if (menu) {
      const aids = new Aids(stage, menu, {
        locked: false,
        list: () => sketch,
        say: (text) => {
          says.textContent = text;
        },
        set: (list) => {
          sketch = list;
          sessionStorage.setItem(at, JSON.stringify(list));
          aids.draw();
        },
      });
    }
    Object.assign(root, { stage });
    root.dataset.ready = '';
    for (const button of root.querySelectorAll('[data-go]'))
      button.addEventListener('click', () => {
        stage.halt();
        stage.seek(Number(button.dataset.go));
      });
    for (const form of root.querySelectorAll('[data-mark]')) {
      form.addEventListener('submit', () => {
        form.elements.t_s.value = stage.t.toFixed(6);
        sessionStorage.setItem('bench-t', String(stage.t));
      });
    }
    const kept = sessionStorage.getItem('bench-t');
    sessionStorage.removeItem('bench-t');
    if (kept) {
      stage.seek(Number(kept));
      document.querySelector('#stations')?.scrollIntoView();
    }
    addEventListener('keydown', (e) => {
      if (e.target.closest('input, textarea, select, summary, button') && e.key === ' ') return;
      if (e.ctrlKey || e.metaKey || e.altKey || e.target.closest('input, textarea, select')) return;
      if (document.querySelector('dialog[open]')) return;
      if (e.key === '?') {
        e.preventDefault();
        keyList.open();
        return;
      }
      const action = map.action(e);
      if (action) {
        e.preventDefault();
        stage.do(action);
      }
    });
  })
  .catch((error) => {
    root.querySelector('.films').textContent = error.message;
  });
