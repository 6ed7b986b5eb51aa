import type { Container } from '@fleam/contract/containers/operations'
import { createOnce } from '../http/index.ts'
import type { Scope } from '../scope/index.ts'
import * as store from './store.ts'

/** Remembers a container. One of a name that is there is weighed anew: two of one name would be one too many. */
export async function createContainer(scope: Scope, container: Container): Promise<Container[]> {
  const named = await createOnce({
    read: async () => (await store.containers(scope)).find((other) => other.name === container.name) ?? null,
    create: () => store.insertContainer(scope, container),
    isSame: () => true,
    taken: { path: 'id', detail: 'This id stands for another container.' },
  })
  if (named.grams !== container.grams) await store.updateContainer(scope, container)
  return store.containers(scope)
}

/** Deletes a container and answers with those that are left. */
export async function deleteContainer(scope: Scope, id: string): Promise<Container[]> {
  await store.deleteContainer(scope, id)
  return store.containers(scope)
}
