// What was done at the bench waits here until the server has it: kept, sent once and in order.

const AGAIN_MILLIS = [500, 1000, 2000, 3000];
/** A refusal that comes later than this is not answered at once: it stays to be read. */
const LATE_MILLIS = 6000;
/** A weight the server stumbles over this often is set aside, so that the ones behind it go on. */
const MOST_FAULTS = 3;

/** One identifier for ever, also where the page has no secure context. */
export const newId = () => {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  bytes[6] = (bytes[6] & 0x0f) | 0x40;
  bytes[8] = (bytes[8] & 0x3f) | 0x80;
  const hex = Array.from(bytes, (b) => b.toString(16).padStart(2, "0")).join("");
  return [hex.slice(0, 8), hex.slice(8, 12), hex.slice(12, 16), hex.slice(16, 20), hex.slice(20)].join("-");
};

/**
 * The queue of one person on one browser.
 *
 * listener: called with nothing when ops changed, else with {done, html or said}, {refused, sentence, html, late},
 * {away}, {signIn} or {stalePage}
 */
export class Queue {
  #store;
  #send;
  #listener;
  #clock;
  #later;
  #person = null;
  #ops = []; // this person's, in order; the same as in the store
  #acked = []; // the server has them, the page does not show it yet
  #own = new Set(); // what this page sent
  #sending = false;
  #failures = 0;
  #timer = null;

  constructor({ store, send, listener, clock = Date.now, later = setTimeout.bind(globalThis) }) {
    this.#store = store;
    this.#send = send;
    this.#listener = listener;
    this.#clock = clock;
    this.#later = later;
  }

  async start(person) {
    this.#person = person;
    try {
      this.#ops = (await this.#store.all()).filter((op) => op.person === person);
    } catch (e) {
      this.#ops = [];
    }
    this.#listener();
    return this.flush();
  }

  async add(op) {
    op.person = this.#person;
    op.at = this.#clock();
    this.#ops.push(op);
    this.#own.add(op.id);
    this.#listener();
    const { seq, ...kept } = op;
    try {
      op.seq = await this.#store.add(kept);
    } catch (e) {
      op.unkept = true; // no room in the browser: it still goes out, only a reload would lose it
    }
    if (!this.#ops.includes(op)) await this.#drop(op); // it was answered before it was kept
    return this.flush();
  }

  async flush() {
    if (this.#sending || this.#person === null) return;
    this.#sending = true;
    clearTimeout(this.#timer);
    try {
      for (let op = this.#next(); op; op = this.#next()) {
        if (!(await this.#settle(op, await this.#send(op)))) return;
      }
    } finally {
      this.#sending = false;
    }
  }

  /** Acts on what became of an op; false if sending has to stop. */
  async #settle(op, result) {
    switch (result.kind) {
      case "done":
        this.#failures = 0;
        op.acked = true;
        this.#acked.push({ op, at: this.#clock() });
        await this.#drop(op);
        this.#listener({ done: op, html: result.html, said: result.said });
        return true;
      case "refused": {
        this.#failures = 0;
        const late = this.#clock() - op.at > LATE_MILLIS;
        if (late) await this.#keepRefused(op, result.sentence);
        else await this.#drop(op);
        this.#listener({ refused: op, sentence: result.sentence, html: result.html, late });
        return true;
      }
      case "sign-in":
        this.#listener({ signIn: result.to });
        return false;
      case "stale-page":
        this.#listener({ stalePage: true });
        return false;
      case "fault":
        op.faults = (op.faults || 0) + 1;
        if (op.faults < MOST_FAULTS) return this.#again();
        this.#failures = 0;
        await this.#keepRefused(op, result.sentence);
        this.#listener({ refused: op, sentence: result.sentence, late: true });
        return true;
      default:
        return this.#again();
    }
  }

  /** Tries later, longer each time. */
  #again() {
    this.#timer = this.#later(
      () => this.flush(), AGAIN_MILLIS[Math.min(this.#failures, AGAIN_MILLIS.length - 1)]);
    this.#failures++;
    this.#listener({ away: true });
    return false;
  }

  #next() {
    return this.#ops.find((op) => !op.refused);
  }

  async #drop(op) {
    this.#ops = this.#ops.filter((other) => other !== op);
    if (op.seq === undefined) return;
    try {
      await this.#store.remove(op.seq);
    } catch (e) {
      /* sent again it is the same weighing */
    }
  }

  async #keepRefused(op, sentence) {
    op.refused = sentence;
    if (op.seq === undefined) return;
    try {
      await this.#store.put(op);
    } catch (e) {
      /* shown until the page closes */
    }
  }

  /** Whether the last try did not reach the server. */
  isAway() {
    return this.#failures > 0;
  }

  /** Whether this page sent the op, so that its news are none. */
  isOwn(id) {
    return this.#own.has(id);
  }

  /** What the server does not show yet, for one lot: sent and not shown, then waiting. */
  overlay(lot) {
    return [...this.#acked.map((a) => a.op), ...this.#ops].filter((op) => op.lot === lot && !op.refused);
  }

  waiting() {
    return this.#ops.filter((op) => !op.refused).length;
  }

  refused() {
    return this.#ops.filter((op) => op.refused);
  }

  async forget(op) {
    await this.#drop(op);
    this.#listener();
  }

  /** A sheet that was read after the moment shows what was answered by then. */
  shown(moment) {
    this.#acked = this.#acked.filter((a) => a.at > moment);
  }
}
