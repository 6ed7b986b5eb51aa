import fc from 'fast-check'
import { formPile, quote, readyForm, wholeForm } from '../../../test/forms.ts'
import { kitchen } from '../../../test/plan-kitchen.ts'
import { compareForms, LIGHT_PLATES } from '../../buying/index.ts'
import { evaluate } from '../../explanation/index.ts'
import { explainCutPortion, explainReadyPortion, kitchenGoods } from './index.ts'

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true })

test('a portion costs in a plan what a plate of it costs in the true cost, light or heavy, cut here or bought ready', () => {
  fc.assert(
    fc.property(
      fc.record({
        lightPlates: fc.constantFrom(...LIGHT_PLATES),
        plateWeight: number(150, 320),
        unitWeight: number(900, 3000),
        pieceWeight: number(120, 400),
        price: number(2, 30),
        readyPrice: number(1, 20),
        usableShare: number(0.6, 1),
      }),
      ({ lightPlates, plateWeight, unitWeight, pieceWeight, price, readyPrice, usableShare }) => {
        const whole = wholeForm({
          unitWeight,
          quote: quote(price, 'piece', { pieceWeight: unitWeight }),
          piles: [
            formPile('supremes', 0.25, { portions: { perUnit: 2, low: 200, high: 310 } }),
            formPile('drumsticks', 0.125, { class: 'by-product', valuePerKg: 4 }),
            formPile('bin', 0.02, { class: 'waste' }),
          ],
        })
        const ready = readyForm({ quote: quote(readyPrice, 'piece', { pieceWeight }), usableShare })
        const [way] = kitchen().ways
        if (!way) throw new Error('a way')
        const goods = kitchenGoods({
          ...kitchen(),
          lightPlates,
          wanted: [{ id: 'supremes', name: 'Supremes', plateWeight }],
          ways: [{ ...way, form: whole, piles: way.piles.filter(({ id }) => id !== 'p3') }],
          ready: [{ productId: 'supremes', form: ready }],
          cooks: [],
          wagePerHour: 20,
        })
        const request = {
          product: 'supremes',
          plates: 1000,
          plateWeight,
          lightPlates,
          wagePerHour: 20,
          currency: 'EUR',
        }
        const { ranked } = compareForms([whole, ready], request)
        const costOf = (kind: 'whole' | 'ready') => ranked.find(({ form }) => form.kind === kind)
        const cut = explainCutPortion('supremes', goods, { changes: [] })
        expect(cut?.perPortion).toBeCloseTo(costOf('whole')?.costPerPlate as number, 9)
        const bought = explainReadyPortion(ready.articleId, goods, { changes: [] })
        expect(bought && evaluate(bought.expression)).toBeCloseTo(costOf('ready')?.costPerPlate as number, 9)
        // And both say what lies on it.
        expect(goods.cuts[0]?.yields[0]?.carries).toBeCloseTo(costOf('whole')?.carries as number, 9)
        expect(goods.ready[0]?.carries).toBeCloseTo(costOf('ready')?.carries as number, 9)
      },
    ),
    { seed: 31, numRuns: 300 },
  )
})
