import { addressOf } from '@fleam/contract/client'
import { logbookOperations } from '@fleam/contract/logbook/operations'
import type { LogbookFile, RecordsImported } from '@fleam/contract/logbook/schemas'
import { logbookImportOperations } from '@fleam/contract/new-records/operations'
import { useQueryClient } from '@tanstack/react-query'
import { useRef, useState } from 'react'
import Button from 'react-bootstrap/Button'
import { followSteps } from '../../data/follow-steps.ts'
import { useKitchen } from '../../data/kitchen-context.ts'
import { JsonFileButton } from '../../parts/json-file-button.tsx'
import { Progress } from '../../parts/progress.tsx'
import type { LogbookView } from './use-view.ts'

/** The records that are looked at as one file, and such a file in. */
export function Files({ view }: { view: LogbookView }) {
  const { id } = useKitchen()
  const importing = useRecordsImport()
  const { words, counted } = view.asked
  return (
    <div className="form-actions no-print">
      <a
        className="btn btn-outline-dark"
        href={addressOf(logbookOperations.exportLogbook, { kitchenId: id, query: { ...view.filters, words, counted } })}
        download="logbook.json"
      >
        These records as JSON
      </a>
      <JsonFileButton
        words="Import records"
        what="Records of a logbook"
        isPending={importing.progress !== null}
        error={importing.error}
        onRead={(file) => void importing.take(file)}
      />
      {importing.progress ? (
        <>
          <Progress what="Importing" {...importing.progress} />
          <Button size="sm" variant="outline-dark" onClick={importing.cancel}>
            Cancel
          </Button>
        </>
      ) : null}
      {importing.result ? (
        <span role="status">
          {importing.result.kept} {importing.result.kept === 1 ? 'record' : 'records'} imported
          {importing.result.known > 0 ? `, ${importing.result.known} were here already` : ''}.
          {importing.result.alike > 0 ? (
            <>
              {' '}
              {importing.result.alike} of them {importing.result.alike === 1 ? 'says' : 'say'} the same as a record that
              was here under another id. <a href="#doubts">Are they the same?</a>
            </>
          ) : null}
        </span>
      ) : null}
    </div>
  )
}

/** Taking in a file of records: all of them or none, with its progress. */
function useRecordsImport() {
  const { id } = useKitchen()
  const queries = useQueryClient()
  const leaving = useRef<AbortController | null>(null)
  const [progress, setProgress] = useState<{ done: number; of: number } | null>(null)
  const [result, setResult] = useState<RecordsImported | null>(null)
  const [error, setError] = useState<unknown>(null)
  const take = async (file: unknown) => {
    leaving.current = new AbortController()
    setError(null)
    setResult(null)
    setProgress({ done: 0, of: 1 })
    try {
      const onProgress = (done: number, of: number) => setProgress({ done, of: Math.max(1, of) })
      const following = { onProgress, signal: leaving.current.signal }
      setResult(
        await followSteps(
          logbookImportOperations.importLogbook,
          { kitchenId: id, body: file as LogbookFile },
          following,
        ),
      )
      await queries.invalidateQueries({ queryKey: ['kitchen', id] })
    } catch (failure) {
      if ((failure as Error).name !== 'AbortError') setError(failure)
    } finally {
      setProgress(null)
    }
  }
  return { progress, result, error, take, cancel: () => leaving.current?.abort() }
}
