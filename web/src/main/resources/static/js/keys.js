// The job's map by keyboard: 1 to 9 for a station, j and k for the next and the one before.
export function mount(root) {
  root.addEventListener('keydown', (event) => {
    if (event.ctrlKey || event.metaKey || event.altKey || event.target.matches('input, select, textarea')) return;
    const stations = [...root.querySelectorAll('.loom a')];
    const here = stations.findIndex((a) => a.hasAttribute('aria-current'));
    const wanted = event.key === 'j' ? here + 1 : event.key === 'k' ? here - 1 : /^[1-9]$/.test(event.key) ? Number(event.key) - 1 : -1;
    if (wanted >= 0 && wanted < stations.length && wanted !== here) location.assign(stations[wanted].href);
  });
}
