import { type ClaimedFault, claimCsv } from './claim-csv.ts'

type PrintedLot = Parameters<typeof claimCsv>[0]

const LOT: PrintedLot = {
  ...{ item: 'Chicken, eviscerated', supplier: 'Ostravale Poultry Yard', code: 'L-1', gtin: '09012345000127' },
  ...{ invoiceNumber: null, orderNumber: null, articleNumber: null },
  ...{ price: { amount: 4, per: 'kg' }, extras: null, pieces: null },
  ...{ receivedOn: '2026-11-24', standing: 'accepted', standingReason: null },
  cases: [
    { id: 'first', serial: '7', invoiceWeight: 5000, weighed: 4900 },
    { id: 'second', serial: null, invoiceWeight: 5000, weighed: null },
  ],
  checks: [{ checkId: 'skin', isFault: true, worth: null }],
}

describe('the claim as CSV', () => {
  const rows = (
    changes: Partial<PrintedLot> = {},
    faults: ClaimedFault[] = [{ what: 'skin torn', value: null, note: 'two', worth: 2.5 }],
  ) =>
    claimCsv({ ...LOT, ...changes }, 'EUR', faults)
      .trim()
      .split('\r\n')

  test('has a row for each case, one for all, one for each fault, and the sum', () => {
    const [header, ...lines] = rows()
    expect(header).toBe(
      'supplier,received,item,lot,invoice number,order number,article number,price (EUR),per,what,invoice (g),weighed (g),short (g),claim (EUR),note',
    )
    expect(lines.map((line) => line.split(',').slice(-6).join('|'))).toEqual([
      'case 1 (7)|5000|4900|100|0.4|',
      'case 2|5000||0|0|',
      'in all|10000|9900|100|0.4|',
      'skin torn||||2.5|two',
      'to claim||||0.4|',
    ])
  })

  test('makes what a spreadsheet would run harmless', () => {
    const [, line] = rows({ supplier: '=HYPERLINK("x")', code: '+1' })
    expect(line?.startsWith('"\'=HYPERLINK(""x"")"')).toBe(true)
    expect(line).toContain("'+1")
    expect(rows({}, [{ what: 'skin', value: null, note: '@risk', worth: null }]).at(-2)).toContain("'@risk")
  })

  test('says the number that was measured with its fault', () => {
    expect(rows({}, [{ what: 'too warm', value: 9 as never, note: 'thermometer 2', worth: null }]).at(-2)).toContain(
      '9 thermometer 2',
    )
  })
})
