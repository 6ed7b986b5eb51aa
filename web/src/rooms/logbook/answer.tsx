import type { ReactNode } from 'react'
import { Failed, Loading } from '../../parts/states.tsx'
import css from './answer.module.css'

interface AnswerProps {
  id: string
  /** What is asked, in a word or two. */
  question: string
  /** What is being waited for; null once there is an answer. */
  waiting?: { what: string; error: unknown; retry: () => void } | null
  children?: ReactNode
}

/** One question of the first screen with its answer in sentences. */
export const Answer = ({ id, question, waiting = null, children }: AnswerProps) => (
  <section aria-labelledby={id} className={css.answer}>
    <h2 id={id}>{question}</h2>
    <div>
      {waiting === null ? (
        children
      ) : waiting.error ? (
        <Failed error={waiting.error} retry={waiting.retry} />
      ) : (
        <Loading what={waiting.what} />
      )}
    </div>
  </section>
)

interface Asked {
  data: unknown
  error: unknown
  refetch: () => unknown
}

/** What an answer waits for while a question is under way. */
export const waitingFor = (what: string, { data, error, refetch }: Asked) =>
  data ? null : { what, error, retry: () => void refetch() }
