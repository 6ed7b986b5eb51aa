import type { OrderPlan, OrderPlanRequest } from '../src/planning/index.ts'

const NEAR = 1e-4
/** Places of days, counted by the calendar of the machine and not by the model's. */
const placeOf = (days: readonly string[], day: string) =>
  Math.round((Date.parse(day) - Date.parse(days[0] as string)) / 86_400_000)

/** What is planned, held against every rule by itself: it shares no code with the model. Answers what is broken. */
export function brokenRules(
  request: OrderPlanRequest,
  plan: OrderPlan,
  counted: (cut: string, product: string) => number,
): string[] {
  const broken: string[] = []
  const hold = (rule: string, is: boolean) => {
    if (!is) broken.push(rule)
  }
  const { days } = request
  const last = days.length - 1
  const place = (day: string) => placeOf(days, day)
  const find = <T extends { name: string }>(list: readonly T[], name: string): T => {
    const found = list.find((item) => item.name === name)
    if (!found) throw new Error(`${name} is nowhere`)
    return found
  }
  const sum = (values: readonly number[]) => values.reduce((all, value) => all + value, 0)

  // Orders: on days of delivery, within packs, worth the minimum.
  const prices = new Map([...request.wholes, ...request.ready].map((good) => [good.name, good]))
  let bought = 0
  for (const { supplier, day, lines, charge } of plan.orders) {
    const of = find(request.suppliers, supplier)
    hold(`${supplier} comes on ${day}`, of.delivers.includes(day))
    hold('its charge', charge === of.charge)
    const worth = sum(lines.map(({ name, packs }) => packs * (prices.get(name)?.price ?? Number.NaN)))
    hold(`the minimum of ${supplier}`, worth >= of.minimum - NEAR)
    for (const { name, packs } of lines) {
      hold(`packs of ${name}`, Number.isInteger(packs) && packs > 0 && packs <= (prices.get(name)?.mostPacks ?? 0))
      hold(`${name} is of ${supplier}`, prices.get(name)?.supplier === supplier)
    }
    bought += worth + charge
  }
  const packsOf = (name: string, day: string) =>
    sum(
      plan.orders.flatMap((order) =>
        order.day === day ? order.lines.filter((line) => line.name === name).map(({ packs }) => packs) : [],
      ),
    )

  // Cutting: within the day's hours and the most of a day, from wholes that are there and still good.
  const cutFrom = new Map<string, number>()
  let labour = 0
  let consumables = 0
  for (const { cut: name, day, units, minutes, from } of plan.cutting) {
    const cut = find(request.cuts, name)
    hold(`units of ${name}`, Number.isInteger(units) && units <= cut.mostPerDay)
    hold(`minutes of ${name}`, Math.abs(minutes - (units * cut.minutes + cut.setUp)) < NEAR)
    hold(`where ${name} comes from`, Math.abs(sum(from.map((source) => source.units)) - units) < NEAR)
    for (const source of from) {
      const key = source.kind === 'stock' ? `stock ${source.at}` : `${cut.whole} ${source.day}`
      cutFrom.set(key, (cutFrom.get(key) ?? 0) + source.units)
      const whole = find(request.wholes, cut.whole)
      if (source.kind === 'stock') {
        const stock = request.stock[source.at]
        hold('stock of that whole', stock?.whole === cut.whole)
        hold('stock still good', place(day) <= place(stock?.useBy ?? ''))
      } else {
        const age = place(day) - place(source.day)
        hold(`age of ${cut.whole}`, age >= 0 && age < whole.keepsDays)
      }
    }
    labour += (minutes * request.labour.ratePerHour) / 60
    consumables += units * cut.consumables
  }
  for (const [key, units] of cutFrom) {
    const [first, day] = [key.slice(0, key.lastIndexOf(' ')), key.slice(key.lastIndexOf(' ') + 1)]
    const there =
      first === 'stock'
        ? (request.stock[Number(day)]?.quantity ?? 0)
        : packsOf(first, day) * find(request.wholes, first).pack
    hold(`there are so many of ${key}`, units <= there + NEAR)
  }
  days.forEach((day, index) => {
    const minutes = sum(plan.cutting.filter((task) => task.day === day).map((task) => task.minutes))
    hold(`hours of ${day}`, minutes <= (request.labour.hours[index] ?? 0) * 60 + NEAR)
  })

  // What serves is made, bought or there, and good.
  const made = new Map<string, number>()
  for (const { cut: name, day, units } of plan.cutting) {
    for (const { product } of find(request.cuts, name).yields)
      made.set(`cut ${name} ${day} ${product}`, units * counted(name, product))
  }
  for (const { day, lines } of plan.orders) {
    for (const { name, packs } of lines) {
      const ready = request.ready.find((offer) => offer.name === name)
      if (ready) made.set(`ready ${name} ${day} ${ready.product}`, packs * ready.quantity)
    }
  }
  request.stock.forEach((stock, index) => {
    if (stock.product !== null && place(stock.useBy) >= 0) made.set(`stock ${index} ${stock.product}`, stock.quantity)
  })
  const served = new Map<string, number>()
  const met = new Map<string, number>()
  for (const { product, day, quantity, source } of plan.use) {
    const keeps = find(request.products, product).keepsDays
    const key =
      source.kind === 'stock'
        ? `stock ${source.at} ${product}`
        : source.kind === 'cut'
          ? `cut ${source.cut} ${source.day} ${product}`
          : `ready ${source.name} ${source.day} ${product}`
    served.set(key, (served.get(key) ?? 0) + quantity)
    met.set(`${day} ${product}`, (met.get(`${day} ${product}`) ?? 0) + quantity)
    if (source.kind === 'stock')
      hold('stock good when served', place(day) <= place(request.stock[source.at]?.useBy ?? ''))
    else {
      const first = place(source.day) + (source.kind === 'cut' ? find(request.cuts, source.cut).restDays : 0)
      hold(`${product} good on ${day}`, place(day) >= first && place(day) < first + keeps)
    }
  }
  for (const [key, quantity] of served) hold(`there is so much of ${key}`, quantity <= (made.get(key) ?? 0) + NEAR)

  // Demands are met or short.
  const asked = new Map<string, number>()
  for (const { product, day, quantity } of request.demand) {
    if (quantity > 0) asked.set(`${day} ${product}`, (asked.get(`${day} ${product}`) ?? 0) + quantity)
  }
  for (const [key, quantity] of asked) {
    const short = plan.short.find(({ product, day }) => `${day} ${product}` === key)?.quantity ?? 0
    hold(`demand ${key}`, Math.abs((met.get(key) ?? 0) + short - quantity) < NEAR)
  }

  // What is left of each product, and the money of everything.
  let leftMoney = 0
  for (const { name, surplusUpTo, surplusValue, disposal } of request.products) {
    const goodAfter = (key: string) =>
      key.startsWith('stock ') && place(request.stock[Number(key.split(' ')[1])]?.useBy ?? '') > last
    const own = [...made].filter(([key]) => key.endsWith(` ${name}`) && !goodAfter(key))
    const left = sum(own.map(([key, quantity]) => quantity - (served.get(key) ?? 0)))
    const said = plan.left.find(({ product }) => product === name)
    hold(`left of ${name}`, Math.abs((said?.quantity ?? 0) - left) < NEAR)
    const valued = Math.min(Math.max(0, left), surplusUpTo)
    leftMoney += (left - valued) * disposal - valued * surplusValue
  }
  hold('the total', Math.abs(plan.cost.total - (bought + labour + consumables + leftMoney)) < NEAR * 10)

  if (request.coldSpace !== null)
    days.forEach((day, index) => hold(`cold of ${day}`, coldOf(index) <= (request.coldSpace ?? 0) + NEAR))
  return broken

  /** What stands in the cold at the end of a day. */
  function coldOf(at: number): number {
    let space = 0
    for (const { cut: name, day, from } of plan.cutting) {
      const { cold } = find(request.wholes, find(request.cuts, name).whole)
      for (const source of from) {
        const isGoodAfter = source.kind === 'stock' && place(request.stock[source.at]?.useBy ?? '') > last
        const since = source.kind === 'stock' ? 0 : place(source.day)
        if (!isGoodAfter && since <= at && place(day) > at) space += source.units * cold
        if (isGoodAfter && place(day) <= at) space -= source.units * cold
      }
    }
    for (const { product, day, quantity, source } of plan.use) {
      const { cold } = find(request.products, product)
      const isGoodAfter = source.kind === 'stock' && place(request.stock[source.at]?.useBy ?? '') > last
      const since = source.kind === 'stock' ? 0 : place(source.day)
      if (!isGoodAfter && since <= at && place(day) > at) space += quantity * cold
      if (isGoodAfter && place(day) <= at) space -= quantity * cold
    }
    for (const stock of request.stock) {
      if (place(stock.useBy) <= last) continue
      const of = stock.whole === null ? find(request.products, stock.product ?? '') : find(request.wholes, stock.whole)
      space += stock.quantity * of.cold
    }
    return space
  }
}
