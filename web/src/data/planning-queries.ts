import type { ScheduleEdit } from '@fleam/contract/kept-schedule'
import type {
  ExpectedLine,
  Plan,
  PlanAccepted,
  PlanEdit,
  PlannedEdit,
  PlannedFabrication,
  PlanRow,
} from '@fleam/contract/planning'
import type { PlanGoods } from '@fleam/core/planning'
import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { deleteJson, getJson, postJson, putJson } from './api.ts'
import { useKitchen } from './kitchen-context.ts'
import { kitchenPath } from './paths.ts'

const plansKey = (id: string, ...rest: unknown[]) => ['kitchen', id, 'plans', ...rest]

export function usePlans() {
  const { id } = useKitchen()
  return useQuery({ queryKey: plansKey(id), queryFn: () => getJson<PlanRow[]>(`${kitchenPath(id)}/plans`) })
}

/** How often a schedule that somebody looks at is asked what has begun and what is finished. */
const LIVE_MS = 15_000

export function usePlan(planId: string, { isLive = false, isWanted = true } = {}) {
  const { id } = useKitchen()
  return useQuery({
    queryKey: plansKey(id, 'one', planId),
    queryFn: () => getJson<Plan>(`${kitchenPath(id)}/plans/${planId}`),
    enabled: isWanted,
    refetchInterval: isLive ? LIVE_MS : false,
  })
}

/** What a plan of some products can rest on; while others are asked for, what was known before. */
export function usePlanGoods(productIds: readonly string[], replaces: string | null) {
  const { id } = useKitchen()
  const products = [...productIds].sort().join(',')
  return useQuery({
    queryKey: ['kitchen', id, 'buying', 'plan-goods', products, replaces],
    queryFn: () =>
      getJson<PlanGoods>(
        `${kitchenPath(id)}/plan-goods?products=${products}${replaces === null ? '' : `&replaces=${replaces}`}`,
      ),
    placeholderData: keepPreviousData,
  })
}

/** Puts a plan where every room reads it; what is expected and planned is asked for anew. */
function useKeepPlan() {
  const { id } = useKitchen()
  const queries = useQueryClient()
  return (plan: Plan) => {
    queries.setQueryData(plansKey(id, 'one', plan.id), plan)
    void queries.invalidateQueries({ queryKey: plansKey(id), exact: true })
    for (const part of ['expected', 'planned']) void queries.invalidateQueries({ queryKey: plansKey(id, part) })
  }
}

export function useCreatePlan() {
  const { id } = useKitchen()
  return useMutation({
    mutationFn: (plan: Pick<Plan, 'id' | 'name' | 'draft'>) => postJson<Plan>(`${kitchenPath(id)}/plans`, plan),
    onSuccess: useKeepPlan(),
  })
}

export function useUpdatePlan(planId: string) {
  const { id } = useKitchen()
  return useMutation({
    mutationFn: (edit: PlanEdit) => putJson<Plan>(`${kitchenPath(id)}/plans/${planId}`, edit),
    onSuccess: useKeepPlan(),
  })
}

export function useDeletePlan() {
  const { id } = useKitchen()
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (planId: string) => deleteJson<PlanRow[]>(`${kitchenPath(id)}/plans/${planId}`),
    onSuccess: (rows) => queries.setQueryData(plansKey(id), rows),
  })
}

export function useAcceptPlan(planId: string) {
  const { id } = useKitchen()
  const path = `${kitchenPath(id)}/plans/${planId}/acceptance`
  const onSuccess = useKeepPlan()
  return {
    accept: useMutation({ mutationFn: (accepted: PlanAccepted) => postJson<Plan>(path, accepted), onSuccess }),
    withdraw: useMutation({
      mutationFn: (version: number) => deleteJson<Plan>(`${path}?version=${version}`),
      onSuccess,
    }),
  }
}

/** Lines of orders that are expected, and those that should have come. */
export function useExpected() {
  const { id } = useKitchen()
  return useQuery({
    queryKey: plansKey(id, 'expected'),
    queryFn: () => getJson<ExpectedLine[]>(`${kitchenPath(id)}/expected`),
  })
}

/** Keeps who does what when. */
export function useUpdateSchedule(planId: string) {
  const { id } = useKitchen()
  return useMutation({
    mutationFn: (edit: ScheduleEdit) => putJson<Plan>(`${kitchenPath(id)}/plans/${planId}/schedule`, edit),
    onSuccess: useKeepPlan(),
  })
}

export function useUpdateExpected() {
  const { id } = useKitchen()
  const queries = useQueryClient()
  return useMutation({
    mutationFn: ({ lineId, arrived }: { lineId: string; arrived: number | null }) =>
      putJson<ExpectedLine>(`${kitchenPath(id)}/expected/${lineId}`, { arrived }),
    onSuccess: () => queries.invalidateQueries({ queryKey: plansKey(id) }),
  })
}

/** Planned fabrications that wait to be cut. */
export function usePlanned() {
  const { id } = useKitchen()
  return useQuery({
    queryKey: plansKey(id, 'planned'),
    queryFn: () => getJson<PlannedFabrication[]>(`${kitchenPath(id)}/planned`),
  })
}

/** The planned fabrication that a record was; none where nobody planned it. */
export function usePlannedOf(fabricationId: string) {
  const { id } = useKitchen()
  return useQuery({
    queryKey: plansKey(id, 'planned-of', fabricationId),
    queryFn: () => getJson<PlannedFabrication[]>(`${kitchenPath(id)}/planned?fabrication=${fabricationId}`),
  })
}

export function useUpdatePlanned() {
  const { id } = useKitchen()
  const queries = useQueryClient()
  return useMutation({
    mutationFn: ({ plannedId, ...edit }: PlannedEdit & { plannedId: string }) =>
      putJson<PlannedFabrication>(`${kitchenPath(id)}/planned/${plannedId}`, edit),
    onSuccess: () => queries.invalidateQueries({ queryKey: plansKey(id) }),
  })
}
