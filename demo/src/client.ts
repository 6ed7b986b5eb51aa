import { type Call, callAt, RefusedCall } from '@fleam/contract/fetch-client'

/** A kitchen of a running Fleam that the demo talks to, as any client would. */
export interface KitchenClient {
  call: Call
  kitchenId: string
}

export const kitchenClient = (url: string, kitchenId: string): KitchenClient => ({ call: callAt(url), kitchenId })

const isRefused = (error: unknown, code: string): boolean =>
  error instanceof RefusedCall && error.problem?.code === code

/** What is asked for, or null where there is no such thing. */
export async function found<T>(asked: Promise<T>): Promise<T | null> {
  return asked.catch((error: unknown) => {
    if (isRefused(error, 'not-found')) return null
    throw error
  })
}

/**
 * Creates something under its own id and answers with it. What is there under the id already is left as it is, also where
 * a day has passed or somebody has changed it since a load was broken off.
 */
export async function createOnce<T>(created: Promise<T>, known: () => Promise<T>): Promise<T> {
  return created.catch((error: unknown) => {
    if (isRefused(error, 'id-taken')) return known()
    throw error
  })
}
