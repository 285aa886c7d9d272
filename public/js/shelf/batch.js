// Fills a fact down all rows at once; a row can be set apart afterwards.
const form = document.querySelector('[data-batch]');
form?.querySelector('[data-fill]').addEventListener('click', () => {
  for (const all of form.querySelectorAll('[data-all-of]')) {
    if (all.value.trim() === '') continue;
    for (const one of form.querySelectorAll(`[data-of="${all.dataset.allOf}"]`)) one.value = all.value;
  }
});
