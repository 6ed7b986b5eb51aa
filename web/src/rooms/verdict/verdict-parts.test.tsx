import type { FabricationRecord } from '@fleam/contract/fabrication/schemas'
import { appraise } from '@fleam/core/appraisal'
import type { FabricationDocument } from '@fleam/core/fabrication'
import { minorDigits } from '@fleam/core/units'
import { fireEvent, screen, within } from '@testing-library/react'
import { sixChickens } from '../../../../core/test/documents.ts'
import { renderPart, touch } from '../../../test/render.tsx'
import { BreakEvens } from './break-evens.tsx'
import { moneyParts } from './money-parts.ts'
import { PilesTable } from './piles-table.tsx'
import { Policies } from './policies.tsx'
import { Sentence } from './sentence.tsx'
import { Tries } from './tries.tsx'

const at = (amount: number) => sixChickens({ purchase: { ...sixChickens().purchase, price: { amount, per: 'kg' } } })
const sentence = (document: FabricationDocument, species: 'poultry' | null = 'poultry') => {
  const { unmount } = renderPart(<Sentence species={species} />, { document })
  const words = screen.getByRole('heading', { level: 1 }).textContent?.replaceAll('\u00a0', ' ')
  unmount()
  return words
}

describe('the sentence', () => {
  test('says make, what is kept, and what turns it', () => {
    expect(sentence(at(2.5))).toMatch(
      /^Making supremes costs €2\.\d\d a portion, buying them ready €3\.97: make, and you keep €1\.\d\d on each plate\. Flips to buy if the bird costs more than €4\.\d\d a kilo\.$/,
    )
  })

  test('says buy, and that a cheaper bird would turn it', () => {
    expect(sentence(at(6))).toMatch(
      /: buy, and you save €\d\.\d\d on each plate\. Flips to make if the bird costs less than €4\.\d\d a kilo\.$/,
    )
  })

  test('gives no verdict while the weights cannot be true', () => {
    const over = sixChickens()
    over.purchase.receivedWeight = 9000
    expect(sentence(over)).toContain('no verdict yet')
  })

  test('without an offer it gives the cost alone', () => {
    expect(sentence(sixChickens({ offers: [] }))).toMatch(/^Making supremes costs €\d\.\d\d a portion\. Add an offer/)
  })

  test('of an imported record speaks of the purchase', () => {
    expect(sentence(at(2.5), null)).toContain('if the purchase costs more than')
  })
})

test('parts of the net cost add up on the screen', () => {
  for (const amount of [2.505, 3.333, 4.349, 7.777]) {
    const document = at(amount)
    const { ap, labour, consumables, credit, net } = moneyParts(appraise(document), document.currency)
    const scale = 10 ** minorDigits(document.currency)
    const cents = [ap, labour, consumables, -credit].reduce((sum, part) => sum + Math.round(part * scale), 0)
    expect(cents).toBe(Math.round(net * scale))
  }
})

test('every pile has a row, and each of its figures opens', async () => {
  renderPart(<PilesTable />, { document: sixChickens() })
  const row = screen.getByRole('row', { name: /drumsticks/ })
  await touch(within(row).getByRole('button', { name: '€7.14' }))
  expect(screen.getByRole('tooltip').textContent).toContain('drumsticks ÷ 1000 × used share × value per kilo')
})

test('all four policies stand in one row, the chosen one marked', () => {
  renderPart(<Policies />, { document: sixChickens() })
  const cells = screen.getAllByRole('listitem')
  expect(cells).toHaveLength(4)
  expect(
    cells.filter((cell) => cell.textContent?.includes('chosen')).map((cell) => cell.querySelector('h3')?.textContent),
  ).toEqual(['when used'])
})

test('a turning point that no value reaches says so', () => {
  renderPart(<BreakEvens />, { document: sixChickens({ labour: [] }) })
  expect(screen.getByRole('row', { name: /Labour/ }).textContent).toContain('cannot')
})

test('the record answers a new price, a year and a claim', () => {
  const document = sixChickens()
  renderPart(<Tries record={{ id: 'f', status: 'open' } as FabricationRecord} />, { document })
  const ask = (label: RegExp, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } })
  ask(/kilo cost/, '6')
  expect(screen.getByText(/A portion of supremes/).textContent).toMatch(
    /€\d\.\d\d summed in full, €\d\.\d\d by its factor/,
  )
  ask(/a week/, '40')
  expect(screen.getByText(/In a year making costs/).textContent).toMatch(/€[\d,.]+ more, and takes \d+ hours/)
  ask(/claims/, '99')
  expect(screen.getByText(/No weight here supports 99.0/)).toBeTruthy()
  ask(/claims/, String(appraise(document).weights.portionYield * 100))
  expect(screen.getByText(/is the portion yield/)).toBeTruthy()
})
