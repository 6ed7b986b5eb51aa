import type { Container } from '@fleam/contract'
import type { Sequelize } from 'sequelize'
import { refuseTaken } from '../http/problems.ts'
import { requireKitchen } from '../kitchen/service.ts'
import * as store from './store.ts'

/** Remembers a container. One of a name that is there is weighed anew: two of one name would be one too many. */
export async function remember(database: Sequelize, kitchenId: string, container: Container): Promise<Container[]> {
  await requireKitchen(database, kitchenId)
  const known = await store.containers(database, kitchenId)
  if (known.some((each) => each.name === container.name)) await store.reweigh(database, kitchenId, container)
  else {
    await refuseTaken('id', 'This id stands for another container.', () =>
      store.insertContainer(database, kitchenId, container),
    )
  }
  return store.containers(database, kitchenId)
}

export async function forget(database: Sequelize, kitchenId: string, id: string): Promise<Container[]> {
  await store.removeContainer(database, kitchenId, id)
  return store.containers(database, kitchenId)
}
