/** Lets the page open without a network once it has been visited. A browser without service workers does without. */
export function keepPageOnDevice(): void {
  if (!('serviceWorker' in navigator)) return
  void navigator.serviceWorker.register('/service-worker.js', { type: 'module' }).catch(() => {})
}
