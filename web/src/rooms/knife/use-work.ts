import type { Work, WorkName } from '@fleam/contract/portioning/work'
import { useCallback, useEffect, useRef, useState } from 'react'
import { workAside } from '../../workers/core-client.ts'

export interface WorkState<N extends WorkName> {
  answer: Work[N]['answer'] | null
  /** Share of the work that is done, 0 to 1; null while none is. */
  progress: number | null
  error: unknown
  cancel: () => void
}

/** Works a input out aside each time that it changes; the last answer stands until the next one is there. */
export function useWork<N extends WorkName>(name: N, input: Work[N]['input'] | null): WorkState<N> {
  const [answer, setAnswer] = useState<Work[N]['answer'] | null>(null)
  const [progress, setProgress] = useState<number | null>(null)
  const [error, setError] = useState<unknown>(null)
  const leaving = useRef<AbortController | null>(null)
  const key = JSON.stringify(input)
  useEffect(() => {
    const wanted = JSON.parse(key) as Work[N]['input'] | null
    setError(null)
    if (!wanted) {
      setAnswer(null)
      return
    }
    const controller = new AbortController()
    leaving.current = controller
    setProgress(0)
    const isWanted = () => !controller.signal.aborted
    void workAside(name, wanted, {
      signal: controller.signal,
      onProgress: (done, of) => isWanted() && setProgress(done / of),
    })
      .then((worked) => isWanted() && setAnswer(worked))
      .catch((failed: unknown) => isWanted() && setError(failed))
      .finally(() => isWanted() && setProgress(null))
    return () => controller.abort()
  }, [name, key])
  const cancel = useCallback(() => {
    leaving.current?.abort()
    setProgress(null)
  }, [])
  return { answer, progress, error, cancel }
}
