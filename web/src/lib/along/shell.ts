/** Where a page may keep itself: over an encrypted connection, or on the computer it runs on. */
export const canInstall = () => isSecureContext && 'serviceWorker' in navigator;

/** One that does not come whole, as where the network breaks off meanwhile, is asked for so often. */
const MOST_TRIES = 3;

/**
 * Keeps the page itself in this browser, so that it opens without a network.
 *
 * @param newer told when a newer one is here, which comes with the next look
 * @throws Error when it does not come whole
 */
export async function installShell(newer: () => void) {
  const registration = await navigator.serviceWorker.register('/sw.js');
  // Nothing is typed yet: one that waited since the last time may come now.
  if (registration.waiting && navigator.serviceWorker.controller) takeNewer(registration);
  registration.addEventListener('updatefound', () => {
    const coming = registration.installing;
    coming?.addEventListener('statechange', () => {
      if (coming.state === 'installed' && navigator.serviceWorker.controller) newer();
    });
  });
  for (let tries = 1; !(await isThere(registration)); tries++) {
    if (tries === MOST_TRIES) throw new Error('the page itself did not come whole');
    await navigator.serviceWorker.register('/sw.js');
  }
}

/** Whether it came; waits while it is on its way. */
async function isThere(registration: ServiceWorkerRegistration): Promise<boolean> {
  const coming = registration.active ? null : (registration.installing ?? registration.waiting);
  if (!coming) return registration.active !== null;
  const end = await new Promise<ServiceWorkerState>((resolve) => {
    const look = () => {
      if (coming.state === 'activated' || coming.state === 'redundant') resolve(coming.state);
    };
    coming.addEventListener('statechange', look);
    look();
  });
  return end === 'activated';
}

function takeNewer(registration: ServiceWorkerRegistration) {
  navigator.serviceWorker.addEventListener('controllerchange', () => location.reload(), { once: true });
  registration.waiting?.postMessage({ type: 'SKIP_WAITING' });
}

/** Looks again, with the newer page. */
export async function reloadNewer() {
  const registration = await navigator.serviceWorker.getRegistration();
  if (registration?.waiting) takeNewer(registration);
  else location.reload();
}
