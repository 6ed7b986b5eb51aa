import { planOperations } from '@fleam/contract/planning/operations'
import { kitchenScheduleOperations } from '@fleam/contract/scheduling/operations'
import type { Plan, PlanAccepted, PlanEdit, PlannedEdit, ScheduleEdit } from '@fleam/core/plans'
import { keepPreviousData } from '@tanstack/react-query'
import { useAnswer, useChange, useInvalidate, useKeepAnswer } from './operations.ts'

const { listPlans, readPlan, readPlanGoods, createPlan, updatePlan, deletePlan, acceptPlan, withdrawPlan } =
  planOperations
const { listExpected, updateExpected, listPlanned, updatePlanned } = planOperations

/** How often a schedule that somebody looks at is asked what has begun and what is finished. */
const LIVE_MS = 15_000

export const usePlans = () => useAnswer(listPlans, {})

export const usePlan = (planId: string, { isLive = false, isWanted = true } = {}) =>
  useAnswer(readPlan, { planId }, { enabled: isWanted, refetchInterval: isLive ? LIVE_MS : false })

/** What a plan of some products can rest on; while others are asked for, what was known before. */
export const usePlanGoods = (productIds: readonly string[], replaces: string | null) =>
  useAnswer(
    readPlanGoods,
    { query: { products: [...productIds].sort().join(','), replaces } },
    { placeholderData: keepPreviousData },
  )

/** Puts a plan where every room reads it; what is expected and planned is asked for anew. */
function useKeepPlan() {
  const keep = useKeepAnswer(readPlan)
  const invalidate = useInvalidate(listPlans, listExpected, listPlanned)
  return (plan: Plan) => {
    keep({ planId: plan.id }, plan)
    void invalidate()
  }
}

export const useCreatePlan = () =>
  useChange(createPlan, (body: Pick<Plan, 'id' | 'name' | 'draft'>) => ({ body }), useKeepPlan())

export const useUpdatePlan = (planId: string) =>
  useChange(updatePlan, (body: PlanEdit) => ({ planId, body }), useKeepPlan())

export function useDeletePlan() {
  const keep = useKeepAnswer(listPlans)
  return useChange(
    deletePlan,
    (planId: string) => ({ planId }),
    (rows) => keep({}, rows),
  )
}

export const useAcceptPlan = (planId: string) => {
  const keep = useKeepPlan()
  return {
    accept: useChange(acceptPlan, (body: PlanAccepted) => ({ planId, body }), keep),
    withdraw: useChange(withdrawPlan, (version: number) => ({ planId, query: { version } }), keep),
  }
}

/** Lines of orders that are expected, and those that should have come. */
export const useExpected = () => useAnswer(listExpected, {})

/** Keeps who does what when. */
export const useUpdateSchedule = (planId: string) =>
  useChange(kitchenScheduleOperations.updateSchedule, (body: ScheduleEdit) => ({ planId, body }), useKeepPlan())

export const useUpdateExpected = () =>
  useChange(
    updateExpected,
    ({ lineId, arrived }: { lineId: string; arrived: number | null }) => ({ lineId, body: { arrived } }),
    useInvalidate('planning'),
  )

/** Planned fabrications that wait to be cut. */
export const usePlanned = () => useAnswer(listPlanned, {})

/** The planned fabrication that a record was; none where nobody planned it. */
export const usePlannedOf = (fabricationId: string) => useAnswer(listPlanned, { query: { fabrication: fabricationId } })

export const useUpdatePlanned = () =>
  useChange(
    updatePlanned,
    ({ plannedId, ...body }: PlannedEdit & { plannedId: string }) => ({ plannedId, body }),
    useInvalidate('planning'),
  )
