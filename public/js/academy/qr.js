// Draws the address of a second factor as a code that a telephone reads; it is made here and goes nowhere.
import qrcode from '../../vendor/qrcode/qrcode.js';

const SVG = 'http://www.w3.org/2000/svg';
const QUIET = 4;

/** @param {HTMLElement} place  whose data-qr is what the code says */
export function draw(place) {
  const code = qrcode(0, 'M');
  code.addData(place.dataset.qr);
  code.make();
  const n = code.getModuleCount();
  let path = '';
  for (let row = 0; row < n; row++) {
    for (let column = 0; column < n; column++) {
      if (code.isDark(row, column)) path += `M${column + QUIET} ${row + QUIET}h1v1h-1z`;
    }
  }
  const svg = document.createElementNS(SVG, 'svg');
  svg.setAttribute('viewBox', `0 0 ${n + 2 * QUIET} ${n + 2 * QUIET}`);
  const dark = document.createElementNS(SVG, 'path');
  dark.setAttribute('d', path);
  svg.append(dark);
  place.replaceChildren(svg);
}

for (const place of document.querySelectorAll('[data-qr]')) draw(place);
