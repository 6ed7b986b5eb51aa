import { useState } from 'react'
import { useNavigate } from 'react-router-dom'
import { v7 as newId } from 'uuid'
import { ApiProblem } from '../../data/api.ts'
import { useImportDocument } from '../../data/queries.ts'
import { JsonFileButton } from '../../parts/json-file-button.tsx'
import { NameChoice, type OpenName } from './name-choice.tsx'

/**
 * Takes in a fabrication document from a file; what is wrong with it is said field by field, and a name that fits
 * nothing here is asked about.
 */
export function ImportButton() {
  const navigate = useNavigate()
  const importing = useImportDocument()
  const [read, setRead] = useState<{ id: string; document: unknown } | null>(null)
  const [decided, setDecided] = useState<Readonly<Record<string, string>>>({})
  const take = (request: { id: string; document: unknown }, names: Readonly<Record<string, string>>) => {
    setRead(request)
    setDecided(names)
    importing.mutate({ ...request, names }, { onSuccess: ({ record }) => navigate(`/verdict/${record.id}`) })
  }
  const open = openNamesOf(importing.error)
  return (
    <>
      <JsonFileButton
        words="Import a record"
        what="Fabrication document"
        isPending={importing.isPending}
        error={open ? null : importing.error}
        onRead={(document) => take({ id: newId(), document }, {})}
      />
      {open && read ? (
        <NameChoice
          key={open.map(({ field }) => field).join(' ')}
          open={open}
          isPending={importing.isPending}
          onDecide={(names) => take(read, { ...decided, ...names })}
          onLeave={() => importing.reset()}
        />
      ) : null}
    </>
  )
}

const openNamesOf = (error: unknown): OpenName[] | null =>
  error instanceof ApiProblem && error.problem.code === 'name-unknown' ? (error.problem.current as OpenName[]) : null
