import { useRef, useState } from 'react'
import Button from 'react-bootstrap/Button'
import { Failed } from './states.tsx'

interface JsonFileButtonProps {
  /** What the button says, and what the file is, for those who listen. */
  words: string
  what: string
  isPending: boolean
  error: unknown
  onRead: (content: unknown) => void
}

/** Takes in a JSON file; what is no whole JSON is said, and nothing of it is kept. */
export function JsonFileButton({ words, what, isPending, error, onRead }: JsonFileButtonProps) {
  const input = useRef<HTMLInputElement>(null)
  const [refusal, setRefusal] = useState('')
  const take = async (file: File | undefined) => {
    if (!file) return
    setRefusal('')
    try {
      onRead(JSON.parse(await file.text()))
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
        aria-label={what}
        onChange={(event) => void take(event.target.files?.[0]).finally(() => (event.target.value = ''))}
      />
      <Button variant="outline-dark" disabled={isPending} onClick={() => input.current?.click()}>
        {words}
      </Button>
      {refusal ? (
        <p className="refusal" role="alert">
          {refusal}
        </p>
      ) : null}
      {error ? <Failed error={error} /> : null}
    </>
  )
}
