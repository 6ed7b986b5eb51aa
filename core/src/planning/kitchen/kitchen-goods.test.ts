import { wholeForm } from '../../../test/forms.ts'
import { goodsOf, kitchen } from '../../../test/plan-kitchen.ts'
import { kitchenGoods } from './index.ts'
import { pooledSpread, spreadToPlan } from './spread.ts'

describe('what a kitchen knows, ready to plan with', () => {
  const goods = goodsOf()

  test('packs are the smallest that can be ordered, at the price book’s price', () => {
    expect(goods.wholes).toMatchObject([
      { id: 'whole-article', pack: 1, price: { value: 6, source: 'price-book' }, cold: { value: 2 } },
      { id: 'crate', pack: 6, price: { value: 33 } },
    ])
    expect(goods.ready).toMatchObject([{ name: 'Supremes, 20 x 280 g', productId: 'supremes', price: { value: 76 } }])
  })

  test('a unit gives portions of what is wanted and kilos of what comes beside it', () => {
    const [cut] = goods.cuts
    expect(cut?.yields.map(({ productId, quantity }) => [productId, quantity.value])).toEqual([
      ['supremes', 2],
      ['p2', 0.25],
      ['p3', 1.2],
      ['p4', 0.04],
    ])
    expect(cut?.yields[0]).toMatchObject({ tests: 5, spread: 'own', df: null })
    // Spread of the share over its mean, times what a unit gives.
    expect(cut?.yields[0]?.sd).toBeCloseTo((Math.sqrt(0.0002 / 4) / 0.25) * 2, 12)
  })

  test('what comes beside is worth what the kitchen says, and the bin is of no use', () => {
    const of = (id: string) => goods.products.find((product) => product.id === id)
    expect(of('p2')).toMatchObject({ unit: 'kg', surplusValue: { value: 4, source: 'own' }, isWaste: false })
    expect(of('p3')).toMatchObject({ surplusValue: { value: 0, source: 'assumed' } })
    expect(of('p4')).toMatchObject({ isWaste: true })
    // Made today it is good today and tomorrow.
    expect(of('supremes')).toMatchObject({ unit: 'portion', keepsDays: { value: 2 }, cold: { value: 0.25 } })
  })

  test('what the kitchen uses in a week is what its busiest week gave and used, each pile once', () => {
    const used = (mostPerWeek: number | null) => {
      const goods = goodsOf({ ways: kitchen().ways.map((way) => ({ ...way, mostPerWeek })) })
      return ['p2', 'p3', 'p4', 'supremes'].map(
        (id) => goods.products.find((product) => product.id === id)?.usedPerWeek?.value,
      )
    }
    // 40 kg of chicken: 12.5 % drumsticks, 60 % bones, and a bin that is of no use.
    expect(used(40_000)).toEqual([5, 24, 0, undefined])
    expect(used(null)).toEqual([undefined, undefined, undefined, undefined])
  })

  test('only suppliers who sell some of it are asked; goods of one name say whose they are', () => {
    expect(goods.suppliers.map(({ id }) => id)).toEqual(['ostravale', 'plattenkar'])
    const [one] = kitchen().ways
    if (!one) throw new Error('a way')
    const form = wholeForm({ articleId: 'theirs', id: 'theirs x', supplierId: 'plattenkar', quote: one.form.quote })
    const twice = kitchenGoods({ ...kitchen(), ways: [one, { ...one, form }] })
    expect(twice.wholes.map(({ name }) => name)).toEqual([
      'Chicken (Ostravale Poultry Yard)',
      'Chicken (Plattenkar Provisions)',
    ])
    expect(new Set(twice.cuts.map(({ name }) => name)).size).toBe(2)
  })

  test('a style that gives nothing that is asked for is not cut, and a price without a size not bought', () => {
    const none = goodsOf({ wanted: [{ id: 'thighs', name: 'Chicken: thighs', plateWeight: 200 }] })
    expect([none.cuts, none.wholes, none.ready]).toEqual([[], [], []])
    // It can be asked for all the same: then it is short.
    expect(none.products.map(({ id }) => id)).toEqual(['thighs'])
  })

  test('a lot is cut as the article it came as, else as its supplier’s', () => {
    const lot = {
      lotId: 'l',
      code: 'A',
      itemId: 'chicken',
      supplierId: 'ostravale',
      units: 4,
      held: 0,
      useBy: '2026-12-04',
    }
    const stock = (articleId: string | null, units = 4) =>
      goodsOf({ lots: [{ ...lot, articleId, units }] }).stock.map(({ wholeId }) => wholeId)
    expect([stock('crate'), stock(null), stock(null, 0)]).toEqual([['crate'], ['whole-article'], []])
  })
})

describe('the spread to plan with', () => {
  test('is pooled by degrees of freedom as parts of the means', () => {
    const pooled = pooledSpread([[9, 11], [95, 100, 105], [7]])
    expect(pooled?.df).toBe(3)
    expect(pooled?.sd).toBeCloseTo(Math.sqrt((2 / 100 + 2 * 0.0025) / 3), 12)
    expect(pooledSpread([[1], []])).toBeNull()
  })

  test('is the style’s own from five records on; before that the less is known the wider it is', () => {
    const pooled = { sd: 0.1, df: 7 }
    expect(spreadToPlan([1, 1.1, 0.9, 1, 1], pooled)).toMatchObject({ spread: 'own', tests: 5, df: null })
    expect(spreadToPlan([1, 1.1], pooled)).toEqual({ relativeSd: 0.1, df: 7, tests: 4, spread: 'pooled' })
    expect(spreadToPlan([], null)).toEqual({ relativeSd: 0, df: null, tests: 2, spread: 'none' })
  })
})
