import type { Container } from '@fleam/contract/containers/operations'
import { ofKitchen, type Scope, within } from '../scope/index.ts'

/** All containers of the kitchen, by name. */
export const containers = (scope: Scope): Promise<Container[]> =>
  scope.database.models.Container.findAll({
    attributes: { exclude: ['kitchenId'] },
    where: ofKitchen(scope),
    order: ['name'],
    raw: true,
    ...within(scope),
  })

/** Stores a container; its weight is in grams. */
export async function insertContainer(scope: Scope, container: Container): Promise<void> {
  await scope.database.models.Container.create({ ...container, kitchenId: scope.kitchen.id }, within(scope))
}

/** Overwrites the container of this name. */
export async function updateContainer(scope: Scope, { name, grams }: Container): Promise<void> {
  await scope.database.models.Container.update({ grams }, { where: ofKitchen(scope, { name }), ...within(scope) })
}

/** Deletes a container; nothing happens where there is none. */
export async function deleteContainer(scope: Scope, id: string): Promise<void> {
  await scope.database.models.Container.destroy({ where: ofKitchen(scope, { id }), ...within(scope) })
}
