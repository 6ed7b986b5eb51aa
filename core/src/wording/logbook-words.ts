import type { Change, Doubt, RecordMoney } from '../logbook/index.ts'
import type { Format } from './format.ts'

/** What is wrong, with the evidence for it. */
export function doubtWords(why: Doubt, format: Format): string {
  switch (why.kind) {
    case 'balance':
      return why.balance === 'over'
        ? 'more came out than went in. A pile weighed twice, or in another unit?'
        : 'a pile is missing, or was weighed in another unit.'
    case 'double':
      return 'the same item, day, weight and cook as '
    case 'minutes':
      return `${format.number(why.minutes, 1)} minutes a unit, usually ${format.number(why.usual, 1)}. A clock that was started late?`
    case 'price':
      return `${format.perWeight(why.price)}, usually ${format.perWeight(why.usual)}. ${
        why.factor === 10 || why.factor === 0.1 ? 'A digit too many or too few?' : 'A price for another unit?'
      }`
    case 'yield':
      return `portion yield ${format.share(why.portionYield)}, usually ${format.share(why.usual)}.`
    case 'twice':
      return `${why.pile}: ${format.weight(why.grams)} twice within ${format.number(Math.max(why.seconds, 0.1), 1)} s. The same piece?`
    case 'weight':
      return `one weighs ${format.weight(why.weight)}, usually ${format.weight(why.usual)}. ${UNIT_ASKED}`
    case 'pile':
      return `${why.pile}: ${format.share(why.share)} of the weight, usually ${format.share(why.usual)}.${
        why.factor === null
          ? ''
          : why.factor > 1 && why.factor < 10
            ? ' Weighed twice, or in another unit?'
            : ` ${UNIT_ASKED}`
      }`
    case 'emptied':
      return `${why.pile} is all but missing, and ${why.into} has ${format.share(why.share)} more. Emptied into it?`
    case 'container':
      return `every piece of ${why.pile} is ${format.weight(why.heavier)} heavier than usual: ${why.container} (${format.weight(why.grams)}) left on?`
  }
}

const UNIT_ASKED = 'Weighed in another unit?'

/** Ways of losing money, as a cook calls them. */
export const LOST_WORDS = {
  waste: 'waste',
  givenAway: 'overweight',
  unused: 'by-products nobody used',
  unaccounted: 'weight not found again',
  demoted: 'pieces too light to serve',
} as const satisfies Partial<Record<keyof RecordMoney, string>>

/** What cutting it ourselves brought, in one sentence. */
export function broughtWords(records: number, { spent, saved }: RecordMoney, format: Format): string {
  const way = saved >= 0 ? 'brought' : 'cost'
  const against = saved >= 0 ? 'against buying ready' : 'more than buying ready'
  const over = `over ${records} ${records === 1 ? 'record' : 'records'} for which ${format.money(spent)} was spent`
  return `Cutting it ourselves ${way} ${format.money(Math.abs(saved))} ${against}, ${over}.`
}

type ChangeSaid = Pick<Change, 'of' | 'what' | 'difference' | 'moneyPerWeek'> & { name: string }

/** What changed, in one sentence; `since` as it is written. */
export function changeWords(
  { name, of, what, difference, moneyPerWeek }: ChangeSaid,
  since: string,
  format: Format,
): string {
  const amount =
    what === 'portion-yield'
      ? `${format.number(Math.abs(difference) * 100, 1)} points`
      : `${format.number(Math.abs(difference), 1)} minutes a unit`
  const verb = what === 'minutes' ? 'takes' : of === 'cook' ? 'gets' : 'gives'
  const money = moneyPerWeek === null ? '' : `: ${format.money(Math.abs(moneyPerWeek))} a week`
  return `${name} ${verb} ${amount} ${difference > 0 ? 'more' : 'less'} since ${since}${money}.`
}

type AttributionSaid = Change['attributions'][number]
const namesIn = (names: readonly string[]) => new Intl.ListFormat('en-GB', { type: 'conjunction' }).format(names)

/** Whose a change is: `It is Brindlemere Meats: Ostravale holds what they had.` */
export function attributionWords({ of, kind, moved, held }: AttributionSaid): string {
  if (kind === 'one')
    return `It is ${moved[0]}: ${namesIn(held)} ${held.length === 1 ? 'holds' : 'hold'} what they had.`
  return `Not one ${of} alone: ${namesIn(moved)} alike.`
}
