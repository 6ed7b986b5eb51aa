import fc from 'fast-check'
import { checkDigitOf, readCaseLabel } from './index.ts'

const TODAY = '2026-11-24'
const GS = '\u001d'
const withCheck = (body: string) => body + checkDigitOf(body)
const GTIN = withCheck('0901234500012')
const read = (text: string) => readCaseLabel(text, TODAY)
const label = (text: string) => {
  const result = read(text)
  if (!result.ok) throw new Error(result.issue.code)
  return result.label
}
const refusal = (text: string) => {
  const result = read(text)
  return result.ok ? null : [result.issue.code, result.issue.identifier, result.issue.at]
}

describe('a check digit', () => {
  test.each([
    ['629104150021', 3],
    ['0000000000000', 0],
    ['9501101530003', withCheck('9501101530003').at(-1)],
  ])('of %s is %s', (body, digit) => {
    expect(checkDigitOf(body)).toBe(Number(digit))
  })

  test('tells every single wrong digit', () => {
    const digits = fc.stringMatching(/^\d{13}$/)
    fc.assert(
      fc.property(digits, fc.nat(13), fc.integer({ min: 1, max: 9 }), (body, at, shift) => {
        const right = withCheck(body)
        const wrong = [...right]
          .map((digit, place) => (place === at ? String((Number(digit) + shift) % 10) : digit))
          .join('')
        expect(refusal(`01${wrong}`)?.[0]).toBe('bad-check-digit')
        expect(refusal(`01${right}`)).toBeNull()
      }),
      { seed: 4 },
    )
  })
})

describe('a label as a scanner types it', () => {
  test('says product, weight, dates and lot', () => {
    expect(label(`]C101${GTIN}310301258011261120172612023710${GS}10L-4471`)).toMatchObject({
      gtin: GTIN,
      netWeight: 12580,
      productionDate: '2026-11-20',
      useBy: '2026-12-02',
      count: 10,
      lot: 'L-4471',
      price: null,
    })
  })

  test('weighs in pounds and asks a price, with and without a currency', () => {
    const pounds = label(`01${GTIN}320100277${'3'}3922${'5470'}${GS}2112345`)
    expect(pounds.netWeight).toBeCloseTo(277.3 * 453.59237, 6)
    expect(pounds).toMatchObject({ price: 54.7, serial: '12345' })
    expect(label(`01${GTIN}39329785470`).price).toBe(54.7)
  })

  test('passes over what it has no use for', () => {
    expect(label(`01${GTIN}4221276${GS}7030040A12${GS}330201350010X`)).toMatchObject({ gtin: GTIN, lot: 'X' })
  })

  test('takes the last day of the month for day 00, and the century that is near', () => {
    expect(label('17270200').useBy).toBe('2027-02-28')
    expect(label('15991231').useBy).toBe('1999-12-31')
    expect(label('11760101').productionDate).toBe('2076-01-01')
  })

  test('prefers the use-by to the best-before, kilos to pounds, the trade item to what it contains', () => {
    const other = withCheck('0901234500099')
    expect(label(`1526120117261130`).useBy).toBe('2026-11-30')
    expect(label(`02${other}371${GS}01${GTIN}`).gtin).toBe(GTIN)
    expect(label('32000000043103001814').netWeight).toBeCloseTo(1814, 9)
  })
})

test('a label as people copy it, with brackets and spaces', () => {
  expect(label(`(01) ${GTIN} (3103) 012580 (17) 261202 (10) L-4471`)).toMatchObject({
    gtin: GTIN,
    netWeight: 12580,
    useBy: '2026-12-02',
    lot: 'L-4471',
  })
})

describe('a label is refused, and told where, when', () => {
  const wrong = `${GTIN.slice(0, 13)}${(Number(GTIN[13]) + 1) % 10}`
  test.each([
    ['nothing was scanned', '  ', ['empty', '', 0]],
    ['a check digit is wrong', `01${wrong}`, ['bad-check-digit', '01', 0]],
    ['it was cut off inside a number', `01${GTIN}31020125`, ['cut-off', '3102', 16]],
    ['it was cut off behind an identifier', `01${GTIN}10`, ['cut-off', '10', 16]],
    ['it was cut off inside a date', `172612`, ['cut-off', '17', 0]],
    ['an identifier is not known', `01${GTIN}55AA`, ['unknown-identifier', '55AA', 16]],
    ['a date is no day', '17261331', ['bad-date', '17', 0]],
    ['a date is not in its month', '17260231', ['bad-date', '17', 0]],
    ['letters stand where digits must', '310201A580', ['not-digits', '3102', 0]],
    ['a lot is too long', `10${'X'.repeat(21)}`, ['too-long', '10', 0]],
    ['a price has a currency only', '3932978', ['bad-currency', '3932', 0]],
    ['two lots are said', `10A${GS}10B`, ['said-twice', '10', 4]],
    ['a bracket is not closed', `(01)${GTIN}(17`, ['cut-off', '17', 18]],
    ['brackets hold no identifier', '(5)1', ['unknown-identifier', '5', 0]],
  ])('%s', (_what, text, expected) => {
    expect(refusal(text)).toEqual(expected)
  })
})

test('whatever is typed, it is read or refused, never thrown', () => {
  const characters = fc.string({ unit: fc.constantFrom(...'0123456789AB()-', GS), maxLength: 60 })
  fc.assert(
    fc.property(characters, (text) => {
      const result = read(text)
      expect(typeof result.ok).toBe('boolean')
    }),
    { seed: 4, numRuns: 500 },
  )
})

test('any weight that a label can say is read back', () => {
  const weight = fc.integer({ min: 0, max: 999_999 })
  fc.assert(
    fc.property(weight, fc.nat(6), (digits, decimals) => {
      const text = `310${decimals}${String(digits).padStart(6, '0')}`
      expect(label(text).netWeight).toBeCloseTo((digits / 10 ** decimals) * 1000, 6)
    }),
    { seed: 4 },
  )
})

describe('what no label says', () => {
  test.each(['10L|1', '10L^1', '10L 1', '10L\t1', '10L\u00001', '21é', '10L#1'])('is refused: %j', (text) => {
    expect(refusal(`01${GTIN}${text}`)?.[0]).toBe('bad-character')
  })

  test('two weights that differ, and a last day before the first, are told where they stand', () => {
    const both = (pounds: string) => `01${GTIN}31030125803202${pounds}`
    expect(label(both('002773')).netWeight).toBe(12580)
    expect(refusal(both('002800'))).toEqual(['weights-differ', '3202', 26])
    expect(refusal(`01${GTIN}1126112017261119`)).toEqual(['dates-crossed', '17', 24])
    expect(refusal(`01${GTIN}1126112017261120`)).toBeNull()
  })

  test('any text that is not printed for a label is no lot', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', minLength: 1, maxLength: 20 }), (text) => {
        const result = read(`(10)${text}`)
        if (result.ok) for (const { text: said } of result.label.elements) expect(said).toMatch(/^[!-~]*$/)
      }),
      { seed: 5 },
    )
  })
})
