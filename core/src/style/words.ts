import { z } from 'zod'

const MAX_WORDS = 600
/** A sentence or two. */
export const words = z.string().trim().max(MAX_WORDS)

/** Short word that other parts of a style point at. */
export const key = z
  .string()
  .max(60)
  .regex(/^[a-z0-9]+(?:-[a-z0-9]+)*$/, 'must be small letters, digits and hyphens')
