// Changes wait here until the server says what became of them: kept in the browser, sent one after the other.
import { inMemory } from './memory.js';
import { openDB } from './vendor/idb.js';

const STORE = 'changes';
const SENT_KEPT = 200;

/** Names a change, so that it counts once however often it is sent. */
export function newName() {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  const hex = [...bytes].map((b) => b.toString(16).padStart(2, '0')).join('');
  return hex.replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, '$1-$2-$3-$4-$5');
}

/** What a change says of the job, without what goes along. */
export function entriesOf(change) { return change.fields.filter(([name]) => name.startsWith('f:')); }

/**
 * A change is { job, action, fields: [[name, value]], back, label }; the queue adds n (its place), id, at and state:
 * "waiting", "sent" (kept for a while: pages kept from before do not know it yet) or "refused" (until somebody decides).
 */
class Queue {
  #database;
  #name;
  #delivering = Promise.resolve();

  /** @param database a promise: what is put in before it is open waits for it */
  constructor(database, name) {
    this.#database = database;
    this.#name = name;
  }

  async put(change) {
    const kept = { ...change, id: newName(), at: Date.now(), state: 'waiting' };
    kept.n = await (await this.#database).add(STORE, kept);
    return kept;
  }

  async all(job) {
    const changes = await (await this.#database).getAll(STORE);
    return job === undefined ? changes : changes.filter((c) => c.job === job);
  }

  async waiting() { return (await this.all()).filter((c) => c.state === 'waiting'); }

  async refused() { return (await this.all()).filter((c) => c.state === 'refused'); }

  /** What was said of each field of a job and is newer than a page: waiting, or sent after the page was made. */
  async said(job, seq) {
    const said = new Map();
    for (const c of await this.all(job)) {
      if (c.state === 'refused' || (c.state === 'sent' && c.seq <= seq)) continue;
      for (const [name, value] of entriesOf(c)) said.set(name, { value, waits: c.state === 'waiting' });
    }
    return said;
  }

  async drop(n) { await (await this.#database).delete(STORE, n); }

  /** Takes the last change of a job back, if it was not sent yet; one that is on its way is waited for. */
  takeBack(job) {
    return this.#alone(async () => {
      const last = (await this.waiting()).filter((c) => c.job === job).pop();
      if (last) await this.drop(last.n);
      return Boolean(last);
    });
  }

  /** One after the other, over all windows where the browser can. */
  #alone(run) {
    if (navigator.locks) return navigator.locks.request(`send ${this.#name}`, run);
    this.#delivering = this.#delivering.then(run, run);
    return this.#delivering;
  }

  /**
   * Sends what waits, in its order, by one window at a time.
   * @param send a change to { outcome: "taken" | "refused", seq, answer } or { later: why }
   * @returns why it stopped before the end, or undefined
   */
  deliver(send) { return this.#alone(() => this.#deliver(send)); }

  async #deliver(send) {
    for (;;) {
      const [next] = await this.waiting();
      if (!next) return undefined;
      const result = await send(next);
      if (result.later) return result.later;
      await this.#settle(next, result);
    }
  }

  /** What is taken supersedes what was refused of the same fields before. */
  async #settle(change, { outcome, seq, answer }) {
    const changes = (await this.#database).transaction(STORE, 'readwrite');
    await changes.store.put({ ...change, state: outcome === 'taken' ? 'sent' : 'refused', seq, answer });
    const all = await changes.store.getAll();
    const names = entriesOf(change).map(([name]) => name);
    const superseded = outcome !== 'taken' ? [] : all.filter((c) => c.state === 'refused' && c.job === change.job && c.n < change.n
      && entriesOf(c).every(([name]) => names.includes(name)));
    const old = all.filter((c) => c.state === 'sent').slice(0, -SENT_KEPT);
    for (const c of [...superseded, ...old]) await changes.store.delete(c.n);
    await changes.done;
  }
}

async function opened(name) {
  return openDB(name, 1, { upgrade: (db) => { db.createObjectStore(STORE, { keyPath: 'n', autoIncrement: true }); } });
}

export function openQueue(name = 'velvet-bezel') { return new Queue(opened(name).catch(inMemory), name); }
