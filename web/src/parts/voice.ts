/** Says words with the browser's own voice; what is still being said is dropped, because the newest counts. */
export function speak(words: string): void {
  if (!('speechSynthesis' in window)) return
  window.speechSynthesis.cancel()
  window.speechSynthesis.speak(new SpeechSynthesisUtterance(words))
}

export type Tone = 'taken' | 'doubt'

const TONES: Readonly<Record<Tone, { hertz: number; seconds: number }>> = {
  taken: { hertz: 880, seconds: 0.09 },
  doubt: { hertz: 330, seconds: 0.28 },
}
const QUIET = 0.15

let context: AudioContext | null = null

/** A short tone: high and short for what was taken, low and long for a doubt. */
export function sound(tone: Tone): void {
  if (!('AudioContext' in window)) return
  context ??= new AudioContext()
  const { hertz, seconds } = TONES[tone]
  const oscillator = context.createOscillator()
  const gain = context.createGain()
  oscillator.frequency.value = hertz
  gain.gain.value = QUIET
  oscillator.connect(gain).connect(context.destination)
  oscillator.start()
  oscillator.stop(context.currentTime + seconds)
}
