// A question of practice: the swing halted where the fault shows, one answer by key, the truth at the same moment.
import { openStage } from '../bench/stage.js';
import { KeyMap, PRACTICE, STAGE, keyDialog } from '../keys.js';

async function open(root) {
  const map = new KeyMap({ ...STAGE, ...PRACTICE }, JSON.parse(document.getElementById('keys').textContent));
  const helpBox = root.querySelector('[data-help-box]');
  const keyList = keyDialog(helpBox, map, root.dataset.keysUrl);
  const answers = root.querySelector('[data-answers]');
  // An answer is given before the swing is drawn as well: who knows need not wait.
  let stage = null;
  const act = (action) => {
    if (action === 'next-question') root.querySelector('[data-next]')?.click();
    else if (answers?.querySelector(`[data-answer="${action}"]`))
      answers.querySelector(`[data-answer="${action}"]`).click();
    else stage?.do(action);
  };
  addEventListener('keydown', (e) => {
    if (e.ctrlKey || e.metaKey || e.altKey || document.querySelector('dialog[open]')) return;
    if (e.target.matches('input, select, textarea')) return;
    if ((e.key === ' ' || e.key === 'Enter') && e.target.closest('button, a')) return;
    if (e.key === '?') {
      e.preventDefault();
      keyList.open();
      return;
    }
    const action = map.action(e);
    if (!action) return;
    e.preventDefault();
    act(action);
  });
  // Sent once, however often it is pressed.
  answers?.addEventListener('submit', () => {
    setTimeout(() => {
      for (const button of answers.querySelectorAll('button')) button.disabled = true;
    });
  });
  stage = await openStage(root);
  root.addEventListener('click', (e) => {
    const pin = e.target.closest('[data-seek]');
    const station = e.target.closest('[data-station]');
    if (pin) {
      stage.halt();
      stage.seek(Number(pin.dataset.seek));
    } else if (station) stage.goTo(station.dataset.station);
    else if (e.target.closest('[data-do="shut"]')) helpBox.close();
  });
  if ('answered' in root.dataset) stage.goTo(root.dataset.at);
  root.dataset.ready = '';
}

const root = document.querySelector('[data-practice]');
if (root)
  open(root).catch((error) => {
    root.querySelector('.films').textContent = error.message;
  });
