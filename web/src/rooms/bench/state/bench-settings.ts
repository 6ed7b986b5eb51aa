import { useState } from 'react'
import { readSetting, writeSetting } from '../../../data/settings.ts'

/** What this device does by itself; remembered on it. */
export interface BenchSettings {
  /** A settled load is taken without a touch when the load changes. */
  takesItself: boolean
  sound: boolean
  voice: boolean
  /** Who works at this device; null where nobody said. */
  cookId: string | null
}

const isOn = (name: string) => readSetting(name) === 'on'

const read = (): BenchSettings => ({
  takesItself: isOn('takes-itself'),
  sound: isOn('sound'),
  voice: isOn('voice'),
  cookId: readSetting('bench-cook-id'),
})

export interface BenchSettingsState extends BenchSettings {
  change: (changes: Partial<BenchSettings>) => void
}

export function useBenchSettings(): BenchSettingsState {
  const [settings, setSettings] = useState(read)
  return {
    ...settings,
    change: (changes) => {
      const next = { ...settings, ...changes }
      writeSetting('takes-itself', next.takesItself ? 'on' : 'off')
      writeSetting('sound', next.sound ? 'on' : 'off')
      writeSetting('voice', next.voice ? 'on' : 'off')
      writeSetting('bench-cook-id', next.cookId)
      setSettings(next)
    },
  }
}
