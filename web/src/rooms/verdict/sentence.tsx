import { WHOLE_WORDS } from '@fleam/catalogue'
import type { Species } from '@fleam/core/style'
import { type SentencePart, verdictSentence } from '@fleam/core/wording'
import { useAppraised } from '../../parts/appraised-context.ts'
import { MaybeFigure } from '../../parts/figure.tsx'
import css from './sentence.module.css'

/** The answer first: one sentence with two amounts, and what turns it. */
export function Sentence({ species }: { species: Species | null }) {
  const { document, appraisal, format } = useAppraised()
  const parts = verdictSentence(document, appraisal, species === null ? 'purchase' : WHOLE_WORDS[species])
  if (parts.length === 0) return null
  const show = (part: SentencePart, at: number) => {
    if (part.kind === 'words') return part.words
    if (part.kind === 'verdict') return <strong key={at}>{part.words}</strong>
    return (
      <MaybeFigure
        key={at}
        of={part.of}
        value={part.value}
        word={(value) => format.quantity(value, part.quantity)}
        {...(part.isKept ? { className: 'kept' } : {})}
      />
    )
  }
  return <h1 className={css.sentence}>{parts.map(show)}</h1>
}
