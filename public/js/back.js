// A way back, where there is one.
const back = document.querySelector('[data-back]');
if (back && history.length > 1) {
  back.hidden = false;
  back.addEventListener('click', () => history.back());
}
