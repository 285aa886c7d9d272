// A case that a panel is asked about once more: the swing as it was shown, halted where somebody put a pin.
import { keyed } from '../bench/keyed.js';
import { openStage } from '../bench/stage.js';
import { STAGE } from '../keys.js';

async function open(root) {
  const stage = await openStage(root);
  keyed(root, STAGE, {
    act: (action) => stage.do(action),
    seek: async (pin) => {
      stage.halt();
      await stage.toSwing(Number(pin.dataset.ofSwing) - 1);
      stage.seek(Number(pin.dataset.seek));
    },
    goTo: (code) => stage.goTo(code),
  });
  for (const form of root.querySelectorAll('.answer'))
    form.addEventListener('submit', (e) => {
      e.preventDefault();
      keep(form);
    });
  for (const rung of root.querySelectorAll('[data-rung]')) openRung(rung);
  root.dataset.ready = '';
}

/** Asks what a drill would do only where its score is low; a digit leads on to the next rung. */
function openRung(rung) {
  const score = rung.querySelector('[data-score]');
  const harm = rung.closest('form').querySelector(`[data-harm="${rung.dataset.rung}"]`);
  const show = () => {
    harm.hidden = score.value === '' || Number(score.value) > 3;
  };
  score.addEventListener('input', () => {
    show();
    if (!/^[1-9]$/.test(score.value)) return;
    const form = rung.closest('form');
    const next =
      rung.nextElementSibling.querySelector('[data-score]') ??
      form.querySelector('[data-harm]:not([hidden]) select') ??
      form.querySelector('button');
    next.focus();
  });
  show();
}

/** Saves one answer where it stands: what is written beside it and not yet saved stays. */
async function keep(form) {
  const says = form.querySelector('[data-says]');
  const button = form.querySelector('button');
  button.disabled = true;
  try {
    const response = await fetch(form.action, {
      method: 'POST',
      body: new FormData(form),
      headers: { Accept: 'application/json' },
    });
    const said = await response.json().catch(() => ({}));
    says.textContent = response.ok ? form.dataset.saved : (said.message ?? form.dataset.failed);
    says.classList.toggle('refused', !response.ok);
    if (response.ok) button.textContent = form.dataset.again;
  } catch {
    says.textContent = form.dataset.failed;
    says.classList.add('refused');
  }
  button.disabled = false;
}

const root = document.querySelector('[data-asked]');
if (root)
  open(root).catch((error) => {
    root.querySelector('.films').textContent = error.message;
  });
