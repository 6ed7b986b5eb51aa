import { useEffect, useState } from 'react'
import { readSetting, writeSetting } from '../data/settings.ts'

export type Theme = 'light' | 'dark'

const preferred = (): Theme => (window.matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light')

/** Light or dark: as the device prefers until somebody chooses. */
export function useTheme(): [Theme, () => void] {
  const [theme, setTheme] = useState<Theme>(() => (readSetting('theme') as Theme | null) ?? preferred())
  useEffect(() => {
    document.documentElement.dataset.bsTheme = theme
  }, [theme])
  const toggle = () => {
    const next = theme === 'dark' ? 'light' : 'dark'
    writeSetting('theme', next)
    setTheme(next)
  }
  return [theme, toggle]
}
