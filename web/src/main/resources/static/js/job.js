// Saves what is changed at a job as it is made: into the queue first, then to the server; the page follows.
import { follow } from './follow.js';
import { keepJob } from './keep.js';
import { isStation, pageAt, pageOf, seqOf } from './page.js';
import { post } from './post.js';
import { openQueue } from './queue.js';
import { Notice, advance, advanceSearch, showSaid } from './unsent.js';

const PAUSE = 900;
const RETRY = 3000;
const IMPATIENT = 1500;
/** How far apart the numbers of planned steps are. */
const APART = 100;

/** Fields of the form that go along: the one changed, or the button pressed and what was typed beside it. */
function fields(form, only, seen) {
  const sent = new Set(only.map((control) => control.name.replace(/^f:/, 'd:')));
  const pairs = [...form.querySelectorAll('input[type=hidden]')]
    .filter((i) => i.name !== 'change' && (!i.name.startsWith('d:') || sent.has(i.name)))
    .map((i) => [i.name, i.name === 'seen' ? seen ?? i.value : i.value]);
  const beside = 'whole' in form.dataset ? [...form.querySelectorAll('input:not([type=hidden]), select')] : [];
  const controls = [...new Set([...only, ...beside])].filter((i) => i.type !== 'checkbox' || i.checked);
  const now = 'whole' in form.dataset ? [['at', String(Math.round(Date.now() / 1000))]] : [];
  return [...pairs, ...now, ...controls.map((control) => [stepName(form, control), valueOf(form, control)])];
}

/** A step says when it was done, by this device's clock. */
function valueOf(form, control) {
  if (!('timed' in control.dataset)) return control.value;
  const note = 'withNote' in control.dataset ? ` ${form.querySelector('[data-note-of]').value.trim() || 'no words'}` : '';
  return `${control.value}${note} @ ${Math.round(Date.now() / 1000)}`;
}

/** What was done instead is told before the step in hand: its number is the next free one below that step's. */
function stepName(form, control) {
  const card = document.querySelector('[data-card]')?.dataset.card;
  if (!('else' in form.dataset) || !card) return control.name;
  const [, number, device] = card.match(/^step\/(\d{6})-(.+)$/);
  const free = Math.max(Number(number) - APART + 1, Number(form.dataset.else));
  const n = Number(form.dataset.last) >= free ? Number(form.dataset.last) + 1 : free;
  form.dataset.last = String(n);
  return `f:step/${String(n).padStart(6, '0')}-${device}`;
}

function typed(form) { return [...form.querySelectorAll('input:not([type=hidden]), textarea')].filter((i) => i.dataset.dirty); }

/** What a person would call it. */
function label(controls) {
  const [first] = controls;
  const text = first?.getAttribute('aria-label') ?? first?.labels?.[0]?.textContent ?? first?.textContent ?? '';
  return text.replace(/\s+/g, ' ').trim() || 'a change';
}

/** What the page shows now of the design that a field speaks of. */
function shownNow(name) {
  return name.startsWith('d:') ? document.querySelector(`input[name="${CSS.escape(name)}"]`)?.value : undefined;
}

function here() { return location.pathname + location.search; }

class JobPage {
  #root;
  #queue;
  #notice;
  #job;
  #mine = new Set();
  #why;
  #timer;
  #inside = false;

  constructor(root, queue) {
    this.#root = root;
    this.#queue = queue;
    this.#job = Number(root.dataset.job);
    this.#notice = new Notice(document.getElementById('saving'));
  }

