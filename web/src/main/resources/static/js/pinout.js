// Enter goes down a column of the pinout, as on paper, and past its foot to the next plug; nothing is sent by accident.

const form = document.querySelector('[data-entry]');

function below(input) {
  const column = [...form.querySelectorAll(`[data-column="${input.dataset.column}"]`)];
  return column[column.indexOf(input) + 1];
}

form?.addEventListener('keydown', (event) => {
  const input = event.target.closest('[data-column]');
  if (!input || event.key !== 'Enter') return;
  event.preventDefault();
  const next = below(input) ?? form.querySelector('button[value=save]');
  next.focus();
  next.select?.();
});
