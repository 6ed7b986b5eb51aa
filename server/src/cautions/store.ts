import type { CautionOverride } from '@fleam/contract'
import { ofKitchen, type Scope, within } from '../scope/index.ts'

export const overrides = (scope: Scope): Promise<CautionOverride[]> =>
  scope.database.models.CautionOverride.findAll({
    attributes: { exclude: ['kitchenId'] },
    where: ofKitchen(scope),
    order: ['cautionId'],
    raw: true,
    ...within(scope),
  })

export async function replaceOverride(scope: Scope, override: CautionOverride): Promise<void> {
  await scope.database.models.CautionOverride.upsert({ ...override, kitchenId: scope.kitchen.id }, within(scope))
}

export async function removeOverride(scope: Scope, cautionId: string): Promise<void> {
  await scope.database.models.CautionOverride.destroy({ where: ofKitchen(scope, { cautionId }), ...within(scope) })
}
