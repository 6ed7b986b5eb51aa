import type { LogbookView } from '@fleam/contract/logbook/findings'
import { ofKitchen, type Scope, within } from '../../scope/index.ts'

/** All views of the logbook that were kept, by name. */
export const views = (scope: Scope): Promise<LogbookView[]> =>
  scope.database.models.LogbookView.findAll({
    attributes: ['id', 'name', 'search'],
    where: ofKitchen(scope),
    order: ['name'],
    raw: true,
    ...within(scope),
  })

/** Stores a view. */
export async function insertView(scope: Scope, view: LogbookView): Promise<void> {
  await scope.database.models.LogbookView.create({ ...view, kitchenId: scope.kitchen.id }, within(scope))
}

/** Overwrites the view of this name. */
export async function updateView(scope: Scope, { name, search }: LogbookView): Promise<void> {
  await scope.database.models.LogbookView.update({ search }, { where: ofKitchen(scope, { name }), ...within(scope) })
}

/** Deletes a view and answers with those that are left. */
export async function deleteView(scope: Scope, id: string): Promise<LogbookView[]> {
  await scope.database.models.LogbookView.destroy({ where: ofKitchen(scope, { id }), ...within(scope) })
  return views(scope)
}
