// Shows on the page what was said and not sent yet, and what was refused; goes on to the next card without a connection.
import { morph, pageAt } from './follow.js';

/** Puts what is newer than the page into its fields. */
export function showSaid(root, said) {
  root.querySelectorAll('.unsent').forEach((e) => e.classList.remove('unsent'));
  for (const [name, { value, waits }] of said)
    for (const control of root.querySelectorAll(`[name="${CSS.escape(name)}"]`)) show(control, value, waits);
}

function show(control, value, waits) {
  const mark = (e) => e?.classList.toggle('unsent', waits);
  if (control.matches('button')) {
    if (control.value === value) mark(control);
    return;
  }
  if (control.matches('[type=hidden]')) return;
  if (control.matches('[type=radio]')) {
    control.checked = control.value === value;
    if (control.checked) mark(control.labels?.[0]);
    return;
  }
  if (control === document.activeElement || control.dataset.dirty) return;
  control.value = value;
  mark(control);
}

/** Where the card on show is answered already, the next open one takes its place, from those sent ahead. */
export async function advance(said) {
  const ahead = document.querySelector('[data-ahead]');
  const shown = ahead?.querySelector('[data-card]');
  if (!shown || !said.has(`f:${shown.dataset.card}`)) return;
  const page = await pageAt(ahead.dataset.ahead);
  const cards = [...page.querySelectorAll('[data-card]')];
  const here = cards.findIndex((c) => c.dataset.card === shown.dataset.card);
  const open = (c) => !said.get(`f:${c.dataset.card}`)?.value && (said.has(`f:${c.dataset.card}`) || !('answered' in c.dataset));
  const next = [...cards.slice(here + 1), ...cards.slice(0, Math.max(0, here))].find(open) ?? page.querySelector('[data-cards-end]');
  if (next) morph(shown, next);
}

/** Where what keeps changes from being sent is put right. */
const DOORS = { 'this device is not signed in': '/sign-in', 'nobody is named here': '/who' };

/** How much waits, why, and what was refused: both versions, until one is chosen. */
export class Notice {
  #region;
  #hidden = new Set();

  constructor(region) { this.#region = region; }

  /** It stands on the page itself already. */
  hide(n) { this.#hidden.add(n); }

  say(text) {
    const line = document.createElement('p');
    line.className = 'waits';
    line.textContent = text;
    this.#region.replaceChildren(line);
  }

  show(waiting, refused, why) {
    this.#region.replaceChildren();
    if (why && waiting.length) this.#region.append(this.#line(waiting.length, why));
    for (const c of refused) if (!this.#hidden.has(c.n)) this.#region.append(this.#choice(c));
  }

  #line(count, why) {
    const line = document.createElement('p');
    line.className = 'waits';
    line.textContent = `Not sent yet: ${count} ${count === 1 ? 'change' : 'changes'}, ${why}. Kept here, and tried again.`;
    const door = DOORS[why];
    if (door) line.append(' ', link(`${door}?back=${encodeURIComponent(location.pathname)}`, 'Do it now'));
    return line;
  }

  #choice(change) {
    const box = document.createElement('div');
    box.className = 'refused';
    box.setAttribute('role', 'alert');
    const head = document.createElement('p');
    head.append(bold(`Not taken: job ${change.job}, ${change.label}.`), ' ', change.answer);
    const mine = document.createElement('p');
    const values = change.fields.filter(([name]) => name.startsWith('f:')).map(([, value]) => value || 'nothing');
    if (!change.answer.includes('Yours: ')) mine.textContent = `Yours: ${values.join(', ')}`;
    box.append(head, mine, button('Send mine again', 'again', change.n), ' ', button('Drop mine', 'drop', change.n));
    return box;
  }
}

function bold(text) {
  const b = document.createElement('b');
  b.textContent = text;
  return b;
}

function link(href, text) {
  const a = document.createElement('a');
  a.href = href;
  a.textContent = text;
  return a;
}

function button(text, what, n) {
  const b = document.createElement('button');
  b.type = 'button';
  b.className = 'btn btn-quiet';
  b.dataset[what] = n;
  b.textContent = text;
  return b;
}
