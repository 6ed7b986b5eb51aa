import type { JudgedCuts } from '@fleam/core'
import { misfitWords } from './misfit-words.ts'

/** Why what lies between two lines is no portion, said below the board while a line is moved. */
export function Misfits({ judged }: { judged: JudgedCuts }) {
  const words = judged.parts.flatMap((part) => {
    const why = misfitWords(part)
    return why === null ? [] : [`${Math.round(part.from)} to ${Math.round(part.to)} mm is scrap, ${why}`]
  })
  return (
    <p className="misfits quiet no-print" aria-live="polite">
      {words.length > 0 ? `${words.join('; ')}.` : 'Every part is a portion.'}
    </p>
  )
}
