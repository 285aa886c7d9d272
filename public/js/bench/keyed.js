// A page around one swing that is worked by keys: the list of keys, stations and pins by pointer.
import { KeyMap, keyDialog } from '../keys.js';

/** Calls act(action) for keys of these actions, seek(pin) for marks of a moment; the stage may come later. */
export function keyed(root, actions, { act, seek, goTo }) {
  const map = new KeyMap(actions, JSON.parse(document.getElementById('keys').textContent));
  const helpBox = root.querySelector('[data-help-box]');
  const keyList = keyDialog(helpBox, map, root.dataset.keysUrl);
  root.addEventListener('click', (e) => {
    const pin = e.target.closest('[data-seek]');
    const station = e.target.closest('[data-station]');
    if (pin) seek(pin);
    else if (station) goTo(station.dataset.station);
    else if (e.target.closest('[data-do="shut"]')) helpBox.close();
  });
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
}
