import { useRef, useState } from 'react'
import Button from 'react-bootstrap/Button'
import { useNavigate } from 'react-router-dom'
import { v7 as newId } from 'uuid'
import { useImportDocument } from '../../data/queries.ts'
import { Failed } from '../../parts/states.tsx'

/** Takes in a fabrication document from a file; what is wrong with it is said field by field. */
export function ImportButton() {
  const input = useRef<HTMLInputElement>(null)
  const navigate = useNavigate()
  const importing = useImportDocument()
  const [refusal, setRefusal] = useState('')
  const take = async (file: File | undefined) => {
    if (!file) return
    setRefusal('')
    try {
      const document: unknown = JSON.parse(await file.text())
      importing.mutate({ id: newId(), document }, { onSuccess: ({ record }) => navigate(`/verdict/${record.id}`) })
    } catch {
      setRefusal(`${file.name} is not whole JSON. Nothing was kept of it.`)
    }
  }
  return (
    <>
      <input
        ref={input}
        type="file"
        accept="application/json,.json"
        hidden
        aria-label="Fabrication document"
        onChange={(event) => void take(event.target.files?.[0]).finally(() => (event.target.value = ''))}
      />
      <Button variant="outline-dark" disabled={importing.isPending} onClick={() => input.current?.click()}>
        Import a record
      </Button>
      {refusal ? (
        <p className="refusal" role="alert">
          {refusal}
        </p>
      ) : null}
      {importing.isError ? <Failed error={importing.error} /> : null}
    </>
  )
}
