import type { Forecast, ForecastModel, Spreads } from '@fleam/core/forecasting'
import { useCallback, useEffect, useRef, useState } from 'react'
import { forecastAside } from '../../workers/core-client.ts'

const DRAWS = 100_000
/** The same verdict is forecast the same way on every device. */
const SEED = 0.42

export interface ForecastState {
  forecast: Forecast | null
  /** How far the draws are, 0 to 1; null while none are drawn. */
  progress: number | null
  cancel: () => void
  again: () => void
}

/** Draws the forecast of a model aside; a change of the model breaks the draws off and begins anew. */
export function useForecast(model: ForecastModel | null, spreads: Spreads | null): ForecastState {
  const [forecast, setForecast] = useState<Forecast | null>(null)
  const [progress, setProgress] = useState<number | null>(null)
  const leaving = useRef<AbortController | null>(null)
  const cancel = useCallback(() => {
    leaving.current?.abort()
    leaving.current = null
    setProgress(null)
  }, [])
  const again = useCallback(() => {
    leaving.current?.abort()
    if (!model || !spreads) return
    const controller = new AbortController()
    leaving.current = controller
    setProgress(0)
    void forecastAside(
      { model, spreads, draws: DRAWS, seed: SEED },
      { signal: controller.signal, onProgress: (done, of) => setProgress(done / of) },
    )
      .then((drawn) => {
        setForecast(drawn)
        setProgress(null)
      })
      .catch(() => setProgress(null))
  }, [model, spreads])
  useEffect(() => {
    again()
    return () => leaving.current?.abort()
  }, [again])
  return { forecast, progress, cancel, again }
}
