// One filmed view, drawn frame by frame on a canvas. A frame is asked for by number, sought in its middle, and
// painted only when the browser says which frame it is showing; what has been seen stays at hand.
import { pictureOf } from './picture.js';
import { NEAR, sizeOf } from './size.js';
import { word } from '../words.js';

/** Memory for one film's frames at hand, bytes: at the size they are shown, a swing of three seconds. */
const KEPT = 200e6;
/** Before the poster stands in for the film, ms. */
const PATIENCE = 400;
/** After a seek with no frame presented before it is sought again, ms: a busy machine presents late. */
const SILENCE = 1000;
/** A film up to this size is held whole, so that no seek waits for the network. */
const WHOLE = 80e6;

export class FilmView {
  /**
   * @param {HTMLCanvasElement} canvas
   * @param {{url: string, rate: number, frames: number, width: number, height: number, offset: number,
   *   drift: number, taken: ?number[], stills: Object<string, string>}} film
   * @param {(text: string) => void} say caption
   */
  constructor(canvas, film, say = () => {}) {
    Object.assign(this, {
      canvas,
      film,
      say,
      cache: new Map(),
      shown: -1,
      want: 0,
      busy: false,
      playing: false,
      held: false,
      mirrored: false,
      near: false,
      failed: '',
      tries: 0,
      presented: -1,
      born: performance.now(),
    });
    this.video = Object.assign(document.createElement('video'), { muted: true, playsInline: true, preload: 'auto' });
    // What is on show is known by what was presented last, never taken for granted.
    const presented = (_, { mediaTime }) => {
      this.presented = Math.round(mediaTime * this.film.rate);
      this.video.requestVideoFrameCallback(presented);
    };
    this.video.requestVideoFrameCallback(presented);
    // A window that is not seen is presented nothing.
    document.addEventListener('visibilitychange', () => {
      if (!document.hidden && this.shown !== this.want && !this.held) this.seek();
    });
    this.ready = this.load();
  }

  async load() {
    const source = await this.source();
    if (!source) {
      this.failed = word('stage.script.film-not-fetched');
      this.say(this.failed);
      return;
    }
    this.video.src = source;
    await new Promise((done) => {
      this.video.addEventListener('loadeddata', done, { once: true });
      this.video.addEventListener(
        'error',
        () => {
          this.failed = word('stage.script.film-not-shown');
          this.say(this.failed);
          done();
        },
        { once: true },
      );
    });
    this.loaded = !this.failed;
    if (this.loaded) this.seek();
  }

  /** Where the video is to read from, null when the network gives nothing or breaks off on the way. */
  async source() {
    try {
      const answer = await fetch(this.film.url);
      if (!answer.ok) return null;
      if (Number(answer.headers.get('content-length')) <= WHOLE) return URL.createObjectURL(await answer.blob());
      answer.body?.cancel();
      return this.film.url;
    } catch {
      return null;
    }
  }

  /** Film time of a moment of the recording, and back, s. */
  toFilm(t) {
    return (t - this.film.offset) / (1 + 1e-6 * this.film.drift);
  }
  toRecording(t) {
    return this.film.offset + t * (1 + 1e-6 * this.film.drift);
  }
  frameAt(t) {
    return Math.min(this.film.frames - 1, Math.max(0, Math.floor(this.toFilm(t) * this.film.rate + 0.02)));
  }
  /** Recording time at which a frame stands, and at which its picture was really taken. */
  timeOf(n) {
    return this.toRecording(n / this.film.rate);
  }
  takenAt(n) {
    return this.toRecording(this.film.taken?.[n] ?? n / this.film.rate);
  }
  covers(t) {
    const f = this.toFilm(t) * this.film.rate;
    return f > -0.5 && f < this.film.frames + 0.5;
  }

