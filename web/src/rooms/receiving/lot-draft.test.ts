import { claimOf, emptyDraft, keepDraft, keptDraft, lotOf, missingOf, scanned, withCheck } from './lot-draft.ts'

const TODAY = '2026-11-24'
const GTIN = '09012345000127'
const draft = (changes = {}) => ({ ...emptyDraft('lot', TODAY, 'kg'), ...changes })
const scan = (before: ReturnType<typeof draft>, text: string, id = 'case') => {
  const result = scanned(before, text, TODAY, id)
  if (!result.ok) throw new Error(result.words)
  return result.draft
}
const refusal = (before: ReturnType<typeof draft>, text: string) => {
  const result = scanned(before, text, TODAY, 'x')
  return result.ok ? null : result.words
}

describe('a scanned case', () => {
  test('brings its weight, and what the label says of the lot', () => {
    const after = scan(draft(), `(01)${GTIN}(3103)012600(17)261202(10)L-1(37)6`)
    expect(after).toMatchObject({ code: 'L-1', gtin: GTIN, useBy: '2026-12-02', pieces: 6 })
    expect(after.cases).toEqual([
      {
        id: 'case',
        label: `(01)${GTIN}(3103)012600(17)261202(10)L-1(37)6`,
        serial: null,
        invoiceWeight: 12_600,
        weighed: null,
      },
    ])
  })

  test('adds to those before: pieces in all, and the earliest last day', () => {
    const first = scan(draft(), '(3103)012600(17)261202(37)6(21)1', 'a')
    const both = scan(first, '(3103)012400(17)261130(37)5(21)2', 'b')
    expect([both.pieces, both.useBy, both.cases.map((each) => each.serial)]).toEqual([11, '2026-11-30', ['1', '2']])
  })

  test('is priced by the case where its label says so and nobody said otherwise', () => {
    expect(scan(draft(), '(3922)5470').price).toEqual({ amount: 54.7, per: 'case' })
    expect(scan(draft({ price: { amount: 3.1, per: 'kg' } }), '(3922)5470').price).toEqual({ amount: 3.1, per: 'kg' })
  })

  test('that is in the list already, of another lot, or not readable is refused in words', () => {
    const label = '(3103)012600(10)L-1(21)7'
    const before = scan(draft(), label)
    expect(refusal(before, label)).toBe('This case is in the list already.')
    expect(refusal(before, '(3103)012600(10)L-2')).toContain('of lot L-2, the others of L-1')
    const withArticle = scan(draft(), `(01)${GTIN}(3103)012600`)
    expect(refusal(withArticle, '(01)00000000000000(3103)012600')).toContain(`, the others of ${GTIN}`)
    expect(refusal(before, `(01)${GTIN.slice(0, 13)}0`)).toBe(
      'The check digit of the article number is wrong (01, place 1). Scan it again.',
    )
    expect(refusal(before, '')).toBe('Nothing was scanned. Scan it again.')
  })
})

test('what is missing is said, one thing at a time, until nothing is', () => {
  let next = draft()
  const steps = [
    ['Say what came.', { itemId: 'c' }],
    ['Say who brought it.', { supplier: 'Ostravale' }],
    ['Say the price on the invoice.', { price: { amount: 3, per: 'piece' } }],
    [
      'Scan or add at least one case.',
      { cases: [{ id: 'a', label: null, serial: null, invoiceWeight: 0, weighed: null }] },
    ],
    [
      'Say the invoice weight of every case.',
      { cases: [{ id: 'a', label: null, serial: null, invoiceWeight: 5000, weighed: 4900 }] },
    ],
    ['Say how many pieces came.', { pieces: 3 }],
  ] as const
  for (const [words, changes] of steps) {
    expect(missingOf(next)).toBe(words)
    next = { ...next, ...changes } as typeof next
  }
  expect(missingOf(next)).toBeNull()
  const labelled = { id: 'a', label: '(10)L-1', serial: null, invoiceWeight: 5000, weighed: null }
  expect(missingOf({ ...next, code: 'L-1', cases: [labelled] })).toBeNull()
  expect(missingOf({ ...next, code: 'L-2', cases: [labelled] })).toContain('The label of case 1 is of another lot')
  expect(lotOf(next)).toMatchObject({ price: { amount: 3, per: 'piece' }, supplier: 'Ostravale' })
})

test('the claim is told as soon as a case has a weight', () => {
  expect(claimOf(draft())).toBeNull()
  const cases = [{ id: 'a', label: null, serial: null, invoiceWeight: 5000, weighed: 4900 }]
  expect(claimOf(draft({ cases, price: { amount: 10, per: 'kg' } }))).toMatchObject({ short: 100, claim: 1 })
})

test('a check is answered once', () => {
  const skin = { checkId: 'skin', isFault: true, value: null, note: null, worth: null }
  expect(withCheck([skin], { ...skin, isFault: false })).toEqual([{ ...skin, isFault: false }])
})

test('a delivery that was begun is there again, and is let go when it is taken in', () => {
  expect(keptDraft()).toBeNull()
  keepDraft(draft({ itemId: 'd', code: 'L-1' }))
  expect(keptDraft()).toMatchObject({ itemId: 'd', code: 'L-1' })
  keepDraft(null)
  expect(keptDraft()).toBeNull()
})
