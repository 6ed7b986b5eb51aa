import { yearly } from './yearly.ts'

test('a year is fifty-two weeks of saving and of labour', () => {
  expect(yearly(1.12, 40, 3)).toEqual({ saving: 1.12 * 40 * 52, labourHours: 104 })
})
