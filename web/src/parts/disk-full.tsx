import { useDiskFull } from '../data/queries.ts'
import { useOutbox } from '../outbox/page-outbox.ts'

/** Says on every device that the server cannot store anything, and that nothing is lost by it. */
export function DiskFull() {
  const isFull = useDiskFull()
  const { waiting } = useOutbox()
  if (!isFull) return null
  return (
    <section className="refused" role="alert">
      The disk of the server is full. Weigh on: what is weighed stays on this device
      {waiting.length > 0 ? ` (${waiting.length} so far)` : ''} and is sent by itself as soon as there is room.
    </section>
  )
}
