// Stands in for the browser's database where there is none (a private window): what waits is gone with the window.
export function inMemory() {
  const kept = new Map();
  let last = 0;
  const store = {
    async put(change) { kept.set(change.n, change); },
    async getAll() { return [...kept.values()]; },
    async delete(n) { kept.delete(n); },
  };
  return {
    async add(name, change) {
      last += 1;
      kept.set(last, { ...change, n: last });
      return last;
    },
    getAll: () => store.getAll(),
    delete: (name, n) => store.delete(n),
    transaction: () => ({ store, done: Promise.resolve() }),
  };
}
