// Searches while a person types, and moves through the hits by keyboard.
import { morph } from './follow.js';
import { pageAt } from './page.js';

const PAUSE = 180;
const FIELD = 'shelf-q';

function searching(form, results) {
  let latest = 0;
  return async () => {
    const mine = ++latest;
    const params = new URLSearchParams([...new FormData(form)].filter(([, value]) => value !== ''));
    const url = `${form.action}?${params}`;
    const page = await pageAt(url);
    const fresh = page.getElementById('results');
    if (mine !== latest || !fresh) return;
    morph(results, fresh);
    const fault = form.querySelector('.fault');
    if (fault) fault.textContent = page.querySelector('.filters .fault')?.textContent ?? '';
    history.replaceState(null, '', url);
  };
}

/** Up and down: through the hits, and back to the field above them. */
function step(event, results) {
  if (event.key !== 'ArrowDown' && event.key !== 'ArrowUp') return;
  const hits = [...results.querySelectorAll('.hit')];
  const here = hits.indexOf(document.activeElement);
  if (here < 0 && document.activeElement?.id !== FIELD) return;
  event.preventDefault();
  const next = event.key === 'ArrowDown' ? hits[here + 1] : hits[here - 1] ?? document.getElementById(FIELD);
  next?.focus();
}

export function mount(form) {
  const results = document.getElementById('results');
  const search = searching(form, results);
  let timer;
  document.body.classList.add('scripted');
  form.addEventListener('input', () => {
    clearTimeout(timer);
    timer = setTimeout(() => search().catch(() => form.submit()), PAUSE);
  });
  form.addEventListener('submit', (event) => {
    event.preventDefault();
    results.querySelector('.hit')?.focus();
  });
  document.addEventListener('keydown', (event) => step(event, results));
}
