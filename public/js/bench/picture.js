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
    if (data.picture) done({ picture: data.picture, at: data.at });
    else fail(new Error(data.error));
  });
  return worker;
}

/**
 * @param {HTMLVideoElement} video
 * @param {ImageBitmapOptions} room
 * @returns {Promise<{picture: ImageBitmap, at: ?number}>} at: the film's time of the very frame it is of, s; null where
 *   the browser cannot tell. What was presented last may be another: a film that goes on has moved on meanwhile.
 */
export async function pictureOf(video, room) {
  const made = open();
  if (!made) return { picture: await createImageBitmap(video, room), at: null };
  const frame = new VideoFrame(video);
  const id = (last += 1);
  return new Promise((done, fail) => {
    waiting.set(id, { done, fail });
    made.postMessage({ id, frame, room }, [frame]);
  });
}
