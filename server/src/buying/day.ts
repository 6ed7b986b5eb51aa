import type { Kitchen } from '@fleam/contract'

/** The calendar day of a kitchen at an instant, in its own zone. */
export const dayOfKitchen = (kitchen: Pick<Kitchen, 'timeZone'>, now: Date): string =>
  new Intl.DateTimeFormat('en-CA', {
    timeZone: kitchen.timeZone,
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
  }).format(now)
