/** How many things call for somebody, shown before the title of every page, so that the tab says it too. */
let count = 0;
const listeners = new Set<() => void>();

export const titleMark = {
  read: (): number => count,
  set: (next: number): void => {
    if (next !== count) {
      count = next;
      listeners.forEach((tell) => tell());
    }
  },
  subscribe: (tell: () => void): (() => void) => {
    listeners.add(tell);
    return () => void listeners.delete(tell);
  },
};
