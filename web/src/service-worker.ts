/// <reference lib="webworker" />
import { isApiPath } from '@fleam/contract/api'
import {
  cleanupOutdatedCaches,
  createHandlerBoundToURL,
  PrecacheController,
  PrecacheRoute,
  precacheAndRoute,
} from 'workbox-precaching'
import { registerRoute } from 'workbox-routing'
import { KEEP_THE_REST } from './app/keep-the-rest.ts'

declare const self: ServiceWorkerGlobalScope
interface BuiltFile {
  url: string
  revision: string | null
}
/** Built files with their revisions; the build writes them in. The first are what Today and the bench need. */
declare const __FIRST_FILES__: BuiltFile[]
declare const __OTHER_FILES__: BuiltFile[]

// The page opens without a network soon after it was first visited, at the bench and on Today; the other rooms follow.
// Data is not kept here: the API is never cached.
cleanupOutdatedCaches()
precacheAndRoute(__FIRST_FILES__)
const page = createHandlerBoundToURL('/index.html')
const others = new PrecacheController({ cacheName: 'fleam-other-rooms' })
others.addToCacheList(__OTHER_FILES__)
registerRoute(new PrecacheRoute(others))

self.addEventListener('fetch', (event) => {
  const { request } = event
  const url = new URL(request.url)
  if (request.mode !== 'navigate' || url.origin !== self.location.origin || isApiPath(url.pathname)) return
  event.respondWith(page({ request, event, url }))
})
self.addEventListener('install', () => void self.skipWaiting())
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()))
self.addEventListener('message', (event) => {
  if (event.data !== KEEP_THE_REST) return
  event.waitUntil(others.install(event).then(() => others.activate(event)))
})
