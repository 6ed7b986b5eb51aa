import type { HeldTask, Schedule, ScheduleCost, ScheduleRequest } from '@fleam/core/scheduling'
import { useEffect, useRef, useState } from 'react'
import { scheduleAside } from '../../../workers/plan-client.ts'

/** All of it is looked at long; the rest of a day at once, because somebody waits at the board. */
const SECONDS = { all: 9, rest: 1.5 } as const

export interface ScheduleRun {
  state: 'idle' | 'running' | 'failed'
  best: ScheduleCost | null
  failure: string | null
  make: (
    asked: { request: ScheduleRequest; held: readonly HeldTask[]; part: keyof typeof SECONDS },
    then: (schedule: Schedule) => void,
  ) => void
  stop: () => void
}

/** Makes schedules aside, one at a time. */
export function useScheduleRun(): ScheduleRun {
  const [state, setState] = useState<ScheduleRun['state']>('idle')
  const [best, setBest] = useState<ScheduleCost | null>(null)
  const [failure, setFailure] = useState<string | null>(null)
  const breakOff = useRef<() => void>(() => {})
  useEffect(() => () => breakOff.current(), [])
  return {
    state,
    best,
    failure,
    make: ({ part, ...asked }, then) => {
      breakOff.current()
      setState('running')
      setBest(null)
      setFailure(null)
      breakOff.current = scheduleAside({ ...asked, seconds: SECONDS[part] }, (message) => {
        switch (message.type) {
          case 'best':
            return setBest(message.best)
          case 'schedule':
            return then(message.schedule)
          case 'done':
            return setState('idle')
          case 'failed':
            setFailure(message.message)
            return setState('failed')
        }
      })
    },
    stop: () => {
      breakOff.current()
      setState('idle')
    },
  }
}
