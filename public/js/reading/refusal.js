// A change the server did not take: what it was, why, and what may be done about it.
import { word } from '../words.js';

/**
 * @param {{target: string, value: any, because: string, conflict: boolean}} refused
 * @param {Object<string, {name: string}>} names of the faults
 * @param {(refused: object) => void} put what was refused in the place of what stands there
 */
export function refusal(refused, names, put) {
  const [what, of] = refused.target.split(':');
  const name = what === 'call' ? (names[of]?.name ?? of) : word(`sheet.parts.${what}`);
  const note = Object.assign(document.createElement('p'), { className: 'notice refused small' });
  note.append(`${word('sheet.refused', { what: name, why: refused.because })} `);
  const button = (text, act) => {
    const b = Object.assign(document.createElement('button'), { type: 'button', className: 'link', textContent: text });
    b.addEventListener('click', () => {
      act();
      note.remove();
    });
    note.append(b, ' ');
  };
  if (refused.conflict) button(word('sheet.put-mine'), () => put(refused));
  button(word(refused.conflict ? 'sheet.leave-so' : 'sheet.seen'), () => {});
  return note;
}
