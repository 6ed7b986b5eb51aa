import type { WorkName } from '@fleam/contract'
import { work } from './work.ts'

/** What a thread of the pool does: works one thing out. Whatever goes wrong is told with its words. */
export default ({ name, wish }: { name: WorkName; wish: never }): Promise<unknown> => work(name, wish)
