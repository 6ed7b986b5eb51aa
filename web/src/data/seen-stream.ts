/**
 * An event stream that is open while the page is seen. A browser opens only a few connections to one
 * server: pages in the background must not hold them. `open` is called again whenever the page comes
 * back into sight. Returns what ends it.
 */
export function streamWhileSeen(open: () => EventSource): () => void {
  let source: EventSource | null = null
  const follow = () => {
    if (document.visibilityState === 'hidden') {
      source?.close()
      source = null
    } else source ??= open()
  }
  follow()
  document.addEventListener('visibilitychange', follow)
  return () => {
    document.removeEventListener('visibilitychange', follow)
    source?.close()
    source = null
  }
}
