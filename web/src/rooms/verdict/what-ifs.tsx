import type { FabricationRecord } from '@fleam/contract/fabrication/schemas'
import type { Assumptions } from '@fleam/contract/what-if/schemas'
import { leadingComparison } from '@fleam/core/comparison'
import { invoicePrice } from '@fleam/core/costing'
import { assumptionChanges } from '@fleam/core/explanation'
import type { FabricationDocument } from '@fleam/core/fabrication'
import { VERDICT_WORDS } from '@fleam/core/wording'
import type { ReactNode } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import Table from 'react-bootstrap/Table'
import { useSearchParams } from 'react-router-dom'
import type { useWhatIfs } from '../../data/what-if-queries.ts'
import { AppraisedContext, useAppraisal, useAppraised } from '../../parts/appraised-context.ts'
import { Figure, MaybeFigure } from '../../parts/figure.tsx'
import { Failed } from '../../parts/states.tsx'
import { changeWords } from './change-words.ts'
import { BESIDE, type TryOut } from './use-try-out.ts'
import css from './what-ifs.module.css'

/** So many stand beside the record at a time. */
const MAX_BESIDE = 4

interface WhatIfsProps {
  record: FabricationRecord
  /** Gives the document of the record with other assumptions. */
  documentWith: (assumptions?: Assumptions) => FabricationDocument
  tryOut: TryOut
  whatIfs: ReturnType<typeof useWhatIfs>
}

