import { reach } from '../api/reach';

const storage = 'lantern-loaded-anew';
const onceMs = 30_000;

/**
 * Loads the page anew when a part of it is gone from the server; once, and only while the server is there, because a page that
 * is open is worth more than none.
 */
export async function loadNewerPage(now = Date.now()): Promise<void> {
  const last = Number(sessionStorage.getItem(storage) ?? 0);
  if (now - last < onceMs) {
    return;
  }
  await reach.tryNow();
  if (reach.state().silentSince === null) {
    sessionStorage.setItem(storage, String(now));
    window.location.reload();
  }
}
