// Light or dark: as last chosen here, else as the device prefers. Loaded before the page is painted.
(() => {
  const root = document.documentElement;
  root.classList.add('scripted');
  let kept = null;
  try {
    kept = localStorage.getItem('theme');
  } catch {
    /* no storage: the device decides */
  }
  root.dataset.theme = kept ?? (matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light');
  addEventListener('DOMContentLoaded', () => {
    document.querySelector('[data-theme-switch]')?.addEventListener('click', () => {
      root.dataset.theme = root.dataset.theme === 'dark' ? 'light' : 'dark';
      try {
        localStorage.setItem('theme', root.dataset.theme);
      } catch {
        /* it holds for this page */
      }
      dispatchEvent(new Event('themechange'));
    });
  });
})();