/** What was tried out and kept, up to four of them beside the record. */
export function WhatIfs({ record, documentWith, tryOut, whatIfs }: WhatIfsProps) {
  const [search, setSearch] = useSearchParams()
  const keptWhatIfs = whatIfs.kept.data ?? []
  if (whatIfs.kept.isError) return <Failed error={whatIfs.kept.error} retry={() => void whatIfs.kept.refetch()} />
  if (keptWhatIfs.length === 0) return null
  const asked = search.get(BESIDE)?.split(',')
  const shown = (asked ? keptWhatIfs.filter((row) => asked.includes(row.id)) : keptWhatIfs).slice(0, MAX_BESIDE)
  const choose = (id: string, isIn: boolean) => {
    const ids = shown.map((row) => row.id).filter((shownId) => shownId !== id)
    setSearch(
      (before) => {
        before.set(BESIDE, (isIn ? [...ids, id] : ids).join(','))
        return before
      },
      { replace: true, preventScrollReset: true },
    )
  }
  const remove = (id: string) => {
    if (tryOut.opened?.id === id) tryOut.open(null)
    whatIfs.remove.mutate(id)
  }
  return (
    <section aria-labelledby="what-ifs">
      <h2 id="what-ifs">What if</h2>
      {keptWhatIfs.length > 1 ? <BesideChoice whatIfs={keptWhatIfs} shown={shown} onChoose={choose} /> : null}
      <Table className={css.whatIfs} responsive>
        <thead>
          <tr>
            <th scope="col">
              <span className="visually-hidden">Figure</span>
            </th>
            <th scope="col">The record</th>
            {shown.map(({ id, name }) => (
              <th scope="col" key={id}>
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {ROWS.map(({ label, cell }) => (
            <tr key={label}>
              <th scope="row">{label}</th>
              {[null, ...shown].map((row) => (
                <td key={row?.id ?? record.id}>
                  <Beside document={documentWith(row?.assumptions)}>{cell(documentWith())}</Beside>
                </td>
              ))}
            </tr>
          ))}
          <DoRow shown={shown} tryOut={tryOut} onRemove={remove} />
        </tbody>
      </Table>
      {whatIfs.remove.isError ? <Failed error={whatIfs.remove.error} /> : null}
    </section>
  )
}

type KeptWhatIf = NonNullable<WhatIfsProps['whatIfs']['kept']['data']>[number]

interface BesideChoiceProps {
  whatIfs: readonly KeptWhatIf[]
  shown: readonly KeptWhatIf[]
  onChoose: (id: string, isIn: boolean) => void
}

const BesideChoice = ({ whatIfs, shown, onChoose }: BesideChoiceProps) => (
  <fieldset className={css.whatIfChoice}>
    <legend className="visually-hidden">Beside the record, up to four</legend>
    {whatIfs.map(({ id, name }) => {
      const isIn = shown.some((row) => row.id === id)
      return (
        <Form.Check
          key={id}
          id={`beside-${id}`}
          label={name}
          checked={isIn}
          disabled={!isIn && shown.length >= MAX_BESIDE}
          onChange={(event) => onChoose(id, event.target.checked)}
        />
      )
    })}
  </fieldset>
)

interface DoRowProps {
  shown: readonly KeptWhatIf[]
  tryOut: TryOut
  onRemove: (id: string) => void
}

const DoRow = ({ shown, tryOut, onRemove }: DoRowProps) => (
  <tr>
    <th scope="row">
      <span className="visually-hidden">Do</span>
    </th>
    <td>
      {tryOut.opened || tryOut.isEdited ? (
        <Button size="sm" variant="outline-dark" onClick={() => tryOut.open(null)}>
          Open
        </Button>
      ) : null}
    </td>
    {shown.map(({ id, name }) => (
      <td key={id}>
        <Button size="sm" variant="outline-dark" aria-label={`Open ${name}`} onClick={() => tryOut.open(id)}>
          Open
        </Button>{' '}
        <Button size="sm" variant="link" aria-label={`Delete ${name}`} onClick={() => onRemove(id)}>
          Delete
        </Button>
      </td>
    ))}
  </tr>
)

function Beside({ document, children }: { document: FabricationDocument; children: ReactNode }) {
  return <AppraisedContext value={useAppraisal(document)}>{children}</AppraisedContext>
}

const ROWS: { label: string; cell: (recorded: FabricationDocument) => ReactNode }[] = [
  { label: 'What is different', cell: (recorded) => <Differences recorded={recorded} /> },
  { label: 'A portion made', cell: () => <Made /> },
  { label: 'A portion bought', cell: () => <Bought /> },
  { label: 'Kept by making', cell: () => <Kept /> },
  { label: 'So', cell: () => <Word /> },
  { label: 'Even at a purchase price of', cell: () => <Turns /> },
]

function Differences({ recorded }: { recorded: FabricationDocument }) {
  const { document, format } = useAppraised()
  const changes = assumptionChanges(recorded, document)
  if (changes.length === 0) return '–'
  return (
    <ul className={css.whatIfChanges}>
      {changes.map((change) => (
        <li key={`${change.what} ${change.of}`}>{changeWords(change, format)}</li>
      ))}
    </ul>
  )
}

/** The comparison that a verdict speaks of first. */
function useLeading() {
  const { document, appraisal, format } = useAppraised()
  const at = leadingComparison(appraisal.piles, appraisal.comparisons)
  const comparison = at === null ? undefined : appraisal.comparisons[at]
  return { at: at ?? 0, comparison, format, purchase: document.purchase }
}

function Made() {
  const { appraisal, format } = useAppraised()
  const { comparison } = useLeading()
  const pile = comparison?.pile ?? appraisal.piles.find((pile) => pile.class === 'primary')?.name ?? ''
  const cost = appraisal.piles.find((other) => other.name === pile)?.costPerPortion ?? null
  return <MaybeFigure of={{ group: 'pile', pile, figure: 'costPerPortion' }} value={cost} word={format.money} />
}

function Bought() {
  const { at, comparison, format } = useLeading()
  const price = comparison?.buyPerPortionSameWeight ?? null
  const of = { group: 'comparison', at, figure: 'buyPerPortionSameWeight' } as const
  return <MaybeFigure of={of} value={price} word={format.money} />
}

function Kept() {
  const { at, comparison, format } = useLeading()
  const saving = comparison?.saving ?? null
  return <MaybeFigure of={{ group: 'comparison', at, figure: 'saving' }} value={saving} word={format.money} />
}

function Word() {
  const { comparison } = useLeading()
  const verdict = comparison?.verdict ?? 'none'
  return <span className={`verdict-word ${verdict}`}>{VERDICT_WORDS[verdict]}</span>
}

function Turns() {
  const { at, comparison, format, purchase } = useLeading()
  const turning = invoicePrice(purchase, comparison?.breakEven.apPricePerKg ?? null)
  if (turning === null) return <span className="none">none</span>
  return (
    <Figure of={{ group: 'comparison', at, figure: 'invoicePrice' }}>
      {turning.perKg === null
        ? `${format.money(turning.price.amount)} a ${turning.price.per}`
        : format.perWeight(turning.perKg)}
    </Figure>
  )
}
