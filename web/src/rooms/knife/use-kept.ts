import { useState } from 'react'
import { readSetting, writeSetting } from '../../data/settings.ts'

/** A value of this device that stays when the page is left; `isWhole` says whether what was kept can be read. */
export function useKept<T>(name: string, first: T, isWhole: (read: unknown) => read is T): [T, (next: T) => void] {
  const [value, setValue] = useState<T>(() => {
    try {
      const read: unknown = JSON.parse(readSetting(name) ?? 'null')
      return isWhole(read) ? read : first
    } catch {
      return first
    }
  })
  const keep = (next: T) => {
    setValue(next)
    writeSetting(name, JSON.stringify(next))
  }
  return [value, keep]
}
