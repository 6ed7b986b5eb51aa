import type { Day } from '../calendar/index.ts'
import {
  isGapKnown,
  type OrderPlan,
  type PlanAim,
  type PlanLimit,
  type PlanLines,
  type WhyLeft,
} from '../planning/index.ts'
import type { Format } from './format.ts'

/** How a day is said: `Thu 3 Dec`. */
type SayDay = (day: Day) => string

const SMALL_COUNT = 1e-6
/** More lines than this in one sentence nobody reads: the orders below have them all. */
const MAX_SAID = 3

const listed = (parts: readonly string[]): string =>
  parts.length < 2 ? (parts[0] ?? '') : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)}`

const counted = (amount: number, { one, many }: { one: string; many: string }, format: Format) =>
  `${format.quantity(amount, 'count')} ${Math.abs(amount - 1) < SMALL_COUNT ? one : many}`

/** What to do, in one sentence, without its money: buy so many on a day, cut so many on another. */
export function planWords(lines: PlanLines, format: Format, sayDay: SayDay): string {
  const daysOf = (list: readonly { day: Day }[]) => [...new Set(list.map(({ day }) => day))].sort()
  const bought = daysOf(lines.orders).map((day) => {
    const ordered = lines.orders.filter((order) => order.day === day).flatMap((order) => order.lines)
    const phrases = [...ordered]
      .sort((a, b) => b.money - a.money)
      .slice(0, MAX_SAID)
      .map(({ packs, name }) => `${packs} × ${name}`)
    const more = ordered.length - phrases.length
    // Names have commas and ands of their own.
    return `${(more > 0 ? [...phrases, `${more} more`] : phrases).join(' + ')} on ${sayDay(day)}`
  })
  const cut = daysOf(lines.cutting).map((day) => {
    const units = new Map<string, { amount: number; name: { one: string; many: string } }>()
    for (const task of lines.cutting) {
      if (task.day !== day) continue
      const unit = units.get(task.unitName.many)
      units.set(task.unitName.many, { amount: (unit?.amount ?? 0) + task.units, name: task.unitName })
    }
    return `${listed([...units.values()].map(({ amount, name }) => counted(amount, name, format)))} on ${sayDay(day)}`
  })
  const parts = [
    ...(bought.length > 0 ? [`Buy ${bought.join('; ')}`] : []),
    ...(cut.length > 0 ? [`Cut ${cut.join('; ')}`] : []),
  ]
  return parts.length > 0 ? parts.join('. ') : 'Nothing is to be bought and nothing to be cut'
}

/** What is bought and not cut, in a sentence; empty where everything is. */
export const uncutWords = (lines: Pick<PlanLines, 'uncut'>, format: Format): string =>
  (['pack', 'minimum', 'there'] as const)
    .flatMap((reason) => {
      const uncut = lines.uncut.filter(({ because }) => because === reason)
      if (uncut.length === 0) return []
      const what = listed(uncut.map(({ units, unitName, name }) => `${counted(units, unitName, format)} of ${name}`))
      const verb = uncut.length === 1 && uncut[0]?.units === 1 ? 'stays' : 'stay'
      return [`${what} ${verb} uncut: ${UNCUT_WORDS[reason]}.`]
    })
    .join(' ')

const LEFT_WORDS: Readonly<Record<WhyLeft, string>> = {
  beside: 'comes with what is cut',
  pack: 'packs are whole',
  unit: 'it is cut from whole ones',
  there: 'it was there already',
}

/** Why something is left over: `packs are whole`. */
export const leftWords = (because: readonly WhyLeft[]): string => because.map((why) => LEFT_WORDS[why]).join('; ')

const UNCUT_WORDS: Readonly<Record<PlanLines['uncut'][number]['because'], string>> = {
  pack: 'packs are whole',
  minimum: 'the order has to reach its minimum',
  there: 'it is there already, and nothing asks for it',
}

/** A limit that is used up and what loosening it would bring, in words. */
export function limitWords(limit: PlanLimit, format: Format, sayDay: SayDay): string {
  const brings =
    limit.saves === null
      ? limit.shorter > 0
        ? 'would leave less short'
        : 'would change nothing'
      : `would save ${format.money(limit.saves)}`
  const on = limit.day === null ? '' : ` on ${sayDay(limit.day)}`
  switch (limit.limit) {
    case 'labour':
      return `One hour more at the board${on} ${brings}.`
    case 'cold':
      return `A tenth more room in the cold ${brings}.`
    case 'most-packs':
      return `${limit.oneMore} more of ${limit.name} ${brings}.`
    case 'most-per-day':
      return `${limit.oneMore} more of ${limit.name} ${brings}.`
    case 'minimum':
      return `${limit.name} without its minimum order ${brings}.`
    case 'delivery-day':
      return `A delivery of ${limit.name}${on} too ${brings}.`
  }
}

/** What would mend a shortage, in a few words; where nothing would, that nothing gives it in time. */
export function mendWords(because: readonly PlanLimit[], sayDay: SayDay): string {
  const reasons = because.map(({ limit, name, day }) => {
    const on = day === null ? '' : ` on ${sayDay(day)}`
    switch (limit) {
      case 'labour':
        return `an hour more at the board${on}`
      case 'cold':
        return 'more room in the cold'
      case 'most-packs':
        return `more of ${name}`
      case 'most-per-day':
        return `more of ${name} a day`
      case 'minimum':
        return `${name} without its minimum`
      case 'delivery-day':
        return `a delivery of ${name}${on}`
    }
  })
  return reasons.length > 0 ? `${listed(reasons)} would mend it` : 'nothing that can be bought or cut gives it in time'
}

/** How sure it is that nothing costs less than a plan, where its price stands. */
export const surenessWords = ({ status, gap }: Pick<OrderPlan, 'status' | 'gap'>, format: Format): string =>
  status === 'optimal'
    ? 'cheapest possible'
    : isGapKnown({ gap })
      ? `at most ${format.share(gap)} above the cheapest possible`
      : 'not known how good it is'

/** The same as a sentence: what the plan was made for, and how long was looked where it is not proven. */
export function provenWords(
  { status, gap }: Pick<OrderPlan, 'status' | 'gap'>,
  format: Format,
  { aim = 'cost', seconds = null }: { aim?: PlanAim; seconds?: number | null } = {},
): string {
  if (aim === 'labour') return 'Of the plans that were found the one with the fewest minutes at the board.'
  if (aim === 'waste') return 'Of the plans that were found the one that throws the least away.'
  const whole = surenessWords({ status, gap }, format)
  const sentence = `${whole.charAt(0).toUpperCase()}${whole.slice(1)}`
  const of = aim === 'ready' ? ' of all that buy everything ready' : ''
  const looked = status === 'optimal' || seconds === null ? '' : ` Looked for ${format.number(seconds, 0)} s.`
  return `${sentence}${of}.${looked}`
}

/** An order as text to paste into a message. */
export function orderText(
  order: PlanLines['orders'][number],
  { kitchen, sayDay }: { kitchen: string; sayDay: SayDay },
): string {
  const lines = order.lines.map(({ packs, name }) => `${packs} × ${name}`)
  return [`${order.supplier},`, '', `please deliver on ${sayDay(order.day)}:`, ...lines, '', kitchen].join('\n')
}
