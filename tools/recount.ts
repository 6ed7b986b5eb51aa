import { createInterface } from 'node:readline'
import { Readable } from 'node:stream'
import type { ReadableStream } from 'node:stream/web'
import { requestOf } from '@fleam/contract/client'
import { callAt } from '@fleam/contract/fetch-client'
import { kitchenOperations } from '@fleam/contract/kitchen/operations'
import { logbookOperations } from '@fleam/contract/logbook/operations'

/** Makes the figures that are kept beside records anew, on the Fleam that answers at `url`. */
export async function recount(url: string): Promise<void> {
  for (const { id: kitchenId, name } of await callAt(url)(kitchenOperations.listKitchens, {})) {
    const { method, address } = requestOf(logbookOperations.recountLogbook, { kitchenId })
    const answer = await fetch(`${url}${address}`, { method })
    if (!answer.ok || !answer.body) throw new Error(await answer.text())
    for await (const line of createInterface({ input: Readable.fromWeb(answer.body as ReadableStream) })) {
      const { progress, result, problem } = JSON.parse(line)
      if (problem) throw new Error(problem.detail)
      if (progress && process.stdout.isTTY) process.stdout.write(`\r${name}: ${progress.done} of ${progress.of}`)
      if (result) process.stdout.write(`${process.stdout.isTTY ? '\r' : ''}${name}: ${result.records} records\n`)
    }
  }
}
