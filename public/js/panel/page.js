// Before a ruling: the curve that contradicts the panel, fetched where it is opened.
import { showWhy } from '../bench/why.js';

for (const details of document.querySelectorAll('[data-why]'))
  details.addEventListener('toggle', () => showWhy(details));
