// Saves what is changed at a job as it is made, and keeps place, focus and typed text while the page follows.

const PAUSE = 900;
const RETRY = 3000;
let queue = Promise.resolve();
let loads = 0;

function say(text) { document.getElementById('saving').textContent = text; }

/** Fields of the form that go along: the one changed, or the button pressed and what was typed beside it. */
function fields(form, only) {
  const body = new URLSearchParams();
  const fixed = form.querySelectorAll('input[type=hidden]');
  const sent = new Set(only.map((control) => control.name.replace(/^f:/, 'd:')));
  for (const input of fixed) if (!input.name.startsWith('d:') || sent.has(input.name)) body.append(input.name, input.value);
  for (const control of only) body.append(control.name, control.value);
  return body;
}

/** Names a change, so that it counts once however often it is sent. */
function newName() {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  const hex = [...bytes].map((b) => b.toString(16).padStart(2, '0')).join('');
  return hex.replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, '$1-$2-$3-$4-$5');
}

function typed(form) { return [...form.querySelectorAll('input:not([type=hidden]), textarea')].filter((i) => i.dataset.dirty); }

/** One after the other. A button is pressed against the version on show, a text against the one it was begun on. */
function send(form, only) {
  const action = form.action;
  const body = fields(form, only);
  if (body.has('change')) body.set('change', newName());
  const seen = only.map((control) => control.dataset.seen).find(Boolean);
  only.forEach((control) => { delete control.dataset.dirty; delete control.dataset.seen; });
  queue = queue.then(() => deliver(action, body, seen));
  return queue;
}

async function deliver(action, body, seen) {
  if (body.has('seen')) body.set('seen', seen ?? document.querySelector('input[name=seen]')?.value ?? body.get('seen'));
  for (;;) {
    try {
      const answer = await fetch(action, { method: 'POST', body, headers: { Accept: 'text/html' } });
      const page = new DOMParser().parseFromString(await answer.text(), 'text/html');
      if (!page.getElementById('work')?.hasAttribute('data-live')) { location.assign(answer.url); return; }
      if (answer.ok && answer.redirected) history.replaceState(null, '', answer.url);
      follow(page);
      say('');
      return;
    } catch {
      say('Not saved yet: no connection. Trying again …');
      await new Promise((resolve) => setTimeout(resolve, RETRY));
    }
  }
}

/** Takes over the regions of the page that came back. */
function follow(page) {
  const active = document.activeElement;
  // what is being typed stays as typed: the field under the caret, and those not sent yet
  const kept = [...document.querySelectorAll('[data-dirty], input:focus, textarea:focus')].filter((i) => i.id).map((i) => [i.id, i.value, i.dataset]);
  const caret = active?.selectionStart ?? null;
  for (const region of document.querySelectorAll('[data-live]')) {
    const fresh = page.getElementById(region.id);
    const open = [...region.querySelectorAll('details[open]')].map((d) => d.querySelector('summary')?.textContent);
    region.innerHTML = fresh.innerHTML;
    for (const d of region.querySelectorAll('details')) if (open.includes(d.querySelector('summary')?.textContent)) d.open = true;
  }
  document.body.className = page.body.className;
  document.body.classList.add('scripted');
  document.title = page.title;
  for (const [id, value, { dirty, seen }] of kept) {
    const input = document.getElementById(id);
    if (!input || input.type === 'radio') continue;
    input.value = value;
    if (dirty) Object.assign(input.dataset, { dirty, seen });
  }
  const again = active?.id && document.getElementById(active.id);
  if (again) {
    again.focus({ preventScroll: true });
    if (caret !== null && again.setSelectionRange) try { again.setSelectionRange(caret, caret); } catch { /* not a text */ }
  }
  loads += 1;
  document.body.dataset.loads = loads;
}

function mount(root) {
  document.body.classList.add('scripted');
  const timers = new WeakMap();
  root.addEventListener('input', (event) => {
    const control = event.target;
    const form = control.closest('form[data-save]');
    if (!form || !control.matches('input:not([type=radio]), textarea')) return;
    control.dataset.dirty = 'yes';
    control.dataset.seen ??= form.querySelector('input[name=seen]')?.value;
    if ('wait' in control.dataset) return;
    clearTimeout(timers.get(control));
    timers.set(control, setTimeout(() => control.dataset.dirty && send(form, [control]), PAUSE));
  });
  root.addEventListener('change', (event) => {
    const control = event.target;
    const form = control.closest('form[data-save]');
    if (!form || !control.name || control.closest('.settle, .hand, .without')) return;
    clearTimeout(timers.get(control));
    if (control.matches('select, [type=radio]') || control.dataset.dirty) send(form, [control]);
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
    const button = event.submitter?.name ? [event.submitter] : [];
    send(form, [...button, ...typed(form).filter((i) => i.name !== event.submitter?.name)]);
  });
  root.addEventListener('click', (event) => {
    if (event.target.closest('[data-print]')) window.print();
  });
  root.addEventListener('mouseover', (event) => trace(event.target.closest?.('[data-lead]')?.dataset.lead));
  addEventListener('beforeunload', (event) => { if (document.querySelector('[data-dirty]')) event.preventDefault(); });
}

/** A lead under the pointer stands out in the drawing. */
function trace(lead) {
  for (const wire of document.querySelectorAll('.wire[data-lead]')) wire.classList.toggle('traced', wire.dataset.lead === lead);
}

/** What is being worked out beside the page appears as it comes. */
async function watch() {
  const working = document.querySelector('[data-refresh]');
  if (!working) return;
  await new Promise((resolve) => setTimeout(resolve, Number(working.dataset.refresh)));
  try {
    const answer = await fetch(location.href, { headers: { Accept: 'text/html' } });
    const page = new DOMParser().parseFromString(await answer.text(), 'text/html');
    if (answer.ok && page.getElementById('work')?.hasAttribute('data-live')) follow(page);
  } catch { /* the next try follows */ }
  watch();
}

mount(document);
watch();
