import { type Day, dayIn } from '@fleam/core/calendar'
import type { Scope } from './scope.ts'

/** The calendar day of the scope's kitchen now, in its own zone. */
export const dayOf = ({ kitchen, clock }: Pick<Scope, 'kitchen' | 'clock'>): Day => dayIn(kitchen.timeZone, clock.now())
