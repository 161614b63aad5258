// Takes over the live regions of a fresh page: place, focus and what is being typed stay.
import { Idiomorph } from './vendor/idiomorph.js';

const TYPED = 'input:not([type=radio], [type=checkbox]), textarea';

/** What is being typed, or was typed and not sent, stays as typed; only its looks follow. */
function mayMorph(old, fresh) {
  if (!(old instanceof Element) || !old.matches(TYPED)) return true;
  if (old !== document.activeElement && !old.dataset.dirty) return true;
  old.className = fresh.className;
  return false;
}

const CONFIG = {
  morphStyle: 'outerHTML',
  callbacks: {
    beforeNodeMorphed: mayMorph,
    // what a person opened stays open
    beforeAttributeUpdated: (name, element, kind) => !(name === 'open' && kind === 'remove' && element.matches('details')),
  },
};

export function morph(shown, fresh) { Idiomorph.morph(shown, fresh, CONFIG); }

let loads = 0;

export function follow(page) {
  for (const region of document.querySelectorAll('[data-live]')) {
    const fresh = page.getElementById(region.id);
    if (fresh) morph(region, fresh);
  }
  document.body.className = page.body.className;
  document.body.classList.add('scripted');
  document.title = page.title;
  loads += 1;
  document.body.dataset.loads = loads;
}
