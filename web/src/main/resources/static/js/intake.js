// Follows something that is being read or taken in.
const PAUSE = 600;
const region = document.getElementById('intake');

async function follow() {
  const answer = await fetch(location.href, { headers: { Accept: 'text/html' } });
  const fresh = new DOMParser().parseFromString(await answer.text(), 'text/html').getElementById('intake');
  if (!fresh) return;
  region.innerHTML = fresh.innerHTML;
  region.toggleAttribute('data-running', fresh.hasAttribute('data-running'));
}

async function watch() {
  while (region.hasAttribute('data-running')) {
    await new Promise((resolve) => setTimeout(resolve, PAUSE));
    await follow().catch(() => {});
  }
}

watch();
