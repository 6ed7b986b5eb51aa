import { readEnvironment } from './environment.ts'

const whole = { FLEAM_DATABASE_URL: 'mysql://fleam:x@127.0.0.1:3306/fleam' }

test('all but the database has a default', () => {
  expect(readEnvironment(whole)).toEqual({
    ...whole,
    FLEAM_PORT: 4173,
    FLEAM_HOST: '127.0.0.1',
    FLEAM_NAMES: '',
    FLEAM_LOG: 'warn',
  })
})

for (const [name, value] of [
  ['FLEAM_DATABASE_URL', 'postgres://x'],
  ['FLEAM_PORT', '0'],
  ['FLEAM_PORT', 'http'],
  ['FLEAM_SCALE', 'bench scale'],
  ['FLEAM_SCALE', '10.0.0.9'],
  ['FLEAM_LOG', 'loud'],
] as const) {
  test(`refuses ${name}=${value} by its name`, () => {
    expect(() => readEnvironment({ ...whole, [name]: value })).toThrow(name)
  })
}

test('a scale is a host and a port, by name, by number, or in brackets', () => {
  for (const scale of ['bench-1:4001', '192.168.1.9:4001', '[::1]:4001']) {
    expect(readEnvironment({ ...whole, FLEAM_SCALE: scale }).FLEAM_SCALE).toBe(scale)
  }
})
