import type { Term } from '../../solving/index.ts'
import { countedYield } from '../counted-yield.ts'
import type { PlanCut } from '../order-plan.ts'
import { type Draft, NONE_BELOW, once } from './draft.ts'
import type { PlanModel } from './plan-model.ts'

const MINUTES_PER_HOUR = 60
/** Of a quotient that is whole but for its last digit. */
const NEAR = 1e-9

type Cuts = PlanModel['cuts']

/** Whole units of each cut on each day, out of wholes that may be cut then, within the hours. */
export function addCuts(draft: Draft): Cuts {
  const cuts = draft.request.cuts.flatMap((cut) => draft.request.days.map((_, day) => addCut(draft, cut, day)))
  addSources(draft, cuts)
  addHours(draft, cuts)
  return cuts
}

function addCut(draft: Draft, cut: PlanCut, day: number): Cuts[number] {
  const { programme, request } = draft
  const { labour, service } = request
  const most = Math.min(cut.mostPerDay, draft.bounds.unitsOf(cut), mostInHours(cut, labour.hours[day] ?? 0))
  const units = programme.column({ upper: most, isWhole: true })
  draft.costs(units, cut.consumables + (cut.minutes * labour.ratePerHour) / MINUTES_PER_HOUR)
  let setUp: number | null = null
  if (cut.setUp > 0) {
    setUp = programme.column({ upper: 1, isWhole: true })
    draft.costs(setUp, (cut.setUp * labour.ratePerHour) / MINUTES_PER_HOUR)
    programme.row([...once([units]), [setUp, -most]], NONE_BELOW, 0)
  }
  for (const given of cut.yields) {
    draft.products.push({
      product: given.product,
      kind: 'cut',
      name: cut.name,
      at: day,
      made: [units, countedYield(given, service)],
      quantity: 0,
      uses: draft.usesWhileKept(given.product, day + cut.restDays),
      gate: setUp,
      from: day,
      isGoodAfter: false,
    })
  }
  return { cut, day, units, setUp }
}

/** Units of a whole that are cut on a day come from what may be cut then. */
function addSources({ request, wholes, programme }: Draft, cuts: Cuts): void {
  for (const { name } of request.wholes) {
    request.days.forEach((_, day) => {
      const cutsThere = cuts.filter((cut) => cut.cut.whole === name && cut.day === day)
      const from = wholes.flatMap(({ whole, flows }) => (whole.name === name ? (flows.get(day) ?? []) : []))
      const terms = [...once(cutsThere.map(({ units }) => units)), ...once(from, -1)]
      if (terms.length > 0) programme.row(terms, 0, 0)
      // A delivery that does not come cuts nothing that day.
      const most = cutsThere.reduce((sum, { units }) => sum + (programme.upper[units] as number), 0)
      for (const { whole, gate, flows } of wholes) {
        const flow = whole.name === name ? flows.get(day) : undefined
        if (flow !== undefined && gate !== null)
          programme.row(
            [
              [flow, 1],
              [gate, -most],
            ],
            NONE_BELOW,
            0,
          )
      }
    })
  }
}

function addHours({ request, programme }: Draft, cuts: Cuts): void {
  request.days.forEach((_, day) => {
    const terms = cuts.flatMap(({ cut, units, setUp, day: own }): Term[] =>
      own === day ? [[units, cut.minutes], ...once(setUp === null ? [] : [setUp], cut.setUp)] : [],
    )
    programme.row(terms, NONE_BELOW, (request.labour.hours[day] ?? 0) * MINUTES_PER_HOUR)
  })
}

const mostInHours = ({ minutes, setUp }: PlanCut, hours: number) =>
  minutes > 0 ? Math.max(0, Math.floor((hours * MINUTES_PER_HOUR - setUp) / minutes + NEAR)) : Number.POSITIVE_INFINITY
