/** Starts the one worker that serves the core; apart, because only a bundler knows its address. */
export const startWorker = (): Worker => new Worker(new URL('./core-worker.ts', import.meta.url), { type: 'module' })
