// What waits in this browser's storage is sealed with a key of its person, which only a page that was opened logged in
// holds: it leaves with the log-out, and comes again with the next log-in of the same person. Nobody else reads it.

const MARK = 's1:';
const text64 = (bytes) => btoa(String.fromCharCode(...bytes));
const bytesOf = (text) => Uint8Array.from(atob(text), (c) => c.charCodeAt(0));

export class Seal {
  /** @param {string[]} keys in base64, 32 bytes each: the one in use first, then those of before */
  constructor(keys) {
    this.keys = keys.map((key) =>
      globalThis.crypto.subtle
        ? crypto.subtle.importKey('raw', bytesOf(key), 'AES-GCM', false, ['encrypt', 'decrypt'])
        : Promise.reject(new Error('no cipher here')),
    );
    for (const key of this.keys) key.catch(() => {});
  }

  /** Rejects where the browser has no cipher, as over plain HTTP: then nothing is to be stored. */
  async close(text) {
    const iv = crypto.getRandomValues(new Uint8Array(12));
    const sealed = await crypto.subtle.encrypt(
      { name: 'AES-GCM', iv },
      await this.keys[0],
      new TextEncoder().encode(text),
    );
    return `${MARK}${text64(iv)}:${text64(new Uint8Array(sealed))}`;
  }

  /** What was sealed; null where none of the keys opens it. What an earlier release kept open is read as it is. */
  async open(kept) {
    if (kept.startsWith('{')) return kept;
    if (!kept.startsWith(MARK)) return null;
    const [iv, sealed] = kept.slice(MARK.length).split(':');
    for (const key of this.keys) {
      try {
        const open = await crypto.subtle.decrypt({ name: 'AES-GCM', iv: bytesOf(iv) }, await key, bytesOf(sealed));
        return new TextDecoder().decode(open);
      } catch {
        /* the next key */
      }
    }
    return null;
  }
}
