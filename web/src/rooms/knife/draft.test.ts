import { shapeById } from '../../parts/measured-piece.ts'
import { freshDraft, refusalOf, stretched } from './draft.ts'

test('a piece of any length still ends where its last tape and its last width lie', () => {
  const fresh = freshDraft(shapeById('char-fillet'))
  const traced = [0, fresh.length / 3, fresh.length].map((at) => ({ at, width: 60 }))
  const usual = { ...fresh, outline: traced }
  for (let from = 100; from < 900; from += 7) {
    const one = { ...usual, ...stretched(usual, from) }
    for (const to of [333, 480, 611]) {
      const other = { ...one, ...stretched(one, to) }
      expect([other.girths.at(-1)?.at, other.outline.at(-1)?.at]).toEqual([to, to])
      expect(other.products[1]?.within?.[1]).toBe(to)
    }
  }
})

test('known by its outline, nothing is planned before the marks of a photograph are set', () => {
  const draft = { ...freshDraft(shapeById('tenderloin')), way: 'outline' as const }
  expect([draft.outline, refusalOf(draft)]).toEqual([[], 'Put the marks onto the photograph, and the plans come.'])
  const outline = [0, draft.length / 2, draft.length].map((at) => ({ at, width: 60 }))
  expect(refusalOf({ ...draft, outline })).toBeNull()
})

test('measures are refused by field, a product by its name, and what is right is not', () => {
  const usual = freshDraft(shapeById('tenderloin'))
  expect(refusalOf(usual)).toBeNull()
  expect(refusalOf({ ...usual, way: 'girths' })).toBeNull()
  expect(refusalOf({ ...usual, weight: 21_000 })).toMatch(/^weight does not go with the measures/)
  const [steak, ...others] = usual.products
  const crossed = [{ ...(steak as (typeof usual.products)[number]), low: 300 }, ...others]
  expect(refusalOf({ ...usual, products: crossed })).toBe('centre steak: low must not be above high')
})