  /** A button is pressed against the version on show, a text against the one it was begun on. */
  async send(form, only) {
    const seen = only.map((control) => control.dataset.seen).find(Boolean);
    const change = { job: this.#job, action: form.action, fields: fields(form, only, seen), back: form.elements.back.value, label: label(only) };
    only.forEach((control) => { delete control.dataset.dirty; delete control.dataset.seen; });
    let kept;
    try {
      kept = await this.#queue.put(change);
    } catch {
      typed(form).concat(only).filter((control) => !control.matches('button')).forEach((control) => { control.dataset.dirty = 'yes'; });
      this.#notice.say('Not saved: this browser has no room left to keep it. What you typed is still here; make room, and try again.');
      return;
    }
    this.#mine.add(kept.id);
    // where the answer takes long, work goes on meanwhile
    setTimeout(async () => { if ((await this.#queue.waiting()).some((c) => c.id === kept.id)) this.refresh(); }, IMPATIENT);
    await this.pump();
  }

  /** The server's own actions, such as undo, need it: what was not sent yet is taken back here. */
  async act(form) {
    if (await this.#queue.takeBack(this.#job)) {
      await this.refresh();
      location.reload();
      return;
    }
    try {
      const answer = await fetch(form.action, { method: 'POST', body: new URLSearchParams(new FormData(form)), headers: { Accept: 'text/html' } });
      const page = pageOf(await answer.text());
      if (isStation(page)) await this.#followed(page);
      else location.assign(answer.url);
    } catch {
      this.#notice.say('Not done: this needs a connection.');
    }
  }

  async pump() {
    clearTimeout(this.#timer);
    this.#why = await this.#queue.deliver((change) => this.#deliver(change));
    if (this.#why) {
      this.#timer = setTimeout(() => this.pump(), RETRY);
      await this.refresh();
    } else if (await this.#sentElsewhere()) await this.#fetch();
    await this.#report();
  }

  /** Whether another window sent something of this one. */
  async #sentElsewhere() {
    const waiting = new Set((await this.#queue.waiting()).map((c) => c.id));
    const sent = [...this.#mine].filter((id) => !waiting.has(id));
    sent.forEach((id) => this.#mine.delete(id));
    return sent.length > 0;
  }

  /** The page as it is now, where there is a connection. */
  async #fetch() { await pageAt(here()).then((fresh) => this.#followed(fresh)).catch(() => { /* as it is */ }); }

  async #deliver(change) {
    const result = await post(change);
    if (result.later) return result;
    const more = (await this.#queue.waiting()).length > 1;
    const mine = this.#mine.delete(change.id);
    if (change.job === this.#job && (result.outcome === 'refused' || !more)) await this.#show(change, result, mine);
    const { page, ...kept } = result;
    return kept;
  }

  /** The answer is the page that the change came from; on another page of this job, that page is fetched. */
  async #show(change, { outcome, page }, mine) {
    if (!mine) {
      if (outcome === 'taken') await this.#fetch();
      return;
    }
    if (!isStation(page)) return;
    if (outcome === 'taken') history.replaceState(null, '', change.back);
    else this.#notice.hide(change.n);
    await this.#followed(page);
  }

  async #followed(page) {
    follow(page);
    this.keep();
  }

  /** Has this browser keep what the work needs without a connection. */
  keep() {
    keepJob((document.getElementById('work').dataset.keep ?? '').split(' ').filter(Boolean));
    // a search is worked out only where somebody searches, and anew after every answer
    const search = document.querySelector('[data-steps]')?.dataset.steps;
    if (search && navigator.serviceWorker?.controller)
      for (const kept of [search, location.pathname]) fetch(kept, { headers: { Accept: 'text/html' } }).catch(() => { /* there is no connection */ });
  }

  /** What was said and is newer than the page, on the page. */
  async refresh() {
    const said = await this.#queue.said(this.#job, seqOf(document));
    await Promise.all([advance(said), advanceSearch(said)]).catch(() => { /* nothing was sent ahead: it stays, marked as not sent */ });
    showSaid(this.#root, said);
  }

  async #report() { this.#notice.show(await this.#queue.waiting(), await this.#queue.refused(), this.#why); }

  async decide({ again, drop }) {
    const n = Number(again ?? drop);
    const change = (await this.#queue.refused()).find((c) => c.n === n);
    if (change && again) {
      const now = String(change.job === this.#job ? seqOf(document) : change.seq);
      const fresh = change.fields.map(([name, value]) => [name, name === 'seen' ? now : shownNow(name) ?? value]);
      const { job, action, back, label: name } = change;
      this.#mine.add((await this.#queue.put({ job, action, back, label: name, fields: fresh })).id);
    }
    await this.#queue.drop(n);
    await this.pump();
  }

  /** What was refused of a field is given up. */
  async keepTheirs(link) {
    for (const c of await this.#queue.refused())
      if (c.job === this.#job && c.fields.some(([name]) => name === link.dataset.theirs)) await this.#queue.drop(c.n);
    this.goesInside();
    location.assign(link.href);
  }

  async start() {
    await this.refresh();
    this.#root.dataset.ready = 'yes';
    await this.pump();
    this.keep();
  }

  /** Leaving asks while something is not sent, or typed and not saved; moving within the app does not. */
  leaves(event) {
    if (this.#root.querySelector('[data-dirty]') || (this.#why && !this.#inside)) event.preventDefault();
  }

  goesInside() { this.#inside = true; }
}

export async function mount(root) {
  document.body.classList.add('scripted');
  const page = new JobPage(root, openQueue());
  listen(root, page);
  begun(root);
  watch(page);
  await page.start();
}

/** Typed before this page listened: what is being typed right now counts, what a browser restored does not. */
function begun(root) {
  const control = document.activeElement;
  if (root.contains(control) && control.matches('input, textarea') && control.value !== control.defaultValue)
    control.dispatchEvent(new Event('input', { bubbles: true }));
}

function listen(root, page) {
  const timers = new WeakMap();
  root.addEventListener('input', (event) => {
    const control = event.target;
    const form = control.closest('form[data-save]');
    if (!form || !control.matches('input:not([type=radio], [type=file]), textarea')) return;
    control.dataset.dirty = 'yes';
    control.dataset.seen ??= form.querySelector('input[name=seen]')?.value;
    if ('wait' in control.dataset) return;
    clearTimeout(timers.get(control));
    timers.set(control, setTimeout(() => control.dataset.dirty && page.send(form, [control]), PAUSE));
  });
  root.addEventListener('change', (event) => {
    const control = event.target;
    const form = control.closest('form[data-save]');
    if (!form || !control.name || control.closest('.settle, .hand, .without, [data-whole]')) return;
    clearTimeout(timers.get(control));
    if (control.matches('select, [type=radio]') || control.dataset.dirty) page.send(form, [control]);
  });
  root.addEventListener('keydown', (event) => {
    if (event.key !== 'Enter' || !event.target.matches('form[data-save] input') || event.target.closest('.settle')) return;
    event.preventDefault();
    event.target.blur();
  });
  root.addEventListener('keydown', (event) => {
    const next = root.querySelector('[data-space]');
    if (event.key !== ' ' || !next || event.target.closest('input, textarea, select, button, a, summary')) return;
    event.preventDefault();
    next.click();
  });
  root.addEventListener('submit', (event) => {
    const form = event.target.closest('form[data-save]');
    if (!form) return;
    event.preventDefault();
    if (!form.elements.seen) { page.act(form); return; }
    const button = event.submitter?.name ? [event.submitter] : [];
    page.send(form, [...button, ...typed(form).filter((i) => i.name !== event.submitter?.name)]);
  });
  root.addEventListener('click', (event) => {
    const theirs = event.target.closest('[data-theirs]');
    if (theirs) {
      event.preventDefault();
      page.keepTheirs(theirs);
    }
    const choice = event.target.closest('[data-again], [data-drop]');
    if (choice) page.decide(choice.dataset);
    if (event.target.closest('a[href^="/"]')) page.goesInside();
  });
  root.addEventListener('mouseover', (event) => trace(event.target.closest?.('[data-lead]')?.dataset.lead));
  addEventListener('beforeunload', (event) => page.leaves(event));
  addEventListener('online', () => page.pump());
}

/** A lead under the pointer stands out in the drawing. */
function trace(lead) {
  for (const wire of document.querySelectorAll('.wire[data-lead]')) wire.classList.toggle('traced', wire.dataset.lead === lead);
}

/** What is being worked out beside the page appears as it comes. */
async function watch(job) {
  let working = document.querySelector('[data-refresh]');
  if (!working) return;
  while (working) {
    await new Promise((resolve) => setTimeout(resolve, Number(working.dataset.refresh)));
    try {
      const page = await pageAt(location.href);
      if (isStation(page)) follow(page);
    } catch { /* the next try follows */ }
    working = document.querySelector('[data-refresh]');
  }
  job.keep();
}