  draw(t) {
    this.asleep = false;
    if (this.held) {
      this.paint();
      return;
    }
    this.want = this.frameAt(t);
    this.at = t;
    if (this.playing) {
      const ahead = this.video.currentTime - this.toFilm(t);
      if (Math.abs(ahead) > Math.max(0.12 * this.video.playbackRate, 2 / this.film.rate))
        this.video.currentTime = Math.max(0, this.toFilm(t));
      return;
    }
    const kept = this.cache.get(this.want);
    if (kept && kept.width < 0.8 * this.room().resizeWidth) {
      this.forget();
      this.picture = kept;
      this.paint();
      this.seek();
      return;
    }
    if (kept) {
      this.picture = kept;
      this.shown = this.want;
      this.paint();
      return;
    }
    if (!this.loaded) this.still();
    if (this.shown === this.want) this.paint();
    else this.seek();
  }

  /** One seek at a time; where the wish has moved meanwhile, the next follows at once. */
  seek(n = this.want) {
    if (this.busy || !this.loaded || this.playing) return;
    this.busy = true;
    let settled = false;
    const done = async (mediaTime) => {
      if (settled) return;
      settled = true;
      // What is presented now is presented because it plays.
      if (this.playing) {
        this.busy = false;
        return;
      }
      if (mediaTime === null && this.presented !== n) {
        this.busy = false;
        this.tries = this.tries < 3 ? this.tries + 1 : 0;
        if (this.want !== n || this.tries > 0) this.seek();
        else if (!document.hidden) setTimeout(() => this.shown !== this.want && this.seek(), 4 * SILENCE);
        return;
      }
      const is = await this.keep(mediaTime === null ? n : Math.round(mediaTime * this.film.rate));
      this.busy = false;
      if (this.playing) return;
      this.tries = is !== n && this.tries < 3 ? this.tries + 1 : 0;
      if (n === this.want || this.shown !== this.want) this.show(is);
      if (this.cache.has(this.want)) this.show(this.want);
      else if (this.want !== n || this.tries > 0) this.seek();
      this.warm();
    };
    // A frame presented late, from the seek before, is let pass: its picture may be gone when it is taken.
    let other = null;
    const look = (_, { mediaTime }) => {
      if (settled) return;
      if (Math.round(mediaTime * this.film.rate) === n) return void done(mediaTime);
      other = mediaTime;
      this.video.requestVideoFrameCallback(look);
    };
    this.video.requestVideoFrameCallback(look);
    // Where the frame is on show already the browser presents none.
    this.video.addEventListener(
      'seeked',
      () => {
        other = null;
        setTimeout(() => {
          if (other !== null || this.presented === n) done(other);
          else setTimeout(() => done(other), SILENCE);
        }, 120);
      },
      { once: true },
    );
    this.video.currentTime = (n + 0.5 + 0.1 * this.tries) / this.film.rate;
  }

  show(n) {
    const kept = this.cache.get(n);
    if (kept) {
      this.picture = kept;
      this.shown = n;
    }
    this.paint();
  }

  /** Fetches frames ahead while nobody asks for one: first those around the stations, where people look. */
  warm() {
    clearTimeout(this.warming);
    this.warming = setTimeout(() => {
      if (this.busy || this.playing || this.asleep || this.held || document.hidden || this.cache.size >= this.most - 2)
        return;
      const near = Object.values(this.stations ?? {}).map((t) => this.frameAt(t));
      this.ahead ??= Array.from({ length: this.film.frames }, (_, n) => [
        Math.min(...near.map((s) => Math.abs(s - n)), Infinity),
        n,
      ])
        .sort((a, b) => a[0] - b[0])
        .map(([, n]) => n);
      const next = this.ahead.find((n) => !this.cache.has(n));
      if (next !== undefined) this.seek(next);
    }, 40);
  }

  /** Size of a kept frame: as it is shown, never larger than it was filmed. */
  room() {
    const { w, h } = sizeOf(this.canvas),
      ratio = window.devicePixelRatio || 1;
    const k = Math.min(1, ratio * (this.near ? NEAR : 1) * Math.min(w / this.film.width, h / this.film.height) || 1);
    return {
      resizeWidth: Math.max(2, Math.round(k * this.film.width)),
      resizeHeight: Math.max(2, Math.round(k * this.film.height)),
      resizeQuality: 'medium',
    };
  }

