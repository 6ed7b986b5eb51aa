import { useEffect } from 'react'

/** Keeps the screen awake while the bench is open, where the browser can. */
export function useWakeLock(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | null = null
    let isLeft = false
    const hold = async () => {
      if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return
      lock = await navigator.wakeLock.request('screen').catch(() => null)
      if (isLeft) void lock?.release()
    }
    void hold()
    // The browser lets go of it whenever the page is out of sight.
    document.addEventListener('visibilitychange', hold)
    return () => {
      isLeft = true
      document.removeEventListener('visibilitychange', hold)
      void lock?.release()
    }
  }, [])
}
