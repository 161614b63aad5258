// Starts what a page needs: keys everywhere, and the modules that its parts name.
import * as following from './import.js';
import * as job from './job.js';
import { register } from './keep.js';
import * as keys from './keys.js';
import * as lines from './lines.js';
import * as photo from './photo.js';
import * as shelf from './shelf.js';
import * as slide from './slide.js';

const MODULES = { import: following, job, lines, photo, shelf, slide };

keys.mount(document);
register();
document.addEventListener('click', (event) => {
  if (event.target.closest('[data-print]')) window.print();
  if (event.target.closest('[data-reload]')) location.reload();
});
for (const part of document.querySelectorAll('[data-module]')) MODULES[part.dataset.module].mount(part);
document.body.dataset.mounted = '';
