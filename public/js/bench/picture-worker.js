// Turns frames of a film into pictures of the size they are shown at, beside the page, so that scrubbing never waits.
self.addEventListener('message', async ({ data: { id, frame, room } }) => {
  try {
    const picture = await createImageBitmap(frame, room);
    self.postMessage({ id, picture, at: frame.timestamp / 1e6 }, [picture]);
  } catch (error) {
    self.postMessage({ id, error: String(error) });
  } finally {
    frame.close();
  }
});
