// Pages as they come from the server, and what they say of themselves.
export function pageOf(html) {
  const page = new DOMParser().parseFromString(html, 'text/html');
  // a parser without scripts reads what is for browsers without them, a refresh of the page among it
  for (const without of page.querySelectorAll('noscript')) without.remove();
  return page;
}

/** The page at an address, by the network or as it was kept. */
export async function pageAt(url) {
  const answer = await fetch(url, { headers: { Accept: 'text/html' } });
  if (!answer.ok) throw new Error(`${url}: ${answer.status}`);
  return pageOf(await answer.text());
}

/** Whether it is a station of a job, which the page on show can follow. */
export function isStation(page) { return Boolean(page.getElementById('work')?.hasAttribute('data-live')); }

/** The version of the job that a page shows. */
export function seqOf(page) { return Number(page.getElementById('work')?.dataset.seq ?? 0); }
