// Keys that work everywhere: / to find; at a job 1 to 9 for a station, j and k for the next and the one before.
function stationFor(key, stations) {
  const here = stations.findIndex((a) => a.hasAttribute('aria-current'));
  if (key === 'j') return stations[here + 1];
  if (key === 'k') return stations[here - 1];
  return /^[1-9]$/.test(key) ? stations[Number(key) - 1] : undefined;
}

export function mount(root) {
  root.addEventListener('keydown', (event) => {
    if (event.ctrlKey || event.metaKey || event.altKey || event.target.matches('input, select, textarea')) return;
    if (event.key === '/') {
      event.preventDefault();
      (document.getElementById('shelf-q') ?? document.getElementById('find'))?.focus();
      return;
    }
    const station = stationFor(event.key, [...root.querySelectorAll('.loom a')]);
    if (station && !station.hasAttribute('aria-current')) station.click();
  });
}
