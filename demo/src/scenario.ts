import { CATALOGUE } from '@fleam/catalogue'
import type { NamedPile } from '@fleam/core/style'
import { randomLcg, randomNormal } from 'd3-random'
import { v7 } from 'uuid'
import { CHICKEN_STYLE, KITCHENS, type KitchenScript, type SessionScript } from './kitchens.ts'
import { LOTS, type LotScript } from './lots.ts'

/** A weighing of the scenario, by the name of its pile. */
export interface DemoWeighing {
  id: string
  pile: string
  grams: number
  takenAt: string
}

export interface DemoSession {
  id: string
  script: SessionScript
  date: string
  startedAt: string
  invoiceWeight: number
  receivedWeight: number
  purge: number
  minutes: number
  weighings: DemoWeighing[]
  isClosed: boolean
  /** Share of the bones that was really used. */
  bonesUsedShare: number | null
}

export interface DemoKitchen {
  id: string
  script: KitchenScript
  cookIds: string[]
  offerId: string
  sessions: DemoSession[]
  lots: DemoLot[]
}

export interface DemoLot {
  id: string
  script: LotScript
  caseIds: string[]
}

const SEED = 28
const DAY_MS = 24 * 3600 * 1000
const MINUTE_MS = 60 * 1000
const START_HOUR_UTC = 8
/** What the liquid of a bag is said for. */
const CHICKEN_GRAMS = 2100
/** How far pieces of one pile differ: so much of their weight, but no more than these grams. */
const SPREAD_SHARE = 0.035
const MAX_SPREAD_GRAMS = 9
/** How long ago the half-done session of today began. */
const HALF_DONE_MINUTES = 25

/** Ids in the order they are asked for: the same at every run, whatever the day is. */
export function idSource(random: () => number): () => string {
  let count = 0
  return () => {
    count++
    return v7({
      msecs: Date.UTC(2026, 0, 1) + count,
      seq: count,
      random: Uint8Array.from({ length: 16 }, () => Math.floor(random() * 256)),
    })
  }
}

/** The demo kitchens as data, identical for the same day. `now` places the sessions. */
export function scenario(now: Date): DemoKitchen[] {
  const random = randomLcg(SEED)
  const newId = idSource(random)
  return KITCHENS.map((script) => ({
    id: newId(),
    script,
    cookIds: script.cooks.map(newId),
    offerId: newId(),
    sessions: script.sessions.map((session) => playSession(session, now, random, newId)),
    lots: script.hasPriceBook ? LOTS.map((lot) => ({ id: newId(), script: lot, caseIds: lot.cases.map(newId) })) : [],
  }))
}

const gramsStep = (grams: number) => Math.round(grams)

export function playSession(script: SessionScript, now: Date, random: () => number, newId: () => string): DemoSession {
  const normal = randomNormal.source(random)
  const start = startOf(script, now)
  const { item, style } = styleOf(script)
  const birdWeight = normal(item.unitWeight.usual, item.unitWeight.usual * 0.012)()
  const ap = Math.round((script.birds * birdWeight) / 20) * 20
  const received = gramsStep(script.event === 'short-delivery' ? ap * 0.982 : ap - script.birds * (6 + random() * 6))
  // What is drained at the bench stands on its pile.
  const isDrainedAtBench = style.piles.some((pile) => pile.kind === 'liquid')
  const drained = gramsStep(
    script.birds * (12 + random() * 6) * (item.species === 'fish' ? 0.2 : item.unitWeight.usual / CHICKEN_GRAMS),
  )
  const purge = isDrainedAtBench ? 0 : drained
  const weighings = weighPiles(script, received - purge, normal, random).map((weighPile, index) => ({
    ...weighPile,
    id: newId(),
    takenAt: new Date(start.getTime() + (index + 1) * MINUTE_MS).toISOString(),
  }))
  const isHalfDone = script.event === 'half-done'
  return {
    id: newId(),
    script,
    date: start.toISOString().slice(0, 10),
    startedAt: start.toISOString(),
    invoiceWeight: ap,
    receivedWeight: received,
    purge,
    minutes: script.birds * script.pace,
    weighings: isHalfDone ? weighings.slice(0, script.birds + 1) : weighings,
    isClosed: !isHalfDone,
    bonesUsedShare: script.event === 'bones-thrown-away' ? 0 : null,
  }
}

function startOf({ daysAgo, event }: SessionScript, now: Date): Date {
  if (event === 'half-done') return new Date(now.getTime() - HALF_DONE_MINUTES * MINUTE_MS)
  const day = new Date(now.getTime() - daysAgo * DAY_MS)
  return new Date(Date.UTC(day.getUTCFullYear(), day.getUTCMonth(), day.getUTCDate(), START_HOUR_UTC))
}

/** The cut style of a session, with its item. */
function styleOf({ style: name = CHICKEN_STYLE }: SessionScript) {
  for (const item of CATALOGUE) {
    const style = item.styles.find((catalogueStyle) => catalogueStyle.name === name)
    if (style) return { item, style }
  }
  throw new Error(`The catalogue has no style '${name}'`)
}

type Normal = ReturnType<typeof randomNormal.source>

/** Piles in the order of the style, of what is left once it is drained: meat that the cook misses stays on the bones. */
function weighPiles(script: SessionScript, drained: number, normal: Normal, random: () => number) {
  const { piles } = styleOf(script).style
  // What is missed stays on the bones, or goes with the trim.
  const leftOver = piles.findLast((pile) => pile.kind === 'bones') ?? piles.findLast((pile) => pile.kind === 'trim')
  const expected = (pile: NamedPile) => drained * (pile.expectedShare ?? 0)
  const gain = (pile: NamedPile) => (pile.class === 'primary' ? script.skill * (1 + (random() - 0.5) * 0.01) : 1)
  const drawn = piles.map((pile) => {
    const weight = expected(pile) * gain(pile)
    if (pile.weighing === 'whole') return [weight]
    const count = (pile.portionsPerUnit ?? 1) * script.birds
    const spread = normal(weight / count, Math.min(MAX_SPREAD_GRAMS, (weight / count) * SPREAD_SHARE))
    return Array.from({ length: count }, () => spread())
  })
  const sum = (weights: readonly number[]) => weights.reduce((total, weight) => total + weight, 0)
  const missed = sum(piles.map(expected)) - sum(drawn.flat())
  return piles.flatMap((pile, index) => {
    if (script.event === 'drumsticks-not-weighed' && pile.name === 'drumsticks') return []
    const weights = drawn[index] as number[]
    return weights.map((weight) => ({ pile: pile.name, grams: gramsStep(weight + (pile === leftOver ? missed : 0)) }))
  })
}
