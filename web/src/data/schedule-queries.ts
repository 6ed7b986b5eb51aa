import { kitchenOperations } from '@fleam/contract/kitchen/operations'
import type { Cook, CookWeeks } from '@fleam/contract/kitchen/schemas'
import { planOperations } from '@fleam/contract/planning/operations'
import { kitchenScheduleOperations } from '@fleam/contract/scheduling/operations'
import type { StylesWork, ToldTask } from '@fleam/core/plans'
import type { StyleWork } from '@fleam/core/scheduling'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { call } from './api.ts'
import { useKitchen } from './kitchen-context.ts'
import { kitchenQuery, useAnswer, useChange, useInvalidate, useKeepAnswer } from './operations.ts'

const { readDaySchedule, updateToldTask, listSchedules, readPlanWork, updateStyleWork } = kitchenScheduleOperations

/** How often a screen that follows the work asks what has begun and what is done. */
const LIVE_MS = 5_000

/** Today's tasks of every accepted plan, where they really are; followed as long as somebody looks. */
export const useDaySchedule = () => useAnswer(readDaySchedule, {}, { refetchInterval: LIVE_MS })

/** Says that a task has begun, is done, or waits after all. */
export function useTellTask() {
  const keep = useKeepAnswer(planOperations.readPlan)
  const invalidate = useInvalidate(readDaySchedule)
  return useChange(
    updateToldTask,
    ({ planId, ...body }: ToldTask & { planId: string }) => ({ planId, body }),
    (plan) => {
      keep({ planId: plan.id }, plan)
      return invalidate()
    },
  )
}

/** How the schedules of plans stand that are not over. */
export const useSchedulesStanding = () => useAnswer(listSchedules, {})

/** What the styles of a plan take before and after the board, and minutes of a unit by cooks. */
export const usePlanWork = (planId: string) => useAnswer(readPlanWork, { planId })

export function useUpdateStyleWork(planId: string) {
  const { id: kitchenId } = useKitchen()
  const queries = useQueryClient()
  const { queryKey } = kitchenQuery(kitchenId, readPlanWork, { planId })
  return useMutation({
    mutationFn: ({ styleId, work }: { styleId: string; work: StyleWork }) =>
      call(updateStyleWork, { kitchenId, styleId, body: work }),
    // It stands at once: what is typed next begins from it.
    onMutate: ({ styleId, work }) =>
      queries.setQueryData<StylesWork>(queryKey, (works) =>
        works?.map((row) => (row.styleId === styleId ? { ...row, work } : row)),
      ),
    onError: () => queries.invalidateQueries({ queryKey }),
  })
}

/** Changes when cooks are at the board and what they may cut, all or none. */
export function useUpdateCookWeeks() {
  const { id: kitchenId } = useKitchen()
  const queries = useQueryClient()
  const { queryKey } = kitchenQuery(kitchenId, kitchenOperations.listCooks, {})
  return useMutation({
    mutationFn: (cooks: CookWeeks['cooks']) => call(kitchenOperations.updateCookWeeks, { kitchenId, body: { cooks } }),
    onMutate: (cooks) => {
      const before = queries.getQueryData<Cook[]>(queryKey)
      queries.setQueryData<Cook[]>(queryKey, (kept) =>
        kept?.map((cook) => ({ ...cook, ...cooks.find((other) => other.id === cook.id) })),
      )
      return before
    },
    onSuccess: (cooks) => queries.setQueryData<Cook[]>(queryKey, cooks),
    onError: (_error, _cooks, before) => queries.setQueryData(queryKey, before),
  })
}
