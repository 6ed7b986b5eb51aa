import { id } from '@fleam/core/values'
import { z } from 'zod'

export const UNREADABLE_KINDS = ['plan', 'schedule', 'fabrication'] as const

/** Something that is stored and cannot be read: it is in no list, and may be struck. */
export const unreadableRow = z.object({
  kind: z.enum(UNREADABLE_KINDS),
  /** The plan of a schedule. */
  id,
  name: z.string().max(400),
})
export type UnreadableRow = z.infer<typeof unreadableRow>
export const unreadableRows = z.array(unreadableRow).meta({ id: 'UnreadableRows' })
