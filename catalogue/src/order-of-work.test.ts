import { partsOfNamed, settleStyle } from '@fleam/core/style'
import { beefStep } from './beef/steps.ts'
import { birdStep } from './birds/steps.ts'
import type { StepWork } from './build.ts'
import { fishStep } from './fish/steps.ts'
import { CATALOGUE, type CatalogueItem, type CatalogueStyle } from './index.ts'
import { lambStep } from './lamb/lamb.ts'

const styles = CATALOGUE.flatMap((item) => item.styles.map((style) => [style.id, style, item] as const))

/** Every way in which a style's options can be chosen, with the steps that are then done, in their order. */
function settled(style: CatalogueStyle) {
  const names = style.piles.map((pile) => pile.name)
  const known = { ...style, ...partsOfNamed(style, () => names.shift() as string) }
  const ways = style.options.reduce<Record<string, string>[]>(
    (all, { id, choices }) => all.flatMap((way) => choices.map((choice) => ({ ...way, [id]: choice.id }))),
    [{}],
  )
  return ways.map((way) => settleStyle(known, way).steps)
}

const WORK: Readonly<Record<CatalogueItem['drawing'], (id: string) => StepWork>> = {
  bird: birdStep.workOf,
  'round-fish': fishStep.workOf,
  'flat-fish': fishStep.workOf,
  loin: beefStep.workOf,
  block: beefStep.workOf,
  rack: lambStep.workOf,
}

describe.each(styles)('%s', (_id, style, item) => {
  const workOf = WORK[item.drawing]

  test('no pile leaves the board before the last step that changes it', () => {
    for (const steps of settled(style)) {
      for (const pile of style.piles) {
        const left = steps.findIndex((step) => step.pileIds.includes(pile.name))
        const last = steps.findLastIndex(({ id }) => {
          const { on, gives } = workOf(id)
          return pile.kind === 'portions' ? pile.region !== null && on.includes(pile.region) : gives.includes(pile.kind)
        })
        const late = steps[last]?.id
        expect({ pile: pile.name, changedBy: left < last ? late : null }).toEqual({ pile: pile.name, changedBy: null })
      }
    }
  })

  test('whatever a step takes off has a pile, or goes into the bin', () => {
    const kinds = new Set(style.piles.map(({ kind }) => kind))
    for (const { id } of style.steps) {
      for (const kind of workOf(id).gives) {
        // Fat and trim of a style that does not part them, and bones of one that cuts none, are waste.
        const isKept = kinds.has(kind) || (kind !== 'liquid' && (kinds.has('bones') || kinds.has('waste')))
        expect([id, kind, isKept]).toEqual([id, kind, true])
      }
    }
  })

  test('what a landmark says is done by a step before its pile leaves the board', () => {
    for (const steps of settled(style)) {
      for (const { name, landmark } of style.piles) {
        const left = steps.findIndex((step) => step.pileIds.includes(name))
        const done = new Set(steps.slice(0, left + 1).map(({ id }) => id))
        for (const [words, by] of DONE_BY) {
          if (!words.test(landmark)) continue
          expect([name, String(words), by.some((id) => done.has(id))]).toEqual([name, String(words), true])
        }
      }
    }
  })

  test('every boned portion ends with a fingertip for bone', () => {
    const BONED = ['breasts', 'supremes', 'wing-bone-off', 'half-bone', 'draw-bones', 'tunnel']
    if (item.drawing !== 'bird') return
    for (const steps of settled(style)) {
      const boned = Math.max(...BONED.map((id) => steps.findIndex((step) => step.id === id)))
      const felt = steps.findLastIndex(
        ({ check, cautions }) => /fingertip/.test(check) || cautions.includes('bones-felt'),
      )
      if (boned >= 0) expect(felt).toBeGreaterThanOrEqual(boned)
    }
  })

  test('a shoulder, a joint and a spine ask for the glove', () => {
    for (const { id, cautions } of style.steps) {
      if (!['legs', 'wings', 'wing-ends', 'supremes', 'breasts', 'divide', 'keel-cut'].includes(id)) continue
      expect([id, cautions.includes('glove')]).toEqual([id, true])
    }
  })

  test('words of one animal never stand at another', () => {
    for (const { id, title, doing, check, mistakes } of style.steps) {
      const all = [title, doing, check, ...mistakes].join(' ')
      for (const foreign of FOREIGN[item.drawing]) expect([id, foreign.test(all)]).toEqual([id, false])
    }
  })
})

/** Words of a landmark, and the steps of which one does what they say. */
const DONE_BY: readonly (readonly [RegExp, readonly string[]])[] = [
  [/skinless|no skin/, ['skin']],
  [/tied/, ['roll', 'tail-tied']],
  [/scored/, ['score-skin', 'halve', 'trim-fat']],
  [/knuckle ringed/, ['knuckle']],
  [/tendons? drawn/, ['tendons', 'tenders']],
  [/kneecap/, ['thigh-bone', 'leg-bone']],
  [/tenderloin off/, ['tenders']],
  [/tenderloin on/, ['supremes', 'breasts']],
  [/no rib|no bones/, ['feel', 'over-ribs', 'lift-ribs']],
  [/split along the keel/, ['split', 'keel-cut']],
  [/pins out/, ['pin-pull', 'pin-notch']],
  [/scaled/, ['prepare']],
  [/frill off/, ['portions-flat']],
  [/gills out/, ['frame', 'frame-flat']],
  [/bones clean/, ['french-peel', 'french-scrape', 'french-string']],
  [/cap off/, ['cap']],
  [/cord out/, ['cord']],
  [/beaten even/, ['cutlets']],
  [/lies flat/, ['press']],
]

const OF_BIRDS = /\b(wings?|keel|wishbone|drumsticks?|oyster)\b/i
const OF_FLAT_FISH = /\b(frill|lateral|white side|dark side|quarters)\b/i
const OF_FISH = /\b(gills?|fillets?|pin bones?|scales)\b/i
const OF_LOINS = /\b(silverskin|tenderloins? head|chine)\b/i
const FOREIGN: Readonly<Record<CatalogueItem['drawing'], readonly RegExp[]>> = {
  bird: [OF_FLAT_FISH, /\b(gills?|pin bones?|silverskin|chine)\b/i],
  'round-fish': [OF_BIRDS, OF_FLAT_FISH, OF_LOINS],
  'flat-fish': [OF_BIRDS, OF_LOINS, /\bribs?\b/i],
  loin: [OF_BIRDS, OF_FLAT_FISH, /\b(gills?|pin bones?|fat cap|bone groove)\b/i],
  block: [OF_BIRDS, OF_FLAT_FISH, /\b(gills?|pin bones?)\b/i],
  rack: [OF_BIRDS, OF_FISH, OF_FLAT_FISH],
}

test('no knife touches what the cord lay in before it is out, and top sirloin has neither lip nor bone groove', () => {
  for (const [id, style] of styles) {
    const ids = style.steps.map((step) => step.id)
    const saw = ids.findIndex((step) => step === 'saw-chine' || step === 'chine')
    if (saw >= 0) expect([id, ids.indexOf('cord') >= 0 && ids.indexOf('cord') < saw]).toEqual([id, true])
  }
  const sirloin = styles.find(([id]) => id === 'top-sirloin-three')?.[1]
  expect(JSON.stringify(sirloin)).not.toMatch(/\blip and\b|bone groove/)
})
