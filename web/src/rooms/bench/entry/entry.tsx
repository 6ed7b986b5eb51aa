import type { FabricationState } from '@fleam/contract/fabrication/schemas'
import { expectedWeight } from '@fleam/core/fabrication'
import { bareUnitFor, pilesInStepOrder } from '@fleam/core/weighing'
import { type FormEvent, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { useNavigate, useParams } from 'react-router-dom'
import { useKitchen } from '../../../data/kitchen-context.ts'
import { useFabrication } from '../../../data/queries.ts'
import { Failed, Loading } from '../../../parts/states.tsx'
import { useFormat } from '../../../parts/use-format.ts'
import { useLiveFabrication } from '../state/use-live-fabrication.ts'
import checksLineCss from '../steps/checks-line.module.css'
import { questionOf } from '../steps/checks-line.tsx'
import { type BoxResult, checksOfCard, readBox } from './card-weights.ts'
import css from './entry.module.css'

/** A filled-in weighing card, typed in one screen. */
export function Component() {
  const { id = '' } = useParams()
  const fabrication = useFabrication(id)
  if (fabrication.data) return <EntryRoom key={id} state={fabrication.data} />
  if (fabrication.isError) return <Failed error={fabrication.error} retry={() => void fabrication.refetch()} />
  return <Loading what="the card" />
}

function EntryRoom({ state }: { state: FabricationState }) {
  const live = useLiveFabrication(state)
  const { record, standing } = live
  const { units } = useKitchen()
  const format = useFormat(record.currency)
  const navigate = useNavigate()
  const [texts, setTexts] = useState<Readonly<Record<string, string>>>({})
  const [isKeeping, setKeeping] = useState(false)
  const piles = pilesInStepOrder(record)
  const results = new Map(
    piles.map((pile) => [
      pile.id,
      readBox(texts[pile.id] ?? '', pile, bareUnitFor(units, pile, record.purchase.invoiceWeight)),
    ]),
  )
  const count = [...results.values()].reduce((sum, result) => sum + (result.ok ? result.taken.length : 0), 0)
  const isWhole = [...results.values()].every((result) => result.ok)
  const [check] = checksOfCard(record, live.document, standing, results)
  const submit = async (event: FormEvent) => {
    event.preventDefault()
    if (!isWhole || count === 0 || isKeeping) return
    setKeeping(true)
    const taken = [...results].flatMap(([pileId, result]) =>
      result.ok
        ? result.taken.map((entry) => ({ pileId, ...entry, source: 'typed' as const, cookId: record.cookId }))
        : [],
    )
    await live.take(`the card, ${taken.length} weights`, ...taken)
    navigate(`/bench/${record.id}`)
  }
  return (
    <div className={`room ${css.entry}`}>
      <h1>
        The card of {record.item} <span className="quiet">for</span> {record.style.toLowerCase()}
      </h1>
      <p>
        Type each box as it stands on the card: pieces with a space between, or in all with their number (1.6 kg, 12
        pieces).
      </p>
      <Form onSubmit={(event) => void submit(event)}>
        <table>
          <thead>
            <tr>
              <th scope="col">Pile</th>
              <th scope="col">
                Weights, {units === 'metric' ? 'grams' : 'pounds, ounces for what weighs less than one,'} unless you say
                otherwise
              </th>
              <th scope="col">Understood</th>
            </tr>
          </thead>
          <tbody>
            {piles.map((pile) => (
              <BoxRow
                key={pile.id}
                record={record}
                pile={pile}
                before={standing.filter((reading) => reading.pileId === pile.id).length}
                text={texts[pile.id] ?? ''}
                result={results.get(pile.id) as BoxResult}
                onType={(text) => setTexts((all) => ({ ...all, [pile.id]: text }))}
              />
            ))}
          </tbody>
        </table>
        {check ? (
          <p className={checksLineCss.check} role="status" aria-label="Question">
            {questionOf(check, piles.find((pile) => pile.id === check.pileId)?.name ?? '', format.weight)}
          </p>
        ) : null}
        <Button type="submit" className="main-action" disabled={!isWhole || count === 0 || isKeeping}>
          Put {count} {count === 1 ? 'weight' : 'weights'} on their piles
        </Button>
      </Form>
    </div>
  )
}

interface BoxRowProps {
  record: FabricationState['record']
  pile: FabricationState['record']['piles'][number]
  /** Weighings of it that stand already. */
  before: number
  text: string
  result: BoxResult
  onType: (text: string) => void
}

function BoxRow({ record, pile, before, text, result, onType }: BoxRowProps) {
  const format = useFormat(record.currency)
  const expected = expectedWeight(pile, record.purchase.invoiceWeight)
  return (
    <tr>
      <th scope="row">
        <label htmlFor={`entry-${pile.id}`}>{pile.name}</label>
        <span className="quiet">
          {expected === null ? '' : ` about ${format.weight(expected)}`}
          {before > 0 ? ` · ${before} weighed already` : ''}
        </span>
      </th>
      <td>
        <Form.Control
          id={`entry-${pile.id}`}
          value={text}
          isInvalid={!result.ok}
          autoComplete="off"
          inputMode="text"
          onChange={(event) => onType(event.target.value)}
        />
      </td>
      <td className="number">
        <Understood result={result} weight={format.weight} />
      </td>
    </tr>
  )
}

function Understood({ result, weight }: { result: BoxResult; weight: (grams: number) => string }) {
  if (!result.ok) return <span className="refusal">“{result.refused}” is no weight</span>
  const { taken } = result
  if (taken.length === 0) return <span className="none">–</span>
  return (
    <>
      {taken.length > 1 ? `${taken.length}: ` : ''}
      {weight(taken.reduce((sum, { grams }) => sum + grams, 0))}
      {taken[0]?.pieces ? `, ${taken[0].pieces} pieces` : ''}
    </>
  )
}
