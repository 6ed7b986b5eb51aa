import { z } from 'zod'
import { count } from '../values/index.ts'

export const estimate = z.object({
  /** Whose figure it is: the kitchen's own after three tests, blended before that, assumed before the first. */
  basis: z.enum(['own', 'blended', 'assumed']),
  /** Own tests that it rests on. */
  tests: count,
  value: z.number(),
  /** Half the width of its interval, see `statistics/t-interval.ts`; zero or more. */
  halfWidth: z.number(),
})
export type Estimate = z.infer<typeof estimate>
