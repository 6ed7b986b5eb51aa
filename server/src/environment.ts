import { pathText } from '@fleam/contract/problem'
import { z } from 'zod'

const port = z.coerce.number().int().min(1).max(65535)

/** Every environment variable that the server reads. */
const environment = z.object({
  FLEAM_PORT: port.default(4173),
  FLEAM_HOST: z.string().default('127.0.0.1'),
  FLEAM_NAMES: z
    .string()
    .regex(/^[a-z0-9.,-]*$/i, 'must be names, with commas between them')
    .default(''),
  FLEAM_DATABASE_URL: z.string().regex(/^(?:mysql|mariadb):\/\//, 'must start with mysql:// or mariadb://'),
  FLEAM_SCALE: z
    .string()
    .regex(/^[^\s:]+:\d{1,5}$|^\[[0-9a-f:]+\]:\d{1,5}$/i, 'must be host:port')
    .optional(),
  FLEAM_PRICE_FEED: z.url({ protocol: /^https?$/ }).optional(),
  FLEAM_PAGES: z.string().optional(),
  FLEAM_BACKUPS: z.string().optional(),
  /** A folder on the disk that the database writes to, where that is a disk of this machine. */
  FLEAM_DISK: z.string().optional(),
  FLEAM_LOG: z.enum(['info', 'warn', 'error']).default('warn'),
})
export type Environment = z.infer<typeof environment>

/** Throws one line for each variable that is wrong. */
export function readEnvironment(variables: NodeJS.ProcessEnv): Environment {
  const result = environment.safeParse(variables)
  if (result.success) return result.data
  throw new Error(result.error.issues.map((issue) => `${pathText(issue.path)} ${issue.message}`).join('\n'))
}
