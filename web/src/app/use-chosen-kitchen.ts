import { useState } from 'react'
import { readSetting, writeSetting } from '../data/settings.ts'

/** The kitchen that this device works for; remembered on it. */
export function useChosenKitchen(): [string | null, (id: string) => void] {
  const [id, setId] = useState(() => readSetting('kitchen'))
  const choose = (next: string) => {
    writeSetting('kitchen', next)
    setId(next)
  }
  return [id, choose]
}
