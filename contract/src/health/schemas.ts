import { z } from 'zod'

export const health = z.object({
  status: z.enum(['ready', 'not-ready']),
  version: z.string(),
  database: z.enum(['up', 'down']),
  /** Whether there is room on the disk: without it nothing is stored, and devices keep what is weighed. */
  disk: z.enum(['room', 'full']),
  migrations: z.object({ applied: z.number(), pending: z.number() }),
})
export type Health = z.infer<typeof health>
