import { editOf, type FabricationState, type Item, type Style } from '@fleam/contract'
import { CHICKEN_STYLE, type KitchenScript } from './kitchens.ts'
import { type DemoKitchen, type DemoSession, scenario } from './scenario.ts'

const STALE = 409

/** Talks to a running Fleam as any client would. */
class Client {
  readonly #base: string

  constructor(base: string) {
    this.#base = base
  }

  async get<T>(path: string): Promise<T | null> {
    const response = await fetch(`${this.#base}${path}`)
    if (response.status === 404) return null
    if (!response.ok) throw new Error(`The demo could not read ${path}: ${await response.text()}`)
    return (await response.json()) as T
  }

  /** Sends JSON; statuses in `mayBe` are fine too. */
  async send<T>(method: 'POST' | 'PUT', path: string, body: unknown, mayBe: readonly number[] = []): Promise<T> {
    const response = await fetch(`${this.#base}${path}`, {
      method,
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    })
    if (!response.ok && !mayBe.includes(response.status)) {
      throw new Error(`The demo could not be loaded at ${path}: ${await response.text()}`)
    }
    return (await response.json()) as T
  }
}

/** Loads the demo kitchens once, through the API. Broken off, it goes on where it stopped. */
export async function loadDemo(url: string, now: Date): Promise<void> {
  const client = new Client(url)
  const kitchens = scenario(now)
  const last = kitchens.at(-1)
  const lastSession = last?.sessions.at(-1)
  const known = await client.get<FabricationState>(`/api/kitchens/${last?.id}/fabrications/${lastSession?.id}`)
  if (known?.record.status === 'closed') return
  for (const kitchen of kitchens) await loadKitchen(client, kitchen)
}

async function loadKitchen(client: Client, { id, script, cookIds, offerId, sessions }: DemoKitchen): Promise<void> {
  const { name, currency, units, timeZone, wagePerHour, cooks, offer } = script
  await client.send('POST', '/api/kitchens', { id, name, currency, units, timeZone, wagePerHour })
  const path = `/api/kitchens/${id}`
  for (const [at, cook] of cooks.entries())
    await client.send('POST', `${path}/cooks`, { id: cookIds[at], ...cook }, [STALE])
  const style = await valueStyle(client, path, script)
  const { supplier, ...offered } = offer
  await client.send(
    'POST',
    `${path}/offers`,
    {
      id: offerId,
      styleId: style.id,
      supplier,
      offer: { ...offered, usableShare: 0.97, handlingMinutesPerPiece: 0.2, ratePerHour: wagePerHour, extras: 0 },
    },
    [STALE],
  )
  for (const session of sessions) {
    const cook = cooks.findIndex((each) => each.name === session.script.cook)
    await loadSession(client, path, style, cookIds[cook] ?? null, session)
  }
}

async function valueStyle(client: Client, path: string, script: KitchenScript): Promise<Style> {
  const items = (await client.get<Item[]>(`${path}/items`)) ?? []
  const style = items.flatMap((item) => item.styles).find((each) => each.name === CHICKEN_STYLE)
  if (!style) throw new Error(`The catalogue has no style '${CHICKEN_STYLE}'`)
  const piles = style.piles.map((pile) => ({
    ...pile,
    valuePerKg: script.chickenValues[pile.name]?.valuePerKg ?? null,
    usedShare: script.chickenValues[pile.name]?.usedShare ?? null,
    processingPerKg: script.chickenValues[pile.name]?.processingPerKg ?? null,
  }))
  return client.send<Style>('PUT', `${path}/styles/${style.id}`, { ...style, piles })
}

async function loadSession(client: Client, path: string, style: Style, cookId: string | null, session: DemoSession) {
  const { script } = session
  const { record } = await client.send<FabricationState>('POST', `${path}/fabrications`, {
    id: session.id,
    styleId: style.id,
    units: script.birds,
    purchase: {
      price: script.price,
      invoiceWeight: session.invoiceWeight,
      receivedWeight: session.receivedWeight,
      purge: session.purge,
      pieces: script.birds,
      cases: 1,
      extras: script.extras,
    },
    cookId,
    supplier: script.supplier,
    lot: null,
    date: session.date,
    startedAt: session.startedAt,
  })
  const pileId = (name: string) => record.piles.find((pile) => pile.name === name)?.id
  const readings = session.weighings.map(({ pile, ...weighing }) => ({
    ...weighing,
    pileId: pileId(pile),
    source: 'scale',
  }))
  await client.send('POST', `${path}/fabrications/${session.id}/readings`, { readings })
  if (record.status === 'open' && record.version === 1)
    await client.send('PUT', `${path}/fabrications/${session.id}`, asItEnded(record, session))
}

function asItEnded(record: FabricationState['record'], session: DemoSession) {
  return editOf(record, {
    labour: record.labour.map((entry) => ({ ...entry, minutes: session.minutes })),
    consumables: [{ name: 'bags and labels', cost: 0.3 * session.script.birds }],
    piles: record.piles.map((pile) =>
      pile.name === 'bones and back' && session.bonesUsedShare !== null
        ? { ...pile, usedShare: session.bonesUsedShare }
        : pile,
    ),
    status: session.isClosed ? 'closed' : 'open',
  })
}
