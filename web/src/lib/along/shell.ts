/** Where a page may keep itself: over an encrypted connection, or on the computer it runs on. */
export const canInstall = () => isSecureContext && 'serviceWorker' in navigator;

/**
 * Keeps the page itself in this browser, so that it opens without a network.
 *
 * @param newer told when a newer one is here, which comes with the next look
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
  await navigator.serviceWorker.ready;
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
