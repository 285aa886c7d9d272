// A page that waits for long work: it asks how far that is, shows it, and loads itself anew when it is over.

const EVERY = 700;

/** Whether an answer says that the work is over, whichever kind of answer it is. */
export function isOver(answer) {
  return answer.done === true || ['done', 'failed', 'cancelled'].includes(answer.state);
}

/** Whether somebody is on their way to another page: loading this one anew would hold what they sent back. */
let leaving = false;

async function follow(element) {
  const bar = element.querySelector('[data-progress]');
  for (;;) {
    let answer = null;
    try {
      const response = await fetch(element.dataset.waits, { headers: { Accept: 'application/json' } });
      answer = response.ok ? await response.json() : null;
    } catch {
      // The network has gone; it is asked again.
    }
    if (leaving) return;
    if (answer !== null && isOver(answer)) {
      location.reload();

      return;
    }
    if (bar !== null && answer !== null && typeof answer.progress === 'number') {
      bar.value = answer.progress;
    }
    await new Promise((done) => setTimeout(done, EVERY));
  }
}

if (typeof document !== 'undefined') {
  for (const event of ['submit', 'beforeunload'])
    addEventListener(event, (e) => {
      leaving = !e.defaultPrevented;
    });
  document.querySelectorAll('[data-waits]').forEach((element) => follow(element));
}
