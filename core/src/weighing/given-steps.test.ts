import { mark } from '../../test/facts.ts'
import { givenSteps, nextStepFor } from './given-steps.ts'

const steps = ['dry', 'legs', 'breasts', 'bones']

test('a step is whose it was said to be last, and anybody’s again when that is said', () => {
  const given = givenSteps([
    mark('1', 'step-given', 1, { step: 'legs', cookId: 'marit' }),
    mark('2', 'step-given', 2, { step: 'breasts', cookId: 'marit' }),
    mark('3', 'step-given', 3, { step: 'breasts', cookId: 'bruno' }),
    mark('4', 'step-given', 4, { step: 'legs' }),
    mark('5', 'step-done', 5, { step: 'dry', cookId: 'bruno' }),
  ])
  expect([...given]).toEqual([['breasts', 'bruno']])
})

test('each cook is led through their own steps and through nobody’s', () => {
  const given = new Map([
    ['legs', 'marit'],
    ['breasts', 'bruno'],
  ])
  const next = (from: number, cookId: string | null) => nextStepFor({ steps, from, given, cookId })
  expect([next(0, 'marit'), next(0, 'bruno'), next(0, null)]).toEqual([1, 2, 1])
  expect([next(1, 'marit'), next(2, 'bruno'), next(1, null)]).toEqual([3, 3, 2])
  expect(next(3, 'marit')).toBeNull()
})
