import type { Operation } from '@fleam/contract/operation'
import { type Plugin, runnerImport } from 'vite'

const IS_OPERATIONS = /\/contract\/src\/[\w-]+\/operations\.ts$/

/** What a page needs of an operation: what stands for it, and where it answers. */
const addressOf = ({ id, capability, method, path }: Operation) => ({ id, capability, method, path })

const isTable = (value: unknown): value is Readonly<Record<string, Operation>> =>
  typeof value === 'object' && value !== null && Object.values(value).every((entry) => entry?.path && entry?.method)

/**
 * Leaves out of a built page what operations are checked by: the server has checked it, and a bench need not load the
 * schemas of everything that the API takes. While the page is worked on they stay, and answers are checked by them.
 */
export function operationAddresses(): Plugin {
  return {
    name: 'operation-addresses',
    apply: 'build',
    enforce: 'pre',
    async load(id) {
      if (!IS_OPERATIONS.test(id)) return null
      const { module } = await runnerImport<Record<string, unknown>>(id)
      return Object.entries(module)
        .filter(([, value]) => isTable(value))
        .map(([name, table]) => {
          const addresses = Object.entries(table as Readonly<Record<string, Operation>>).map(
            ([operationId, operation]) => [operationId, addressOf(operation)],
          )
          return `export const ${name} = ${JSON.stringify(Object.fromEntries(addresses))}`
        })
        .join('\n')
    },
  }
}
