// Lines over a still: two clicks make one; what is kept is where they are in parts of the picture.
const most = 8;

export function lineOf(from, to) {
  return [...from, ...to].map((v) => Math.round(Math.min(Math.max(v, 0), 1) * 1e4) / 1e4);
}

function begin(box) {
  const over = box.querySelector('.over');
  const kept = box.querySelector('input[name=lines]');
  const back = box.querySelector('[data-back]');
  const lines = JSON.parse(kept.value || '[]');
  let from = null;

  function draw() {
    over.replaceChildren(
      ...lines.map((l) => {
        const line = document.createElementNS('http://www.w3.org/2000/svg', 'line');
        ['x1', 'y1', 'x2', 'y2'].forEach((name, i) => line.setAttribute(name, String(100 * l[i])));
        line.setAttribute('vector-effect', 'non-scaling-stroke');
        return line;
      }),
    );
    kept.value = JSON.stringify(lines);
    back.disabled = lines.length === 0 && from === null;
  }

  over.addEventListener('click', (event) => {
    const at = over.getBoundingClientRect();
    const here = [(event.clientX - at.left) / at.width, (event.clientY - at.top) / at.height];
    if (from === null) {
      if (lines.length >= most) return;
      from = here;
    } else {
      lines.push(lineOf(from, here));
      from = null;
    }
    draw();
  });
  back.addEventListener('click', () => {
    if (from !== null) from = null;
    else lines.pop();
    draw();
  });
  draw();
}

if (typeof document !== 'undefined') document.querySelectorAll('[data-lines]').forEach(begin);
