// Sends one change, and says what became of it.
import { pageOf, seqOf } from './page.js';

const PATIENCE = 20000;

/** What a refusal says, in the server's words. */
function words(page) {
  const said = page.querySelector('#alerts .refused') ?? page.querySelector('main') ?? page.body;
  const copy = said.cloneNode(true);
  copy.querySelectorAll('button, a, input').forEach((e) => e.remove());
  copy.querySelectorAll('dt').forEach((e) => e.append(': '));
  copy.querySelectorAll('p, dd, li').forEach((e) => e.append(' '));
  return copy.textContent.replace(/\s+/g, ' ').trim();
}

/** A change that waited for days goes with the token that this browser has now. */
function tokenOfNow([name, value]) {
  return [name, name === 'token' ? document.querySelector('input[name=token]')?.value ?? value : value];
}

/** @returns { outcome, seq, answer, page }, or { later: why } where nobody can say what became of it */
export async function post(change) {
  let answer;
  let html;
  try {
    answer = await fetch(change.action, {
      method: 'POST',
      body: new URLSearchParams([...change.fields.map(tokenOfNow), ['change', change.id]]),
      headers: { Accept: 'text/html', 'X-Queue': change.id },
      signal: AbortSignal.timeout(PATIENCE),
    });
    html = await answer.text();
  } catch {
    return { later: 'no connection' };
  }
  const outcome = answer.headers.get('X-Change');
  if (outcome && answer.status < 500) {
    const page = pageOf(html);
    return { outcome, seq: seqOf(page), answer: outcome === 'taken' ? '' : words(page), page };
  }
  if (answer.status === 403) return { later: 'this page is of an earlier visit: load it again' };
  if (answer.status === 401) return { later: 'this device is not signed in' };
  if (new URL(answer.url).pathname === '/who') return { later: 'nobody is named here' };
  if (answer.status >= 500 || answer.status === 429) return { later: `the app answers ${answer.status}` };
  if (answer.ok) return { later: 'something else answers in its place' };
  const page = pageOf(html);
  return { outcome: 'refused', seq: 0, answer: words(page), page };
}
