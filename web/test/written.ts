import { outbox } from '../src/outbox/page-outbox.ts'

/** Until all that was done is written on the device. */
export const allWritten = async (): Promise<void> => {
  while (outbox.state().writing.length > 0) await new Promise((resolve) => setTimeout(resolve))
}
