// A case asked whole: calls are given line by line by key or pointer, and handed in together.

/** Returns what keys do: act(action) tells whether the action was one of these. */
export function wholeCase(form, goTo) {
  const rows = [...form.querySelectorAll('[data-row]')];
  const causes = [...form.querySelectorAll('[data-cause] input')];
  const said = form.querySelector('[data-said]');
  const button = form.querySelector('[data-hand-in]');
  let at = 0;
  const letter = (row) => row.querySelector('[aria-checked="true"]')?.dataset.letter ?? '';
  const mark = (to) => {
    at = Math.max(0, Math.min(rows.length - 1, to));
    rows.forEach((row, i) => row.toggleAttribute('data-at', i === at));
    goTo(rows[at].querySelector('[data-station]').dataset.station);
  };
  const show = () => {
    const letters = rows.map(letter).join('');
    const cause = causes.findIndex((input) => input.checked);
    button.disabled = letters.length < rows.length || (causes.length > 0 && cause < 0);
    said.value = causes.length ? `${letters}|${cause}` : letters;
  };
  const call = (i, which) => {
    for (const radio of rows[i].querySelectorAll('[data-letter]'))
      radio.setAttribute('aria-checked', String(radio.dataset.letter === which));
    show();
  };
  rows.forEach((row, i) =>
    row.addEventListener('click', (e) => {
      const radio = e.target.closest('[data-letter]');
      if (radio) call(i, radio.dataset.letter);
      mark(i);
    }),
  );
  for (const input of causes) input.addEventListener('change', show);
  rows.forEach((row, i) => row.toggleAttribute('data-at', i === 0));
  show();
  const calls = { present: 'P', absent: 'A', 'cannot-tell': 'C' };

  return {
    act(action) {
      if (calls[action]) {
        call(at, calls[action]);
        mark(at + 1);
      } else if (action === 'call-on') mark(at + 1);
      else if (action === 'call-back') mark(at - 1);
      else if (action.startsWith('answer-')) {
        const input = causes[Number(action.slice(7)) - 1];
        if (input) input.checked = true;
        show();
      } else if (action === 'next-question') button.click();
      else return false;

      return true;
    },
  };
}
