// Has the worker keep the pages of this job, so that it can be worked on without a connection.
const REST = 3000;
const LEAST = 20000;
let last = 0;
let timer;

export function keepJob(pages) {
  if (!('serviceWorker' in navigator) || !pages.length) return;
  clearTimeout(timer);
  timer = setTimeout(async () => {
    last = Date.now();
    const { active } = await navigator.serviceWorker.ready;
    active.postMessage({ keep: pages });
  }, Math.max(REST, last + LEAST - Date.now()));
}

export function register() {
  if (!('serviceWorker' in navigator)) return;
  navigator.serviceWorker.register('/worker.js').catch(() => { /* the pages work without it, with a connection */ });
}
