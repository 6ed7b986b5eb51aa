import type { LogbookDoubts } from '@fleam/contract/logbook/schemas'
import { doubtWords } from '@fleam/core/wording'
import Button from 'react-bootstrap/Button'
import { Link } from 'react-router-dom'
import { useLeaveOut, useLogbookDoubts, useSettleDoubt } from '../../data/logbook-queries.ts'
import { dayWords } from '../../parts/dates.ts'
import { Failed } from '../../parts/states.tsx'
import { type Format, useFormat } from '../../parts/use-format.ts'
import { Answer, waitingFor } from './answer.tsx'

type Doubt = LogbookDoubts['doubts'][number]

/** Records that cannot be right, each with its reason. Nothing is changed by itself: each leads to where it is mended. */
export function Doubts() {
  const format = useFormat()
  const { data, isError, error, refetch } = useLogbookDoubts()
  if (isError) return <Failed error={error} retry={() => void refetch()} />
  if (!data) return null
  return (
    <section aria-labelledby="doubts">
      <h2 id="doubts">Records that cannot be right</h2>
      {data.doubts.length === 0 ? (
        <p>None of {data.records} records.</p>
      ) : (
        <ul>
          {data.doubts.map((doubt) => (
            <li key={`${doubt.id} ${doubt.why.kind}`}>
              <Link to={`/verdict/${doubt.id}`}>
                {dayWords(doubt.date)}, {doubt.item}: {doubt.style.toLowerCase()}
                {doubt.cook ? `, ${doubt.cook}` : ''}
              </Link>
              : {doubtWords(doubt.why, format)}
              {doubt.why.kind === 'double' ? <Link to={`/verdict/${doubt.why.of}`}>the other one</Link> : null}{' '}
              <Mends doubt={doubt} reason={reasonFor(doubt, format)} />
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}

/** Why a doubted record is left out, as it will stand in it. */
const MAX_REASON = 200
const reasonFor = ({ why, date, item }: Doubt, format: Format) =>
  (why.kind === 'double' ? `double of another of ${item} on ${date}` : doubtWords(why, format)).slice(0, MAX_REASON)

/** Takes a record out of every mean, with the doubt as its reason, or stands by it: both are kept in its history. */
function Mends({ doubt, reason }: { doubt: Doubt; reason: string }) {
  const leaving = useLeaveOut(doubt.id)
  const settling = useSettleDoubt(doubt.id)
  return (
    <>
      <Button
        size="sm"
        variant="outline-dark"
        className="no-print"
        disabled={leaving.isPending}
        onClick={() => leaving.mutate(reason)}
      >
        {doubt.why.kind === 'double' ? 'Count one of them' : 'Do not count'}
      </Button>
      <Button
        size="sm"
        variant="outline-dark"
        className="no-print"
        disabled={settling.isPending}
        onClick={() => settling.mutate(doubt.why.kind)}
      >
        It is right
      </Button>
      {settling.isError ? <Failed error={settling.error} /> : null}
      {leaving.isError ? <Failed error={leaving.error} /> : null}
    </>
  )
}

/** How many records cannot be right, on the first screen. */
export function DoubtsAnswer() {
  const asked = useLogbookDoubts()
  const wrong = new Set(asked.data?.doubts.map(({ id }) => id)).size
  return (
    <Answer id="doubts-first" question="Doubts" waiting={waitingFor('the doubts', asked)}>
      <p>
        {wrong === 0 ? (
          `None of ${asked.data?.records} records looks wrong.`
        ) : (
          <a href="#doubts">
            {wrong} of {asked.data?.records} records cannot be right
          </a>
        )}
      </p>
    </Answer>
  )
}
