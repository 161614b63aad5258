// What is typed in lines is read at once: faces, open questions and functions follow every key. Without this the page
// works with its buttons.

const form = document.querySelector('[data-lines]');
const PAUSE = 120;
let asked = 0;
let timer;

async function look() {
  const mine = ++asked;
  const answer = await fetch(form.action, { method: 'POST', body: new URLSearchParams(new FormData(form)) });
  if (mine !== asked || !answer.ok) return;
  const page = new DOMParser().parseFromString(await answer.text(), 'text/html');
  const focus = document.activeElement?.id;
  for (const fresh of page.querySelectorAll('[data-live]')) {
    const shown = form.querySelector(`[data-live="${fresh.dataset.live}"]`);
    if (shown && shown.innerHTML !== fresh.innerHTML) replace(shown, fresh);
  }
  if (focus && document.activeElement?.id !== focus) document.getElementById(focus)?.focus();
}

/** What a person opened stays open. */
function replace(shown, fresh) {
  const open = [...shown.querySelectorAll('details')].map((d) => d.open);
  shown.replaceChildren(...fresh.childNodes);
  shown.querySelectorAll('details').forEach((d, i) => { if (i in open) d.open = open[i]; });
}

function soon() {
  clearTimeout(timer);
  timer = setTimeout(look, PAUSE);
}

/** Enter on an empty line ends the plug: on to the next one, or to the button that makes one. */
function endsPlug(event) {
  const area = event.target.closest('[data-plug-lines]');
  if (!area || event.key !== 'Enter') return;
  const line = area.value.slice(0, area.selectionStart).split('\n').pop();
  if (line.trim() !== '' || area.value.trim() === '') return;
  event.preventDefault();
  const all = [...form.querySelectorAll('.plug-typed')];
  const next = all[all.indexOf(area.closest('.plug-typed')) + 1];
  const to = next?.querySelector('input') ?? form.querySelector('[data-more]');
  to.focus();
  to.select?.();
}

/** Enter in a single field looks again; it never saves by accident. */
function noAccident(event) {
  if (event.key !== 'Enter' || event.target.tagName !== 'INPUT' || event.target.type === 'checkbox') return;
  event.preventDefault();
  look();
}

form?.addEventListener('input', soon);
form?.addEventListener('change', soon);
form?.addEventListener('keydown', endsPlug);
form?.addEventListener('keydown', noAccident);
