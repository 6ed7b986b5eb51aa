import type { DaySchedule, SchedulesStanding, StylesWork, ToldTask } from '@fleam/contract/kept-schedule'
import type { Cook, CookWeeks } from '@fleam/contract/kitchen'
import type { Plan } from '@fleam/contract/planning'
import type { StyleWork } from '@fleam/core/scheduling'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { getJson, putJson } from './api.ts'
import { useKitchen } from './kitchen-context.ts'
import { kitchenPath } from './paths.ts'

/** How often a screen that follows the work asks what has begun and what is done. */
const LIVE_MS = 5_000

const dayKey = (id: string) => ['kitchen', id, 'plans', 'day']
const workKey = (id: string, planId: string) => ['kitchen', id, 'plans', 'work', planId]

/** Today's tasks of every accepted plan, where they really are; followed as long as somebody looks. */
export function useDaySchedule() {
  const { id } = useKitchen()
  return useQuery({
    queryKey: dayKey(id),
    queryFn: () => getJson<DaySchedule>(`${kitchenPath(id)}/day-schedule`),
    refetchInterval: LIVE_MS,
  })
}

/** Says that a task has begun, is done, or waits after all. */
export function useTellTask() {
  const { id } = useKitchen()
  const queries = useQueryClient()
  return useMutation({
    mutationFn: ({ planId, ...told }: ToldTask & { planId: string }) =>
      putJson<Plan>(`${kitchenPath(id)}/plans/${planId}/told`, told),
    onSuccess: (plan) => {
      queries.setQueryData(['kitchen', id, 'plans', 'one', plan.id], plan)
      return queries.invalidateQueries({ queryKey: dayKey(id) })
    },
  })
}

/** How the schedules of plans stand that are not over. */
export function useSchedulesStanding() {
  const { id } = useKitchen()
  return useQuery({
    queryKey: ['kitchen', id, 'plans', 'schedules'],
    queryFn: () => getJson<SchedulesStanding>(`${kitchenPath(id)}/schedules`),
  })
}

/** What the styles of a plan take before and after the board, and minutes of a unit by cooks. */
export function usePlanWork(planId: string) {
  const { id } = useKitchen()
  return useQuery({
    queryKey: workKey(id, planId),
    queryFn: () => getJson<StylesWork>(`${kitchenPath(id)}/plans/${planId}/work`),
  })
}

export function useUpdateStyleWork(planId: string) {
  const { id } = useKitchen()
  const queries = useQueryClient()
  return useMutation({
    mutationFn: ({ styleId, work }: { styleId: string; work: StyleWork }) =>
      putJson<StyleWork>(`${kitchenPath(id)}/styles/${styleId}/work`, work),
    // It stands at once: what is typed next begins from it.
    onMutate: ({ styleId, work }) =>
      queries.setQueryData<StylesWork>(workKey(id, planId), (known) =>
        known?.map((each) => (each.styleId === styleId ? { ...each, work } : each)),
      ),
    onError: () => queries.invalidateQueries({ queryKey: workKey(id, planId) }),
  })
}

/** Changes when cooks are at the board and what they may cut, all or none. */
export function useUpdateCookWeeks() {
  const { id } = useKitchen()
  const queries = useQueryClient()
  const key = ['kitchen', id, 'cooks']
  return useMutation({
    mutationFn: (cooks: CookWeeks['cooks']) => putJson<Cook[]>(`${kitchenPath(id)}/cook-weeks`, { cooks }),
    onMutate: (cooks) => {
      const before = queries.getQueryData<Cook[]>(key)
      queries.setQueryData<Cook[]>(key, (known) =>
        known?.map((cook) => ({ ...cook, ...cooks.find((each) => each.id === cook.id) })),
      )
      return before
    },
    onSuccess: (cooks) => queries.setQueryData(key, cooks),
    onError: (_error, _cooks, before) => queries.setQueryData(key, before),
  })
}
