/// <reference lib="webworker" />
import { cleanupOutdatedCaches, createHandlerBoundToURL, precacheAndRoute } from 'workbox-precaching'

declare const self: ServiceWorkerGlobalScope
/** Every built file with its revision; the build writes it in. */
declare const __BUILT_FILES__: { url: string; revision: string | null }[]

// The page opens without a network once it has been visited. Data is not kept here: the API is never cached.
cleanupOutdatedCaches()
precacheAndRoute(__BUILT_FILES__)
const page = createHandlerBoundToURL('/index.html')

self.addEventListener('fetch', (event) => {
  const { request } = event
  const url = new URL(request.url)
  if (request.mode !== 'navigate' || url.origin !== self.location.origin || url.pathname.startsWith('/api/')) return
  event.respondWith(page({ request, event, url }))
})
self.addEventListener('install', () => void self.skipWaiting())
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()))
