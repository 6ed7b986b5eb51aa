import type { PriceImport } from '@fleam/contract/buying/operations'
import type { PriceMapping, RememberedMapping } from '@fleam/core/price-lists'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { Takes } from '../../data/import-price-list.ts'
import { dateWords } from '../../parts/dates.ts'
import { Progress } from '../../parts/progress.tsx'
import { Failed, Loading } from '../../parts/states.tsx'
import type { ChosenList } from './chosen-list.ts'
import { isOfWholeList, issueWords } from './issue-words.ts'
import css from './list-import.module.css'
import { ListPreview } from './list-preview.tsx'
import mappingFieldsCss from './mapping-fields.module.css'
import { MappingFields } from './mapping-fields.tsx'
import { RowsToMend } from './rows-to-mend.tsx'
import { type ListImportState, useListImport } from './use-list-import.ts'
import { useListPreview } from './use-list-preview.ts'

/** Rows that are shown before somebody asks for all. */
const SHOWN_ROWS = 8

interface ListImportProps {
  list: ChosenList
  onTaken: (result: PriceImport, isAll: boolean) => void
  onLeave: () => void
}

/** From a file to the price book: which column is which, what it reads as, what is wrong, and what of it is taken. */
export function ListImport({ list, onTaken, onLeave }: ListImportProps) {
  const [mapping, setMapping] = useState(list.mapping)
  const [takes, setTakes] = useState<Takes>('good')
  const [showsAll, setShowsAll] = useState(false)
  const importing = useListImport(list.csv, onTaken)
  const preview = useListPreview(importing.csv, mapping, showsAll ? Number.MAX_SAFE_INTEGER : SHOWN_ROWS)
  const issues = [...(preview?.issues ?? []), ...importing.bookIssues]
  const ofList = issues.filter(isOfWholeList)
  const ofRows = issues.filter((issue) => !isOfWholeList(issue))
  const booked = new Set(importing.bookIssues.map(({ row }) => row)).size
  const good = Math.max(0, (preview?.rows ?? 0) - booked)
  const canTake =
    preview !== null &&
    ofList.length === 0 &&
    good > 0 &&
    (ofRows.length === 0 || (takes === 'good' && preview.isWhole))
  return (
    <section aria-label={list.name}>
      <p>
        <strong>{list.name}</strong> <span className="quiet">read as {list.encoding.toUpperCase()}</span>
      </p>
      {ofList.length > 0 ? (
        <div className={css.importIssues} role="alert">
          <p>
            <strong>This list cannot be taken as it is.</strong> Say below which column is which, or choose another
            file.
          </p>
          <ul>
            {ofList.map((issue) => (
              <li key={`${issue.column} ${issue.code}`}>{issueWords(issue)}</li>
            ))}
          </ul>
        </div>
      ) : null}
      {ofRows.length > 0 ? (
        <RowsToMend name={list.name} csv={importing.csv} mapping={mapping} issues={ofRows} onMend={importing.mend} />
      ) : null}
      <RememberedColumns list={list} onChoose={setMapping} />
      <MappingFields headers={list.headers} mapping={mapping} onChange={setMapping} />
      {preview ? <ListPreview preview={preview} onShowAll={() => setShowsAll(true)} /> : <Loading what="the rows" />}
      {importing.error ? <Failed error={importing.error} /> : null}
      {ofRows.length > 0 && ofList.length === 0 ? <WhatIsTaken takes={takes} onChange={setTakes} /> : null}
      <ImportActions
        {...{ importing, canTake, onLeave }}
        words={`Import ${good.toLocaleString('en')} ${ofRows.length > 0 && good > 0 ? 'good ' : ''}${good === 1 ? 'row' : 'rows'}`}
        onTake={() => void importing.take(mapping, takes, good)}
      />
    </section>
  )
}

const GUESSED = ''

/** The columns of an earlier list that has the same ones, by its supplier. */
function RememberedColumns({ list, onChoose }: { list: ChosenList; onChoose: (mapping: PriceMapping) => void }) {
  const [chosen, setChosen] = useState(list.fitting[0]?.supplierId ?? GUESSED)
  if (list.fitting.length === 0) return null
  const choose = (supplierId: string) => {
    setChosen(supplierId)
    const remembered = list.fitting.find((list) => list.supplierId === supplierId)
    onChoose(remembered ? asOfToday(remembered, list) : list.guessed)
  }
  return (
    <Form.Group controlId="remembered-columns" className="mb-3">
      <Form.Label>Columns as</Form.Label>
      <Form.Select value={chosen} onChange={(event) => choose(event.target.value)} style={{ maxWidth: '26rem' }}>
        {list.fitting.map(({ supplierId, supplier, usedAt }) => (
          <option key={supplierId} value={supplierId}>
            in the list of {supplier}, {dateWords(usedAt.slice(0, 10))}
          </option>
        ))}
        <option value={GUESSED}>the headings suggest</option>
      </Form.Select>
    </Form.Group>
  )
}

const asOfToday = ({ mapping }: RememberedMapping, list: ChosenList): PriceMapping => ({
  ...mapping,
  from: list.guessed.from,
})

const TAKES_WORDS = {
  good: 'the good rows now, the others when they are mended',
  all: 'all rows or none',
} as const

const WhatIsTaken = ({ takes, onChange }: { takes: Takes; onChange: (takes: Takes) => void }) => (
  <fieldset className="form-actions">
    <legend className={mappingFieldsCss.mappingLegend}>What is taken</legend>
    {(Object.keys(TAKES_WORDS) as Takes[]).map((kind) => (
      <Form.Check
        key={kind}
        type="radio"
        name="takes"
        id={`takes-${kind}`}
        label={TAKES_WORDS[kind]}
        checked={takes === kind}
        onChange={() => onChange(kind)}
      />
    ))}
  </fieldset>
)

interface ImportActionsProps {
  importing: ListImportState
  canTake: boolean
  words: string
  onTake: () => void
  onLeave: () => void
}

function ImportActions({ importing: { progress, breakOff }, canTake, words, onTake, onLeave }: ImportActionsProps) {
  if (progress) {
    return (
      <div className="form-actions mt-3">
        <Progress what="Rows imported" done={progress.done} of={progress.of} />
        <span className="number">
          {progress.done.toLocaleString('en')} of {progress.of.toLocaleString('en')}
        </span>
        <Button variant="outline-dark" onClick={breakOff}>
          Break off: nothing is kept
        </Button>
      </div>
    )
  }
  return (
    <div className="form-actions mt-3">
      <Button disabled={!canTake} onClick={onTake}>
        {words}
      </Button>
      <Button variant="outline-dark" onClick={onLeave}>
        Cancel
      </Button>
    </div>
  )
}
