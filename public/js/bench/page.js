import { openStage } from './stage.js';

const root = document.querySelector('[data-bench]');
openStage(root).then((stage) => {
  root.dataset.ready = '';
  addEventListener('keydown', (e) => {
    if (e.target.closest('input, textarea, select, summary, button') && e.key === ' ') return;
    if (e.ctrlKey || e.metaKey || e.altKey || e.target.closest('input, textarea, select')) return;
    if (stage.key(e)) e.preventDefault();
  });
}).catch((error) => { root.querySelector('.films').textContent = error.message; });
