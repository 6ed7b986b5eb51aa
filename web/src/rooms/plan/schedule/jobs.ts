import type { Cook, Item, Plan, PlannedFabrication } from '@fleam/contract'
import type { PlannedJob, WorkCook } from '@fleam/core'

type Accepted = NonNullable<Plan['accepted']>

const MINUTE_MS = 60_000

/** Minutes between midnight of a plan's first day, by the kitchen's clock, and an instant. */
export function minutesSince(firstDay: string, timeZone: string, instant: Date): number {
  const parts = Object.fromEntries(
    new Intl.DateTimeFormat('en-CA', {
      timeZone,
      year: 'numeric',
      month: '2-digit',
      day: '2-digit',
      hour: '2-digit',
      minute: '2-digit',
      hourCycle: 'h23',
    })
      .formatToParts(instant)
      .map(({ type, value }) => [type, value]),
  )
  const local = Date.parse(`${parts.year}-${parts.month}-${parts.day}T${parts.hour}:${parts.minute}:00Z`)
  return Math.round((local - Date.parse(`${firstDay}T00:00:00Z`)) / MINUTE_MS)
}

/** The first day that what is cut of a style on a day serves; null where it serves nobody. */
function servesOf({ answer, goods }: Accepted, { styleId, articleId, day }: PlannedFabrication): string | null {
  const cut = goods.cuts.find((each) => each.styleId === styleId && each.wholeId === articleId)
  const days = answer.use.flatMap(({ source, day: served }) =>
    source.kind === 'cut' && source.cut === cut?.name && source.day === day ? [served] : [],
  )
  return [...days].sort()[0] ?? null
}

/** What there is to do of an accepted plan: what waits, and what is on the board; what is finished or dropped is not. */
export function jobsOf(accepted: Accepted, items: readonly Item[], timeZone: string): PlannedJob[] {
  const { draft, goods } = accepted
  return accepted.planned.flatMap((planned): PlannedJob[] => {
    const item = items.find(({ id }) => id === planned.itemId)
    const style = item?.styles.find(({ id }) => id === planned.styleId)
    if (!item || !style || planned.isDropped || planned.real?.isClosed) return []
    const cut = goods.cuts.find((each) => each.styleId === planned.styleId && each.wholeId === planned.articleId)
    return [
      {
        id: planned.id,
        itemId: item.id,
        styleId: style.id,
        name: `${item.name}: ${style.name.toLowerCase()}`,
        species: item.species,
        unitName: item.unitName,
        units: planned.units,
        day: planned.day,
        minutes: planned.minutes,
        setUp: Math.min(planned.minutes, cut?.setUp.value ?? 0),
        cookId: planned.real?.cookId ?? planned.cookId,
        serves: servesOf(accepted, planned),
        portions: planned.portions.reduce((sum, { quantity }) => sum + quantity, 0),
        isBonded: style.steps.some(({ tool }) => tool === 'enzyme'),
        hasBones: style.piles.some(({ kind }) => kind === 'bones'),
        needsSaw: style.steps.some(({ tool }) => tool === 'saw'),
        running: planned.real
          ? {
              start: Math.max(0, minutesSince(draft.from, timeZone, new Date(planned.real.startedAt))),
              cookId: planned.real.cookId,
            }
          : null,
      },
    ]
  })
}

/** The cooks who are there, with their week. */
export const cooksOf = (cooks: readonly Cook[], away: readonly string[]): WorkCook[] =>
  cooks.flatMap(({ id, name, wagePerHour, weekHours }) =>
    away.includes(id) ? [] : [{ id, name, wagePerHour, hours: weekHours }],
  )
