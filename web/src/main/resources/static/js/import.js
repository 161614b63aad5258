// Follows something that is being read or taken in.
import { morph } from './follow.js';
import { pageAt } from './page.js';

const PAUSE = 600;

async function refresh(region) {
  const fresh = (await pageAt(location.href)).getElementById(region.id);
  if (fresh) morph(region, fresh);
}

export async function mount(region) {
  while (region.hasAttribute('data-running')) {
    await new Promise((resolve) => setTimeout(resolve, PAUSE));
    await refresh(region).catch(() => { /* the next try follows */ });
  }
}
