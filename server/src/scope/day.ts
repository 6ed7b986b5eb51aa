import type { Scope } from './scope.ts'

/** The calendar day of the scope's kitchen now, in its own zone. */
export const dayOf = ({ kitchen, clock }: Pick<Scope, 'kitchen' | 'clock'>): string =>
  new Intl.DateTimeFormat('en-CA', {
    timeZone: kitchen.timeZone,
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
  }).format(clock.now())
