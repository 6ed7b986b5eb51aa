import type { Product } from '@fleam/contract/buying/schemas'
import { addDays } from '@fleam/core/calendar'
import { emptyDraft, type PlanDraft, type PlanGoods, planOrders, planRequest } from '@fleam/core/planning'
import type { Plan } from '@fleam/core/plans'
import { v7 as newId } from 'uuid'
import { loadSolver } from '../src/compute/solver.ts'
import { addSupplier, createPrice, openTestApp, send, setUpKitchen } from './harness.ts'

/** Tomorrow: the first day of the plans. */
export const FIRST = addDays(new Date().toISOString().slice(0, 10), 1)

/** A kitchen that plans supremes: from a crate of six chickens, or twenty of them bought ready. */
export async function openPlanKitchen() {
  const test = await openTestApp()
  const kitchen = await setUpKitchen(test)
  const path = (suffix: string, owner = kitchen.id) => `/api/kitchens/${owner}${suffix}`
  const supplierId = await addSupplier(test, kitchen, 'Ostravale Poultry Yard')
  const price = {
    item: 'Chicken, eviscerated',
    product: null,
    pieceWeight: 2100,
    packPieces: 6,
    packWeight: null,
    usableShare: null,
    handlingMinutesPerPiece: null,
    delivery: null,
    minimumOrder: null,
    from: '2026-01-01',
    until: null,
    supplier: 'Ostravale Poultry Yard',
  } as const
  await createPrice(test, kitchen, {
    ...price,
    code: 'C6',
    name: 'Crate of six',
    kind: 'whole',
    price: { amount: 39, per: 'case' },
  })
  const products: Product[] = (await send(test, 'GET', path('/products'))).body
  const product = products.find(({ name }) => name.endsWith('supremes')) as Product
  await createPrice(test, kitchen, {
    ...price,
    code: 'S20',
    name: 'Supremes, twenty',
    kind: 'ready',
    item: null,
    product: product.name,
    price: { amount: 120, per: 'case' },
    pieceWeight: 280,
    packPieces: 20,
  })
  const goods: PlanGoods = (await send(test, 'GET', path(`/plan-goods?products=${product.id}`))).body
  /** Three days from tomorrow, twelve portions on the second. */
  const draft = (changes: Partial<PlanDraft> = {}): PlanDraft => ({
    ...emptyDraft(FIRST),
    days: 3,
    covers: [{ day: addDays(FIRST, 1), covers: 40 }],
    menu: [{ productId: product.id, share: 0.3 }],
    service: 0.5,
    ...changes,
  })
  return {
    ...{ test, kitchen, path, supplierId, product, goods, draft },
    answerFor: async (asked: PlanDraft) => {
      const { request, pins } = planRequest(asked, goods, kitchen.currency)
      return planOrders(request, await loadSolver(), { pins, seconds: 10 })
    },
    create: async (asked = draft()): Promise<Plan> => {
      const { status, body } = await send(test, 'POST', path('/plans'), { id: newId(), name: 'Thursday', draft: asked })
      if (status !== 201) throw new Error(JSON.stringify(body))
      return body
    },
  }
}

export type PlanKitchen = Awaited<ReturnType<typeof openPlanKitchen>>
