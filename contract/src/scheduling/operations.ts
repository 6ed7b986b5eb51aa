import { daySchedule, plan, scheduleEdit, schedulesStanding, stylesWork, toldTask } from '@fleam/core/plans'
import { schedule, scheduleRequest, styleWork } from '@fleam/core/scheduling'
import { day, id } from '@fleam/core/values'
import { z } from 'zod'
import { file, operations } from '../operation.ts'

export const scheduleOperations = operations('planning', {
  planSchedule: {
    method: 'POST',
    path: '/api/schedule',
    summary: 'Who does what, when and where: the fewest late minutes, then of cleaning, then of food that waits',
    body: scheduleRequest,
    answer: schedule,
    refuses: ['cancelled'],
  },
})

export const kitchenScheduleOperations = operations('planning', {
  updateSchedule: {
    method: 'PUT',
    path: '/api/kitchens/:kitchenId/plans/:planId/schedule',
    summary: 'Keeps who does what when for an accepted plan',
    body: scheduleEdit,
    answer: plan,
    refuses: ['stale-version'],
  },
  subscribeSchedule: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/plans/:planId/schedule.ics',
    summary: 'The tasks of a cook, or of all, as a calendar to subscribe to',
    query: z.strictObject({ cook: id.optional() }),
    answer: file('text/calendar'),
  },
  listSchedules: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/schedules',
    summary: 'How the schedules of plans stand that are not over',
    answer: schedulesStanding,
  },
  updateToldTask: {
    method: 'PUT',
    path: '/api/kitchens/:kitchenId/plans/:planId/told',
    summary: 'Says that a task of a schedule has begun, is done, or waits after all',
    body: toldTask,
    answer: plan,
  },
  readDaySchedule: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/day-schedule',
    summary: 'The tasks of a day of every accepted plan, where they really are; today where no day is said',
    query: z.strictObject({ day: day.optional() }),
    answer: daySchedule,
  },
  printSchedule: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/plans/:planId/schedule.pdf',
    summary: 'Prep list, a list for each cook and set-up lists on paper; or the list of one cook',
    query: z.strictObject({ paper: z.enum(['A4', 'LETTER']).optional(), cook: id.optional() }),
    answer: file('application/pdf'),
  },
  readPlanWork: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/plans/:planId/work',
    summary: 'What the styles of a plan take before and after the board, and minutes of a unit by cooks',
    answer: stylesWork,
  },
  updateStyleWork: {
    method: 'PUT',
    path: '/api/kitchens/:kitchenId/styles/:styleId/work',
    summary: 'Says what a style takes before and after the board',
    body: styleWork,
    answer: styleWork,
  },
})
