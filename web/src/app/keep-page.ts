import { KEEP_THE_REST } from './keep-the-rest.ts'

/** Lets the page open without a network once it has been visited. A browser without service workers does without. */
export function keepPageOnDevice(): void {
  if (!('serviceWorker' in navigator)) return
  const { serviceWorker } = navigator
  // Also the one that takes over after an update.
  serviceWorker.addEventListener('controllerchange', () => serviceWorker.controller?.postMessage(KEEP_THE_REST))
  void serviceWorker
    .register('/service-worker.js', { type: 'module' })
    .then(() => serviceWorker.ready)
    .then(({ active }) => active?.postMessage(KEEP_THE_REST))
    .catch(() => {})
}
