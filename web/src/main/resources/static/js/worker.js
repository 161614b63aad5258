// Keeps this release's files and the pages of the jobs opened today, and answers with them where the network does not.
// The server writes RELEASE and FILES above this line.
const FILES_KEPT = `files ${RELEASE}`;
const PAGES_KEPT = `pages ${RELEASE}`;
const DAY = 24 * 60 * 60 * 1000;
const OF_A_JOB = /^\/jobs(\/\d+\/(arrive|baseline|baseline\/ahead|match|wire|bench|bench\/ahead|joint|loads|fit|open-up|in-car|in-car\/ahead|trays|record|prove|prove\/ahead|find|find\/ahead|hand-over))?$/;
const STATIC = /^\/(js|css|fonts|webjars)\/|^\/favicon\.svg$/;

async function install() {
  const files = await caches.open(FILES_KEPT);
  const offline = await fetch('/offline', { cache: 'no-store' });
  const html = await offline.clone().text();
  await files.put('/offline', offline);
  const named = [...html.matchAll(/(?:href|src)="(\/(?:css|js|webjars)\/[^"]+|\/favicon\.svg)"/g)].map((m) => m[1]);
  await files.addAll([...new Set([...named, ...FILES])]);
  await self.skipWaiting();
}

async function activate() {
  for (const name of await caches.keys()) if (name !== FILES_KEPT && name !== PAGES_KEPT) await caches.delete(name);
  await self.clients.claim();
}

async function file(request) {
  const kept = await caches.match(request);
  if (kept) return kept;
  const answer = await fetch(request);
  if (answer.ok) (await caches.open(FILES_KEPT)).put(request, answer.clone());
  return answer;
}

function isKept(answer, url) {
  return answer.ok && !answer.redirected && OF_A_JOB.test(url.pathname) && answer.headers.get('Content-Type')?.startsWith('text/html');
}

/** The network first; where it is silent or the app is down, the page as it was kept. */
async function page(request) {
  const url = new URL(request.url);
  let answer;
  try {
    answer = await fetch(request);
    // who is signed out keeps nothing
    if (new URL(answer.url).pathname === '/sign-in') await caches.delete(PAGES_KEPT);
    if (isKept(answer, url)) (await caches.open(PAGES_KEPT)).put(plain(url), answer.clone());
    if (answer.status < 500) return answer;
  } catch { /* no connection */ }
  const pages = await caches.open(PAGES_KEPT);
  const kept = await pages.match(plain(url)) ?? await pages.match(plain(url), { ignoreSearch: true }) ?? answer;
  if (kept) return kept;
  return (request.mode === 'navigate' && await caches.match('/offline')) || Response.error();
}

/** Cached by its address alone, whoever asked. */
function plain(url) { return url.pathname + url.search; }

async function keep(urls) {
  const pages = await caches.open(PAGES_KEPT);
  for (const kept of await pages.keys()) {
    const made = Date.parse((await pages.match(kept))?.headers.get('Date') ?? '');
    if (!(Date.now() - made < DAY)) await pages.delete(kept);
  }
  for (const url of urls) {
    try {
      const answer = await fetch(url, { headers: { Accept: 'text/html' } });
      if (isKept(answer, new URL(url, location.origin))) await pages.put(url, answer);
    } catch { return; }
  }
}

self.addEventListener('install', (event) => event.waitUntil(install()));
self.addEventListener('activate', (event) => event.waitUntil(activate()));
self.addEventListener('message', (event) => { if (event.data.keep) event.waitUntil(keep(event.data.keep)); });
self.addEventListener('fetch', (event) => {
  const url = new URL(event.request.url);
  if (event.request.method !== 'GET' || url.origin !== location.origin) return;
  if (STATIC.test(url.pathname)) event.respondWith(file(event.request));
  else if (event.request.mode === 'navigate' || OF_A_JOB.test(url.pathname)) event.respondWith(page(event.request));
});
