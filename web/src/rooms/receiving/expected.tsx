import type { ExpectedLine } from '@fleam/core/plans'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { Link } from 'react-router-dom'
import { useExpected, useUpdateExpected } from '../../data/planning-queries.ts'
import { arrivedWords } from '../../parts/arrived-words.ts'
import { dayWords } from '../../parts/dates.ts'
import { NumberField } from '../../parts/number-field.tsx'
import { Failed } from '../../parts/states.tsx'
import css from './expected.module.css'

/** What accepted plans have ordered: what arrives is checked against it. */
export function Expected() {
  const expected = useExpected()
  const lines = expected.data ?? []
  const orders = [...new Map(lines.map((line) => [`${line.day} ${line.supplierId}`, line])).values()]
  if (lines.length === 0) return null
  return (
    <section aria-labelledby="expected">
      <h2 id="expected">Expected</h2>
      {orders.map(({ day, supplierId, supplier }) => (
        <div key={`${day} ${supplierId}`}>
          <h3 className={css.order}>
            {dayWords(day)}, {supplier}
          </h3>
          <ul className={css.lines}>
            {lines
              .filter((line) => line.day === day && line.supplierId === supplierId)
              .map((line) => (
                <Line key={line.id} line={line} />
              ))}
          </ul>
        </div>
      ))}
    </section>
  )
}

function Line({ line }: { line: ExpectedLine }) {
  const update = useUpdateExpected()
  const [packs, setPacks] = useState<number | null>(line.packs)
  const { words, isShort } = arrivedWords(line)
  const isOpen = line.arrived === null && line.lots.length === 0
  const say = (arrived: number | null) => update.mutate({ lineId: line.id, arrived })
  return (
    <li>
      <span>
        {line.packs} × {line.name}: <span className={isShort ? css.short : 'quiet'}>{words}</span>{' '}
        <Link to={`/plan/${line.planId}`}>{line.plan}</Link>
      </span>
      {line.kind === 'whole' && isOpen ? (
        <Link className="btn btn-outline-dark btn-sm" to={`/buying/receiving/new?expected=${line.id}`}>
          It is here
        </Link>
      ) : null}
      {line.kind === 'ready' && isOpen ? (
        <span className={css.packs}>
          <NumberField
            label={`Packs of ${line.name} that came`}
            isLabelHidden
            value={packs}
            onChange={(value, isValid) => {
              if (isValid) setPacks(value)
            }}
          />
          <Button
            size="sm"
            variant="outline-dark"
            disabled={packs === null || !Number.isInteger(packs) || update.isPending}
            onClick={() => say(packs)}
          >
            packs came
          </Button>
        </span>
      ) : null}
      {line.arrived === null ? null : (
        <Button size="sm" variant="link" disabled={update.isPending} onClick={() => say(null)}>
          undo
        </Button>
      )}
      {update.isError ? <Failed error={update.error} /> : null}
    </li>
  )
}
