import { useState } from 'react'
import { readSetting, writeSetting } from '../../data/settings.ts'

/** How long a plan may take at most, on this device. */
export const SECONDS = [5, 10, 30, 60] as const
const SETTING = 'plan-seconds'
const USUAL = 10

export function useSeconds(): [number, (seconds: number) => void] {
  const [seconds, setSeconds] = useState(() => {
    const kept = Number(readSetting(SETTING))
    return SECONDS.some((second) => second === kept) ? kept : USUAL
  })
  return [
    seconds,
    (next) => {
      setSeconds(next)
      writeSetting(SETTING, String(next))
    },
  ]
}
