// The size of a picture, known without asking the page for its layout at every frame.
const sizes = new WeakMap();
const observer = new ResizeObserver((entries) => {
  for (const { target, contentRect } of entries)
    sizes.set(target, { w: Math.round(contentRect.width), h: Math.round(contentRect.height) });
});

/** How much larger the feet are shown when the picture is brought near to them. */
export const NEAR = 2.2;

/** @returns {{w: number, h: number}} in CSS pixels; 0 where it is not shown */
export function sizeOf(canvas) {
  let size = sizes.get(canvas);
  if (!size) {
    size = { w: canvas.clientWidth, h: canvas.clientHeight };
    sizes.set(canvas, size);
    observer.observe(canvas);
  }
  return size;
}
