import type { Container } from '@fleam/contract'
import { refuseTaken } from '../http/index.ts'
import type { Scope } from '../scope/index.ts'
import * as store from './store.ts'

/** Remembers a container. One of a name that is there is weighed anew: two of one name would be one too many. */
export async function remember(scope: Scope, container: Container): Promise<Container[]> {
  const known = await store.containers(scope)
  if (known.some((each) => each.name === container.name)) await store.reweigh(scope, container)
  else {
    await refuseTaken('id', 'This id stands for another container.', () => store.insertContainer(scope, container))
  }
  return store.containers(scope)
}

export async function forget(scope: Scope, id: string): Promise<Container[]> {
  await store.removeContainer(scope, id)
  return store.containers(scope)
}
