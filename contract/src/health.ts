import { z } from 'zod'

export const health = z.object({
  status: z.enum(['ready', 'not-ready']),
  version: z.string(),
  database: z.enum(['up', 'down']),
  migrations: z.object({ applied: z.number(), pending: z.number() }),
})
export type Health = z.infer<typeof health>
