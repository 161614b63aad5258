// Shows on the page what was said and not sent yet, and what was refused; goes on to the next card without a connection.
import { morph } from './follow.js';
import { pageAt, seqOf } from './page.js';
import { entriesOf } from './queue.js';

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
  const open = (c) => {
    const mine = said.get(`f:${c.dataset.card}`);
    return mine ? !mine.value : !('answered' in c.dataset);
  };
  const next = [...cards.slice(here + 1), ...cards.slice(0, Math.max(0, here))].find(open) ?? page.querySelector('[data-cards-end]');
  if (next) morph(shown, next);
}

/**
 * In a search the next thing hangs on what was answered. For the likeliest answers it was worked out ahead; any other
 * answer stays on show, marked as not sent.
 */
export async function advanceSearch(said) {
  const shown = document.querySelector('[data-steps]');
  if (!shown || ![...shown.querySelectorAll('[name^="f:"]')].some((field) => said.has(field.name))) return;
  const seq = seqOf(document);
  const page = await pageAt(shown.dataset.steps);
  // meanwhile the page itself may have followed
  if (seqOf(document) !== seq || seqOf(page) !== seq) return;
  const steps = [...page.querySelectorAll('[data-after]')];
  const next = (at) => steps.find((s) => s.dataset.after === at && said.get(s.dataset.name)?.value === s.dataset.value);
  let reached;
  for (let step = next('root'); step; step = next(step.dataset.step)) reached = step;
  if (reached && reached.dataset.step !== shown.dataset.step) morph(shown, reached);
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
    this.#region.replaceChildren(made('p', { className: 'waits', textContent: text }));
  }

  show(waiting, refused, why) {
    this.#region.replaceChildren();
    if (why && waiting.length) this.#region.append(this.#line(waiting.length, why));
    for (const c of refused) if (!this.#hidden.has(c.n)) this.#region.append(this.#choice(c));
  }

  #line(count, why) {
    const changes = count === 1 ? 'change' : 'changes';
    const line = made('p', { className: 'waits', textContent: `Not sent yet: ${count} ${changes}, ${why}. Kept here, and tried again.` });
    const door = DOORS[why];
    if (door) line.append(' ', made('a', { href: `${door}?back=${encodeURIComponent(location.pathname)}`, textContent: 'Do it now' }));
    return line;
  }

  #choice(change) {
    const box = made('div', { className: 'refused' });
    box.setAttribute('role', 'alert');
    const head = made('p');
    head.append(made('b', { textContent: `Not taken: job ${change.job}, ${change.label}.` }), ' ', change.answer);
    const mine = made('p');
    const values = entriesOf(change).map(([, value]) => value || 'nothing');
    if (!change.answer.includes('Yours: ')) mine.textContent = `Yours: ${values.join(', ')}`;
    box.append(head, mine, button('Send mine again', 'again', change.n), ' ', button('Drop mine', 'drop', change.n));
    return box;
  }
}

function made(tag, properties) { return Object.assign(document.createElement(tag), properties); }

function button(text, what, n) {
  const b = made('button', { type: 'button', className: 'btn btn-quiet', textContent: text });
  b.dataset[what] = n;
  return b;
}
