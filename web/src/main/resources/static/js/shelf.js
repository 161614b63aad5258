// Searches while a person types, and moves through the hits by keyboard.
const PAUSE = 180;
const form = document.querySelector('[data-search]');
const results = document.getElementById('results');
let timer;
let latest = 0;

document.body.classList.add('scripted');

async function search() {
  const mine = ++latest;
  const params = new URLSearchParams([...new FormData(form)].filter(([, value]) => value !== ''));
  const url = `${form.action}?${params}`;
  const answer = await fetch(url, { headers: { Accept: 'text/html' } });
  const page = new DOMParser().parseFromString(await answer.text(), 'text/html');
  const fresh = page.getElementById('results');
  if (mine !== latest || !fresh) return;
  results.innerHTML = fresh.innerHTML;
  const fault = form.querySelector('.fault');
  if (fault) fault.textContent = page.querySelector('.filters .fault')?.textContent ?? '';
  history.replaceState(null, '', url);
}

function soon() {
  clearTimeout(timer);
  timer = setTimeout(() => search().catch(() => form.submit()), PAUSE);
}

form.addEventListener('input', soon);
form.addEventListener('submit', (event) => {
  event.preventDefault();
  results.querySelector('.hit')?.focus();
});
document.addEventListener('keydown', (event) => {
  if (event.key !== 'ArrowDown' && event.key !== 'ArrowUp') return;
  const hits = [...results.querySelectorAll('.hit')];
  const here = hits.indexOf(document.activeElement);
  const typing = document.activeElement?.id === 'shelf-q';
  if (here < 0 && !typing) return;
  event.preventDefault();
  const next = event.key === 'ArrowDown' ? hits[here + 1] : hits[here - 1] ?? document.getElementById('shelf-q');
  next?.focus();
});
