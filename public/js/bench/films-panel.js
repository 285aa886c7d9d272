// Brings films in part by part, watches their conversion, and sets a film's clock against the trace.
import { word } from '../words.js';

const token = document.querySelector('meta[name="csrf-token"]').content;
const wait = (ms) =>
  new Promise((done) => {
    setTimeout(done, ms);
  });

async function send(form, file) {
  const [bar, words] = [form.querySelector('progress'), form.querySelector('[data-words]')];
  const json = { 'Content-Type': 'application/json', Accept: 'application/json', 'X-CSRF-TOKEN': token };
  const refuse = (text) => {
    words.textContent = text;
    bar.hidden = true;
    form.elements.file.disabled = false;
  };
  form.elements.file.disabled = true;
  bar.hidden = false;
  words.textContent = word('films.script.sending');
  const begun = await fetch(form.dataset.upload, {
    method: 'POST',
    headers: json,
    body: JSON.stringify({
      view: form.dataset.view,
      name: file.name,
      bytes: file.size,
      slowed: Number(form.elements.slowed.value),
    }),
  }).catch(() => null);
  const film = await begun?.json().catch(() => ({}));
  if (!begun?.ok) return refuse(film?.message ?? word('films.script.unreachable'));
  let at = 0;
  for (let tries = 0; at < file.size;) {
    const answer = await fetch(`${film.to}?offset=${at}`, {
      method: 'PUT',
      headers: { ...json, 'Content-Type': 'application/octet-stream' },
      body: file.slice(at, at + film.part),
    }).catch(() => null);
    if (answer?.ok) {
      at = (await answer.json()).received;
      tries = 0;
      bar.value = at / file.size;
      continue;
    }
    const said = await answer?.json().catch(() => null);
    if (answer && answer.status < 500) return refuse(said?.message ?? word('films.script.refused'));
    tries += 1;
    if (tries > 60) return refuse(said?.message ?? word('films.script.network-gone'));
    words.textContent = said?.message ?? word('films.script.network');
    await wait(Math.min(8000, 500 * tries));
  }
  return watch(form, film.state);
}

/** Shows how far a conversion is; when it is over the page is fetched anew. */
async function watch(host, url) {
  const [bar, words] = [host.querySelector('progress'), host.querySelector('[data-words]')];
  for (;;) {
    const film = await fetch(url, { headers: { Accept: 'application/json' } })
      .then((a) => a.json())
      .catch(() => null);
    if (film?.state === 'ready' || film?.state === 'refused') {
      sessionStorage.setItem('bench-films', '1');
      location.reload();
      return;
    }
    if (film) {
      bar.value = film.progress;
      words.textContent =
        film.state === 'converting'
          ? word('films.script.progress', { percent: Math.round(100 * film.progress) })
          : word('films.script.queue');
    }
    await wait(600);
  }
}

export function openFilmsPanel(root, stage) {
  for (const row of root.querySelectorAll('[data-watch]')) watch(row, row.dataset.watch);
  for (const form of root.querySelectorAll('[data-upload]')) {
    form.addEventListener('submit', (e) => e.preventDefault());
    form.elements.file.addEventListener(
      'change',
      () => form.elements.file.files[0] && send(form, form.elements.file.files[0]),
    );
  }
  for (const keys of root.querySelectorAll('[data-film-clock]')) {
    const view = stage.views.find((v) => v.view === keys.dataset.filmClock)?.film;
    if (!view) continue;
    const same = keys.querySelector('[data-same]');
    const hold = keys.querySelector('[data-hold]');
    const frame = () => (view.shown < 0 ? view.want : view.shown) / view.film.rate;
    hold.addEventListener('click', () => {
      stage.halt();
      view.held = !view.held;
      same.hidden = !view.held;
      hold.textContent = word(view.held ? 'films.script.let-go' : 'films.script.hold');
      stage.draw();
    });
    same.addEventListener('submit', () => {
      same.elements.film_s.value = frame().toFixed(6);
      same.elements.trace_s.value = stage.t.toFixed(6);
    });
    const impact = keys.querySelector('[data-impact]');
    impact.addEventListener('submit', () => {
      impact.elements.film_s.value = frame().toFixed(6);
    });
  }
  if (sessionStorage.getItem('bench-films')) {
    sessionStorage.removeItem('bench-films');
    document.querySelector('#films')?.scrollIntoView();
  }
}
