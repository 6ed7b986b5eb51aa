import { useState } from 'react'
import { JsonFileButton } from '../../parts/json-file-button.tsx'

interface Issue {
  path: readonly PropertyKey[]
  message: string
}

/** A schema of the contract, as far as a file needs it. */
interface Schema<T> {
  safeParse: (content: unknown) => { success: true; data: T } | { success: false; error: { issues: readonly Issue[] } }
}

interface JsonFilesProps<T> {
  /** What it is, for those who listen, and what its file is called. */
  what: string
  fileName: string
  value: T
  schema: Schema<T>
  onLoad: (value: T) => void
}

/** Saves a value to a file, and loads one; what is not whole is refused by field, and nothing is changed. */
export function JsonFiles<T>({ what, fileName, value, schema, onLoad }: JsonFilesProps<T>) {
  const [refused, setRefused] = useState<string | null>(null)
  const load = (content: unknown) => {
    const read = schema.safeParse(content)
    if (read.success) {
      setRefused(null)
      return onLoad(read.data)
    }
    const issue = read.error.issues[0]
    setRefused(`${issue?.path.join('.')} ${issue?.message}. Nothing was changed.`)
  }
  const href = `data:application/json;charset=utf-8,${encodeURIComponent(JSON.stringify(value, null, 2))}`
  return (
    <>
      <a className="btn btn-outline-dark" href={href} download={`${fileName}.json`}>
        Save as JSON
      </a>
      <JsonFileButton words="Load from JSON" what={what} isPending={false} error={null} onRead={load} />
      {refused ? (
        <p className="refusal" role="alert">
          {refused}
        </p>
      ) : null}
    </>
  )
}
