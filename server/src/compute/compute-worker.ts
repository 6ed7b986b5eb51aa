import { type ServerWorkName, work } from './work.ts'

/** What came of a piece of work: its answer, or what went wrong in it. Anything else is the thread's own end. */
export type WorkResult = { answer: unknown } | { failed: string }

/** What a thread of the pool does: works one thing out. Whatever goes wrong is told with its words. */
export default async ({ name, input }: { name: ServerWorkName; input: never }): Promise<WorkResult> => {
  try {
    return { answer: await work(name, input) }
  } catch (error) {
    return { failed: error instanceof Error ? error.message : String(error) }
  }
}
