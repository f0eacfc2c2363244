import { reach } from '../api/reach';

/** Only a page on this machine, or one that is encrypted, can be kept on the device. */
export const canBeInstalled = (): boolean => 'serviceWorker' in navigator;

let registration: ServiceWorkerRegistration | null = null;

/** Lets the browser keep the shell of the client, so that it opens while the server is out of reach. */
export async function install(): Promise<void> {
  if (!canBeInstalled() || !import.meta.env.PROD) {
    return;
  }
  try {
    registration = await navigator.serviceWorker.register('/sw.js');
    // eslint-disable-next-line no-restricted-syntax -- the page works without; People says whether it can be kept on a phone
  } catch {
    return;
  }
  // A newer one is fetched beside this page, and takes over when the keeper says so.
  reach.subscribe(() => {
    if (reach.state().isNewer) {
      void registration?.update();
    }
  });
}

/** Loads the page that the server has now. */
export async function loadServedPage(): Promise<void> {
  await registration?.update();
  registration?.waiting?.postMessage('take over');
  window.location.reload();
}
