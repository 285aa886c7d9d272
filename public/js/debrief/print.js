// Prints the page.
document.querySelector('[data-print]')?.addEventListener('click', () => print());
