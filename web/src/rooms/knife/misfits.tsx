import type { JudgedCuts } from '@fleam/core/portioning'
import { useFormat } from '../../parts/use-format.ts'
import { misfitWords } from './misfit-words.ts'
import css from './misfits.module.css'

/** Why what lies between two lines is no portion, said below the board while a line is moved. */
export function Misfits({ judged }: { judged: JudgedCuts }) {
  const format = useFormat()
  const words = judged.parts.flatMap((part) => {
    const why = misfitWords(part)
    return why === null ? [] : [`${format.lengthAmount(part.from)} to ${format.length(part.to)} is scrap, ${why}`]
  })
  return (
    <p className={`${css.misfits} quiet no-print`} aria-live="polite">
      {words.length > 0 ? `${words.join('; ')}.` : 'Every part is a portion.'}
    </p>
  )
}
