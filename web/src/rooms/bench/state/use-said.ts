import { useState } from 'react'
import { sound, speak, type Tone } from '../../../parts/voice.ts'
import type { BenchSettings } from './bench-settings.ts'

export interface SaidState {
  /** What was done last, in words, also for those who listen. */
  said: string
  say: (words: string) => void
  /** A tone, and words aloud, as far as the cook wants them. */
  signal: (tone: Tone, aloud: string) => void
  /** Says words, and gives a signal, once what they tell of is written; says so where this device cannot write. */
  onceKept: (kept: Promise<boolean>, words: string, signal?: Signal) => Promise<void>
}

export interface Signal {
  tone: Tone
  aloud: string
}

const NOT_WRITTEN = 'This device cannot write it down: keep this page open until it is sent.'

/** What the bench says about what was done, on the screen and aloud. */
export function useSaid(settings: BenchSettings): SaidState {
  const [said, setSaid] = useState('')
  const signal = (tone: Tone, aloud: string) => {
    if (settings.sound) sound(tone)
    if (settings.voice) speak(aloud)
  }
  return {
    said,
    say: setSaid,
    signal,
    onceKept: async (kept, words, after) => {
      const isWritten = await kept
      setSaid(isWritten ? words : `${words}. ${NOT_WRITTEN}`)
      if (after) signal(after.tone, after.aloud)
    },
  }
}
