// What is typed in lines is read at once: faces, open questions and functions follow every key. Without this the page
// works with its buttons.
import { morph } from './follow.js';
import { pageOf } from './page.js';

const PAUSE = 120;

class LinesForm {
  #form;
  #asked = 0;
  #timer;

  constructor(form) { this.#form = form; }

  async look() {
    const mine = ++this.#asked;
    const answer = await fetch(this.#form.action, { method: 'POST', body: new URLSearchParams(new FormData(this.#form)) });
    if (mine !== this.#asked || !answer.ok) return;
    const page = pageOf(await answer.text());
    for (const fresh of page.querySelectorAll('[data-live]')) {
      const shown = this.#form.querySelector(`[data-live="${fresh.dataset.live}"]`);
      if (shown) morph(shown, fresh);
    }
  }

  soon() {
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => this.look(), PAUSE);
  }

  /** Enter on an empty line ends the plug: on to the next one, or to the button that makes one. */
  endsPlug(event) {
    const area = event.target.closest('[data-plug-lines]');
    if (!area || event.key !== 'Enter') return;
    const line = area.value.slice(0, area.selectionStart).split('\n').pop();
    if (line.trim() !== '' || area.value.trim() === '') return;
    event.preventDefault();
    const all = [...this.#form.querySelectorAll('.plug-typed')];
    const next = all[all.indexOf(area.closest('.plug-typed')) + 1];
    const to = next?.querySelector('input') ?? this.#form.querySelector('[data-more]');
    to.focus();
    to.select?.();
  }

  /** Alt and an arrow key moves the line under the cursor. */
  movesLine(event) {
    const area = event.target.closest('[data-move-lines]');
    const by = { ArrowUp: -1, ArrowDown: 1 }[event.key];
    if (!area || !event.altKey || !by) return;
    event.preventDefault();
    const lines = area.value.split('\n');
    const at = area.value.slice(0, area.selectionStart).split('\n').length - 1;
    const to = at + by;
    if (to < 0 || to >= lines.length) return;
    [lines[at], lines[to]] = [lines[to], lines[at]];
    const column = area.selectionStart - area.value.split('\n').slice(0, at).join('\n').length - (at ? 1 : 0);
    area.value = lines.join('\n');
    const start = lines.slice(0, to).join('\n').length + (to ? 1 : 0) + column;
    area.setSelectionRange(start, start);
    this.soon();
  }

  /** A row that is dragged takes its line along; rows stand as the lines do. */
  drops(event) {
    const row = event.target.closest?.('[data-line]');
    const from = this.#dragged;
    this.#dragged = null;
    if (!row || from === null || from === undefined) return;
    event.preventDefault();
    const area = this.#form.querySelector(`[name="${row.closest('[data-lines]').dataset.lines}"]`);
    const lines = area.value.split('\n');
    const said = lines.map((line, i) => (line.trim() ? i : -1)).filter((i) => i >= 0);
    const [line] = lines.splice(said[from], 1);
    lines.splice(said[Number(row.dataset.line)], 0, line);
    area.value = lines.join('\n');
    this.soon();
  }

  #dragged = null;

  drags(event) {
    const row = event.target.closest?.('[data-line]');
    this.#dragged = row ? Number(row.dataset.line) : null;
  }

  /** Enter in a single field looks again; it never saves by accident. */
  noAccident(event) {
    if (event.key !== 'Enter' || event.target.tagName !== 'INPUT' || event.target.type === 'checkbox') return;
    event.preventDefault();
    this.look();
  }
}

export function mount(root) {
  const form = new LinesForm(root);
  root.addEventListener('input', () => form.soon());
  root.addEventListener('change', () => form.soon());
  root.addEventListener('keydown', (event) => form.endsPlug(event));
  root.addEventListener('keydown', (event) => form.movesLine(event));
  root.addEventListener('keydown', (event) => form.noAccident(event));
  root.addEventListener('dragstart', (event) => form.drags(event));
  root.addEventListener('dragover', (event) => { if (event.target.closest?.('[data-line]')) event.preventDefault(); });
  root.addEventListener('drop', (event) => form.drops(event));
}
