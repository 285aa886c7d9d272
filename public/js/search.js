// Looking for something from anywhere: "/" opens the field, what is found is fetched while one types, the arrows go
// through it. Without scripts the link leads to the same as a page.

/** The next or the previous of a row of things, from one of them or from before the first. */
export function beside(index, count, by) {
  return Math.max(-1, Math.min(count - 1, index + by));
}

/** @param {{name: string, hits: {name: string, note: string, url: string}[]}[]} groups */
export function drawn(groups) {
  const make = (tag, className, text) =>
    Object.assign(document.createElement(tag), { className, textContent: text ?? '' });
  return groups.flatMap((group) => {
    const list = make('ul', 'hits');
    list.append(
      ...group.hits.map((hit) => {
        const item = make('li', '');
        const link = make('a', '', hit.name);
        link.href = hit.url;
        item.append(link, ' ', make('span', 'quiet small', hit.note));
        return item;
      }),
    );
    return [make('h2', '', group.name), list];
  });
}

function listen(box, opener) {
  const field = box.querySelector('input');
  const says = box.querySelector('[data-search-says]');
  const hits = box.querySelector('[data-search-hits]');
  const asked = new URL(box.querySelector('form').action);
  const ask = says.textContent;
  let newest = 0;
  let typing = 0;

  const open = () => {
    if (box.open) return;
    box.showModal();
    field.select();
  };
  const look = async () => {
    const mine = (newest += 1);
    if (!field.value.trim()) {
      hits.replaceChildren();
      says.textContent = ask;
      return;
    }
    asked.searchParams.set('q', field.value);
    try {
      const answer = await fetch(asked, { headers: { Accept: 'application/json' } });
      const found = await answer.json();
      // An answer to what was typed before comes too late.
      if (mine !== newest) return;
      hits.replaceChildren(...drawn(found.groups));
      says.textContent = found.says;
    } catch {
      if (mine === newest) says.textContent = says.dataset.noAnswer;
    }
  };
  opener.addEventListener('click', (e) => {
    e.preventDefault();
    open();
  });
  field.addEventListener('input', () => {
    clearTimeout(typing);
    typing = setTimeout(look, 120);
  });
  box.addEventListener('click', (e) => {
    if (e.target === box) box.close();
  });
  box.addEventListener('keydown', (e) => {
    const links = [...hits.querySelectorAll('a')];
    const at = links.indexOf(document.activeElement);
    if (e.key === 'ArrowDown' || e.key === 'ArrowUp') {
      e.preventDefault();
      (links[beside(at, links.length, e.key === 'ArrowDown' ? 1 : -1)] ?? field).focus();
    } else if (e.key === 'Enter' && e.target === field && links.length) {
      e.preventDefault();
      links[0].click();
    }
  });
  addEventListener('keydown', (e) => {
    if (e.key !== '/' || e.ctrlKey || e.metaKey || e.altKey || e.defaultPrevented) return;
    if (e.target.closest?.('input:not([type=radio]):not([type=checkbox]), textarea, select, [contenteditable]')) return;
    if (document.querySelector('dialog[open]')) return;
    e.preventDefault();
    open();
  });
}

/** On a narrow screen the places are folded under a button. */
function fold(button) {
  button.addEventListener('click', () => {
    const open = button.closest('header').classList.toggle('unfolded');
    button.setAttribute('aria-expanded', String(open));
  });
}

if (globalThis.document) {
  const box = document.querySelector('[data-search]');
  if (box) listen(box, document.querySelector('[data-search-open]'));
  const button = document.querySelector('[data-fold]');
  if (button) fold(button);
}
