/** Ids of entries that this page has written itself: news of them from the server is no news here. */
const own = new Set<string>();

const most = 500;

export function wroteOurselves(...ids: readonly string[]): void {
  if (own.size > most) {
    own.clear();
  }
  ids.forEach((id) => own.add(id));
}

export const isOurs = (ids: readonly string[]): boolean => ids.length > 0 && ids.every((id) => own.has(id));
