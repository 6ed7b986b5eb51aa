import type { PriceIssue } from '@fleam/contract'
import { useEffect, useMemo, useRef, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Table from 'react-bootstrap/Table'
import { ApiProblem } from '../../data/api.ts'
import { type ImportResult, useInvalidatePrices, useProducts } from '../../data/buying-queries.ts'
import { importPriceList } from '../../data/import-price-list.ts'
import { useKitchen } from '../../data/kitchen-context.ts'
import { kitchenPath, useItems } from '../../data/queries.ts'
import { priceWords } from '../../parts/price-words.ts'
import { Progress } from '../../parts/progress.tsx'
import { Failed, Loading } from '../../parts/states.tsx'
import { useFormat } from '../../parts/use-format.ts'
import { bareUnitOf } from '../../parts/weight-field.tsx'
import { readPriceListAside } from '../../workers/core-client.ts'
import type { PriceListPreview } from '../../workers/protocol.ts'
import type { ChosenList } from './chosen-list.ts'
import { issueWords } from './issue-words.ts'
import { MappingFields } from './mapping-fields.tsx'

const SHOWN_ROWS = 8
const SHOWN_ISSUES = 100

interface ListImportProps {
  list: ChosenList
  onDone: (result: ImportResult) => void
  onLeave: () => void
}

/** From a file to the price book: which column is which, what it reads as, what is wrong, and then all of it or nothing. */
export function ListImport({ list, onDone, onLeave }: ListImportProps) {
  const kitchen = useKitchen()
  const [mapping, setMapping] = useState(list.mapping)
  const preview = usePreview(list.csv, mapping)
  const [progress, setProgress] = useState<{ done: number; of: number } | null>(null)
  const [error, setError] = useState<unknown>(null)
  const leaving = useRef<AbortController | null>(null)
  const invalidatePrices = useInvalidatePrices()
  const take = async () => {
    leaving.current = new AbortController()
    setError(null)
    setProgress({ done: 0, of: preview?.rows ?? 1 })
    try {
      const onProgress = (done: number, of: number) => setProgress({ done, of })
      const path = kitchenPath(kitchen.id)
      const result = await importPriceList({ path, csv: list.csv, mapping, onProgress, signal: leaving.current.signal })
      await invalidatePrices()
      onDone(result)
    } catch (failure) {
      if ((failure as Error).name !== 'AbortError') setError(failure)
    } finally {
      setProgress(null)
    }
  }
  const refused =
    error instanceof ApiProblem && error.problem.code === 'price-list-wrong'
      ? (error.problem.current as PriceIssue[])
      : []
  const issues = [...(preview?.issues ?? []), ...refused]
  return (
    <section aria-label={list.name}>
      <p>
        <strong>{list.name}</strong> <span className="quiet">read as {list.encoding.toUpperCase()}</span>
      </p>
      <Issues issues={issues} />
      <MappingFields headers={list.headers} mapping={mapping} onChange={setMapping} />
      {preview ? <Preview preview={preview} /> : <Loading what="the rows" />}
      {progress ? (
        <p className="form-actions">
          <Progress what="Rows imported" done={progress.done} of={progress.of} />
          <span className="number">
            {progress.done.toLocaleString('en')} of {progress.of.toLocaleString('en')}
          </span>
        </p>
      ) : null}
      {error && refused.length === 0 ? <Failed error={error} /> : null}
      <div className="form-actions mt-3">
        {progress ? (
          <Button variant="outline-dark" onClick={() => leaving.current?.abort()}>
            Break off: nothing is kept
          </Button>
        ) : (
          <>
            <Button disabled={!preview || issues.length > 0 || preview.rows === 0} onClick={() => void take()}>
              Import {(preview?.rows ?? 0).toLocaleString('en')} {preview?.rows === 1 ? 'row' : 'rows'}
            </Button>
            <Button variant="outline-dark" onClick={onLeave}>
              Cancel
            </Button>
          </>
        )}
      </div>
    </section>
  )
}

/** What the file reads as under a mapping; read aside, so that the page never waits. */
function usePreview(csv: string, mapping: ChosenList['mapping']): PriceListPreview | null {
  const { currency, units } = useKitchen()
  const items = useItems().data
  const products = useProducts().data
  const [preview, setPreview] = useState<PriceListPreview | null>(null)
  const context = useMemo(
    () =>
      items && products
        ? {
            currency,
            bareUnit: bareUnitOf(units),
            items: new Set(items.map((item) => item.name)),
            products: new Set(products.map((product) => product.name)),
          }
        : null,
    [items, products, currency, units],
  )
  useEffect(() => {
    if (!context) return
    const leaving = new AbortController()
    void readPriceListAside({ csv, mapping, context, shown: SHOWN_ROWS }, leaving.signal).then(setPreview)
    return () => leaving.abort()
  }, [csv, mapping, context])
  return preview
}

function Preview({ preview }: { preview: PriceListPreview }) {
  const format = useFormat()
  return (
    <>
      {preview.lines.length > 0 ? (
        <Table className="list-table" responsive>
          <thead>
            <tr>
              <th scope="col">Row</th>
              <th scope="col">Article</th>
              <th scope="col">Supplier</th>
              <th scope="col">For</th>
              <th scope="col" className="number">
                Price
              </th>
              <th scope="col">From</th>
            </tr>
          </thead>
          <tbody>
            {preview.lines.map((line) => (
              <tr key={line.row}>
                <td className="number">{line.row}</td>
                <th scope="row">{line.name}</th>
                <td>{line.supplier}</td>
                <td>{line.item ?? line.product ?? <span className="none">nothing yet</span>}</td>
                <td className="number">{priceWords(line.price, format)}</td>
                <td>{line.from}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      ) : null}
    </>
  )
}

/** What is wrong, before anything else on the page. */
function Issues({ issues }: { issues: readonly PriceIssue[] }) {
  if (issues.length === 0) return null
  return (
    <div className="import-issues" role="alert">
      <p>
        <strong>Nothing is imported while a row is not right.</strong> Choose other columns above, or mend the file.
      </p>
      <ul>
        {issues.slice(0, SHOWN_ISSUES).map((issue) => (
          <li key={`${issue.row} ${issue.column} ${issue.code}`}>{issueWords(issue)}</li>
        ))}
      </ul>
      {issues.length > SHOWN_ISSUES ? <p>and {issues.length - SHOWN_ISSUES} more</p> : null}
    </div>
  )
}