  /**
   * The frame the video shows, turned into a picture once: kept, and painted if it is the one that is wanted.
   *
   * @param {number} said which frame it should be
   * @returns {Promise<number>} which it is
   */
  async keep(said) {
    const room = this.room();
    if (room.resizeWidth !== this.roomFor) {
      this.roomFor = room.resizeWidth;
      this.forget();
    }
    try {
      const { picture, at } = await pictureOf(this.video, room);
      const n = at === null ? said : Math.floor(at * this.film.rate + 0.02);
      if (this.cache.has(n)) picture.close();
      else this.cache.set(n, picture);
      this.most = Math.max(8, Math.floor(KEPT / (room.resizeWidth * room.resizeHeight * 4)));
      for (const [old, kept] of this.cache) {
        if (this.cache.size <= this.most) break;
        if (kept !== this.picture && old !== n) {
          kept.close();
          this.cache.delete(old);
        }
      }
      return n;
    } catch {
      this.picture = this.video;
      this.shown = said;
      return said;
    }
  }

  /** Kept frames are of the size they were shown at; at another size they are made anew. */
  forget() {
    for (const kept of this.cache.values()) if (kept !== this.picture) kept.close();
    this.cache.clear();
  }

  /**
   * What stands in until the film is there: at a station its still at once, which is the picture nearest to it;
   * elsewhere the poster, where the film is long in coming.
   */
  still() {
    const code = Object.keys(this.film.stills).find(
      (c) => this.stations && this.frameAt(this.stations[c]) === this.want,
    );
    if (!code && performance.now() - this.born < PATIENCE) {
      this.waits ??= setTimeout(() => {
        this.waits = null;
        if (!this.loaded) this.still();
      }, PATIENCE);
      return;
    }
    if (this.stillOf === (code ?? 'poster')) return;
    this.stillOf = code ?? 'poster';
    const image = new Image();
    image.onload = () => {
      if (this.shown < 0 && this.stillOf === (code ?? 'poster')) {
        this.picture = image;
        this.paint();
      }
    };
    image.src = this.film.url.replace(/stream$/, this.stillOf);
  }

  play(speed) {
    if (!this.loaded || this.held) return;
    this.playing = true;
    this.video.playbackRate = speed;
    const paint = (_, data) => {
      if (!this.playing) return;
      this.shown = Math.round(data.mediaTime * this.film.rate);
      this.picture = this.video;
      this.paint();
      this.video.requestVideoFrameCallback(paint);
    };
    this.video.requestVideoFrameCallback(paint);
    this.video.play().catch(() => {
      this.playing = false;
    });
  }

  halt() {
    if (!this.playing) return;
    this.playing = false;
    this.video.pause();
    this.shown = -1;
  }

  paint() {
    if (this.asleep) return;
    const c = this.canvas,
      ratio = window.devicePixelRatio || 1;
    const { w, h } = sizeOf(c);
    if (c.width !== Math.round(w * ratio) || c.height !== Math.round(h * ratio)) {
      c.width = Math.round(w * ratio);
      c.height = Math.round(h * ratio);
    }
    const k = Math.min(w / this.film.width, h / this.film.height) * (this.near ? NEAR : 1);
    // Near: the foot of the picture, where the feet are.
    this.box = {
      x: (w - k * this.film.width) / 2,
      y: (h - k * this.film.height) / (this.near ? 1 : 2),
      w: k * this.film.width,
      h: k * this.film.height,
    };
    const g = c.getContext('2d');
    g.setTransform(ratio, 0, 0, ratio, 0, 0);
    g.clearRect(0, 0, w, h);
    if (this.picture) {
      if (this.mirrored) {
        g.translate(w, 0);
        g.scale(-1, 1);
      }
      g.drawImage(this.picture, this.box.x, this.box.y, this.box.w, this.box.h);
      g.setTransform(ratio, 0, 0, ratio, 0, 0);
    }
    c.dataset.frame = String(this.shown);
    if (this.shown >= 0)
      this.say(
        [
          word('stage.script.frame', { frame: this.shown, t: this.takenAt(this.shown).toFixed(3) }),
          this.at !== undefined && !this.covers(this.at) ? word('stage.script.film-ends') : '',
          this.held ? word('stage.script.held') : '',
        ]
          .filter(Boolean)
          .join(' · '),
      );
    this.over?.(g, this.box);
  }
}
