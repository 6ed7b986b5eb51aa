import { claimOf, emptyDraft, keepDraft, keptDraft, lotOf, scanned, withCheck } from './lot-draft.ts'
import { lotFields } from './use-lot-form.ts'

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
    expect([both.pieces, both.useBy, both.cases.map((lotCase) => lotCase.serial)]).toEqual([
      11,
      '2026-11-30',
      ['1', '2'],
    ])
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

describe('what keeps a delivery from being accepted', () => {
  const oneCase = { id: 'a', label: null, serial: null, invoiceWeight: 5000, weighed: 4900 }
  const whole = draft({
    itemId: 'c',
    supplier: ' Ostravale ',
    price: { amount: 3, per: 'piece' },
    pieces: 3,
    cases: [oneCase],
  })
  const refusals = (changes: object) =>
    lotFields.safeParse({ ...whole, ...changes }).error?.issues.map(({ path, message }) => [path.join('.'), message]) ??
    []

  test('is nothing where all is said; what was left empty is not known', () => {
    expect(refusals({})).toEqual([])
    expect(lotOf({ ...whole, code: '', useBy: '', orderNumber: ' ' })).toMatchObject({
      supplier: 'Ostravale',
      code: null,
      useBy: null,
      orderNumber: null,
    })
  })

  test.each([
    [{ itemId: null }, 'itemId', 'Say what came.'],
    [{ supplier: ' ' }, 'supplier', 'Say who brought it.'],
    [{ price: { amount: null, per: 'kg' } }, 'price.amount', 'Say the price on the invoice.'],
    [{ price: { amount: 'not a value', per: 'kg' } }, 'price.amount', 'Say the price on the invoice.'],
    [{ extras: 'not a value' }, 'extras', 'This is not a number.'],
    [{ cases: [] }, 'cases', 'Scan or add at least one case.'],
    [{ cases: [{ ...oneCase, invoiceWeight: 0 }] }, 'cases.0.invoiceWeight', 'Say what the invoice says.'],
    [{ cases: [{ ...oneCase, weighed: 'not a value' }] }, 'cases.0.weighed', 'This is not a weight.'],
    [{ pieces: null }, 'pieces', 'Say how many pieces came.'],
  ])('%j is said at %s', (changes, path, words) => {
    expect(refusals(changes)).toEqual([[path, words]])
  })

  test('is a label of another lot, at its case', () => {
    const labelled = { ...oneCase, label: '(10)L-1' }
    expect(refusals({ code: 'L-1', cases: [labelled] })).toEqual([])
    expect(refusals({ code: 'L-2', cases: [oneCase, labelled] })[0]?.[0]).toBe('cases.1.invoiceWeight')
  })
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
