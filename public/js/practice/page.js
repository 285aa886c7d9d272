// A question of practice: the swing halted where the fault shows, one answer by key, the truth at the same moment.
import { keyed } from '../bench/keyed.js';
import { openStage } from '../bench/stage.js';
import { PRACTICE, STAGE, WHOLE } from '../keys.js';
import { wholeCase } from './whole.js';

async function open(root) {
  const answers = root.querySelector('[data-answers]');
  const moment = answers?.querySelector('[data-moment]');
  const whole = answers?.querySelector('[data-whole]') ? wholeCase(answers, (code) => stage?.goTo(code)) : null;
  // An answer is given before the swing is drawn as well: who knows need not wait. A moment is that of the swing.
  let stage = null;
  keyed(root, whole ? { ...STAGE, ...PRACTICE, ...WHOLE } : { ...STAGE, ...PRACTICE }, {
    act: (action) => {
      if (whole?.act(action)) return;
      const answer = answers?.querySelector(`[data-answer="${action}"]`);
      if (action === 'next-question') root.querySelector('[data-next]')?.click();
      else if (answer) answer.click();
      else stage?.do(action);
    },
    seek: (pin) => {
      stage?.halt();
      stage?.seek(Number(pin.dataset.seek));
    },
    goTo: (code) => stage?.goTo(code),
  });
  if (moment) {
    moment.disabled = true;
    moment.addEventListener('click', () => {
      stage.halt();
      moment.value = stage.t.toFixed(4);
    });
  }
  // Sent once, however often it is pressed.
  answers?.addEventListener('submit', () => {
    setTimeout(() => {
      for (const button of answers.querySelectorAll('button')) button.disabled = true;
    });
  });
  stage = await openStage(root);
  if (moment) moment.disabled = false;
  if ('answered' in root.dataset) stage.goTo(root.dataset.at);
  root.dataset.ready = '';
}

const root = document.querySelector('[data-practice]');
if (root)
  open(root).catch((error) => {
    root.querySelector('.films').textContent = error.message;
  });
