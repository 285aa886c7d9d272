// A picture of the frame a video shows now, at a given size: made by a worker where the browser can, else here.
let worker = null;
let last = 0;
const waiting = new Map();

function open() {
  if (worker || typeof VideoFrame === 'undefined') return worker;
  worker = new Worker(new URL('./picture-worker.js', import.meta.url));
  worker.addEventListener('message', ({ data }) => {
    const { done, fail } = waiting.get(data.id);
    waiting.delete(data.id);
    if (data.picture) done(data.picture);
    else fail(new Error(data.error));
  });
  return worker;
}

/**
 * @param {HTMLVideoElement} video
 * @param {ImageBitmapOptions} room
 * @returns {Promise<ImageBitmap>}
 */
export function pictureOf(video, room) {
  const made = open();
  if (!made) return createImageBitmap(video, room);
  const frame = new VideoFrame(video);
  const id = (last += 1);
  return new Promise((done, fail) => {
    waiting.set(id, { done, fail });
    made.postMessage({ id, frame, room }, [frame]);
  });
}
