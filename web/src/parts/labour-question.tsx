import type { LabourAnswer, LabourDoubt, LabourSource } from '@fleam/core/fabrication'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import css from './labour-question.module.css'
import { NumberField } from './number-field.tsx'
import type { useFormat } from './use-format.ts'

/** Where minutes are from, in the words of every screen. */
export const LABOUR_SOURCE_WORDS: Readonly<Record<LabourSource, string>> = {
  assumed: 'assumed',
  expected: 'as expected',
  timed: 'timed',
  typed: 'typed',
}

interface LabourQuestionProps {
  doubt: LabourDoubt
  answer: LabourAnswer | null
  format: ReturnType<typeof useFormat>
  isBusy?: boolean
  onAnswer: (answer: LabourAnswer) => void
}

/** Clocks that say far less or more than was expected: one line, three answers. Nobody has to; until then the expected minutes count. */
export function LabourQuestion({ doubt, answer, format, isBusy = false, onAnswer }: LabourQuestionProps) {
  const [isTyping, setTyping] = useState(false)
  const [typed, setTyped] = useState<number | null>(null)
  const minutes = (count: number) => format.quantity(count, 'minutes')
  const choices = [
    { source: 'timed', words: `Use the clock, ${minutes(doubt.timedMinutes)}` },
    { source: 'expected', words: `Use the expected, ${minutes(doubt.expectedMinutes)}` },
  ] as const
  return (
    <fieldset className={css.labourQuestion}>
      <legend>
        The clocks say {minutes(doubt.timedMinutes)}, {minutes(doubt.expectedMinutes)} were expected. Which is right?
      </legend>
      <div className={css.labourAnswers}>
        {choices.map(({ source, words }) => (
          <button
            key={source}
            type="button"
            aria-pressed={answer?.source === source}
            disabled={isBusy}
            onClick={() => onAnswer({ source })}
          >
            {words}
          </button>
        ))}
        <button
          type="button"
          aria-pressed={answer?.source === 'typed'}
          disabled={isBusy}
          onClick={() => setTyping(true)}
        >
          {answer?.source === 'typed' ? `${minutes(answer.minutes)} in all` : 'Say minutes …'}
        </button>
        {isTyping ? (
          <>
            <NumberField label="Minutes of work in all" value={typed} onChange={setTyped} max={100_000} />
            <Button
              variant="outline-dark"
              disabled={typed === null || isBusy}
              onClick={() => {
                if (typed === null) return
                setTyping(false)
                onAnswer({ source: 'typed', minutes: typed })
              }}
            >
              Use these minutes
            </Button>
          </>
        ) : null}
      </div>
    </fieldset>
  )
}
