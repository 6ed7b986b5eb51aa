import { wholeForm } from '../../test/forms.ts'
import { evaluate } from '../explanation/index.ts'
import type { CutStyle } from '../style/index.ts'
import { choiceForms } from './choice-forms.ts'
import { sideOf } from './side-by-side.ts'

const style = {
  name: 'Supremes',
  piles: [
    { id: 'p1', name: 'supremes' },
    { id: 'p2', name: 'bones' },
  ],
  options: [
    {
      id: 'wishbone',
      question: 'Wishbone',
      choices: [
        { id: 'out', name: 'Out first', why: '', minutes: 0.5, shares: { p1: 0.006, p2: -0.006 } },
        { id: 'in', name: 'Left in', why: '', minutes: 0, shares: {} },
      ],
    },
  ],
} as unknown as CutStyle

const request = { units: 6, wagePerHour: 20, currency: 'EUR', boneShareOf: () => 0 }
const costOf = (form: ReturnType<typeof choiceForms>[number]['form']) =>
  evaluate(sideOf(form, request, '')?.figures.costPerPlate?.expression as Parameters<typeof evaluate>[0])

test('the usual choice is the form as it is; another changes minutes and shares by the difference', () => {
  const [out, left] = choiceForms(wholeForm(), style)
  expect([out?.isUsual, left?.isUsual]).toEqual([true, false])
  expect(out?.form).toMatchObject({ minutesPerUnit: { value: 9 }, piles: wholeForm().piles })
  expect(left?.form.minutesPerUnit.value).toBe(8.5)
  expect(left?.form.piles[0]?.share.value).toBeCloseTo(0.244, 12)
  expect(left?.form.piles[2]?.share.value).toBeCloseTo(0.606, 12)
})

test('each choice stands in money: less meat costs a plate more than the half minute saves', () => {
  const [out, left] = choiceForms(wholeForm(), style)
  if (!out || !left) throw new Error('two choices')
  expect(costOf(left.form)).toBeGreaterThan(costOf(out.form))
})

test('a share never falls below nothing', () => {
  const none = {
    ...style,
    options: [
      {
        ...style.options[0],
        choices: [style.options[0]?.choices[1], { id: 'x', name: 'x', why: '', minutes: -99, shares: { p1: -1 } }],
      },
    ],
  }
  const [, odd] = choiceForms(wholeForm(), none as unknown as CutStyle)
  expect([odd?.form.piles[0]?.share.value, odd?.form.minutesPerUnit.value]).toEqual([0, 0])
})
