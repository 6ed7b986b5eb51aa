import { useRef, useState } from 'react'
import { readSetting, writeSetting } from '../../../data/settings.ts'
import { type Acts, NO_ACTS } from './acts.ts'

function keptActs(name: string): Acts {
  try {
    return JSON.parse(readSetting(name) ?? 'null') ?? NO_ACTS
  } catch {
    return NO_ACTS
  }
}

/** The acts of this device at a bench; they outlive the page, so that the last one can be undone after it was opened anew. */
export function useActs(fabricationId: string): { acts: Acts; change: (change: (acts: Acts) => Acts) => void } {
  const name = `acts.${fabricationId}`
  const [acts, setActs] = useState(() => keptActs(name))
  // Two touches may come before the page is drawn anew: the second must know of the first.
  const latest = useRef(acts)
  const change = (by: (acts: Acts) => Acts) => {
    latest.current = by(latest.current)
    setActs(latest.current)
    writeSetting(name, JSON.stringify(latest.current))
  }
  return { acts, change }
}
