import { useOutbox } from './page-outbox.ts'

/** Says how many readings are on this device alone; nothing while the server has them all. */
export function KeptHere() {
  const { waiting } = useOutbox()
  return (
    <span className="kept-here" role="status" aria-live="polite">
      {waiting.length > 0 ? `${waiting.length} kept here` : null}
    </span>
  )
}
