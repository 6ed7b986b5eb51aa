import { sound, speak } from './voice.ts'

test('a browser without voice or sound is quiet', () => {
  expect(() => {
    speak('taken')
    sound('taken')
  }).not.toThrow()
})

test('says the newest words, and plays a high short tone for what was taken', () => {
  const said: string[] = []
  const played: number[] = []
  class Utterance {
    readonly text: string
    constructor(text: string) {
      this.text = text
    }
  }
  class Context {
    currentTime = 1
    destination = {}
    createOscillator() {
      const frequency = { value: 0 }
      return {
        frequency,
        connect: (next: unknown) => next,
        start: () => played.push(frequency.value),
        stop: (at: number) => played.push(Number((at - 1).toFixed(2))),
      }
    }
    createGain() {
      return { gain: { value: 1 }, connect: (next: unknown) => next }
    }
  }
  Object.assign(window, {
    SpeechSynthesisUtterance: Utterance,
    AudioContext: Context,
    speechSynthesis: { cancel: () => said.push('–'), speak: ({ text }: Utterance) => said.push(text) },
  })
  Object.assign(globalThis, { SpeechSynthesisUtterance: Utterance, AudioContext: Context })
  speak('too light')
  sound('taken')
  sound('doubt')
  expect(said).toEqual(['–', 'too light'])
  expect(played).toEqual([880, 0.09, 330, 0.28])
})
