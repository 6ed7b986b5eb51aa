import { scenario } from './scenario.ts'

const NOON = new Date('2026-11-24T12:00:00Z')
const sum = (list: readonly { grams: number }[]) => list.reduce((total, item) => total + item.grams, 0)
const larch = () => scenario(NOON)[0] as ReturnType<typeof scenario>[number]

test('is identical every time', () => {
  expect(scenario(NOON)).toEqual(scenario(NOON))
})

test('keeps its ids whatever the day, so that a broken-off load goes on', () => {
  const ids = (now: Date) =>
    scenario(now).flatMap((kitchen) => [kitchen.id, ...kitchen.sessions.map((session) => session.id)])
  expect(ids(NOON)).toEqual(ids(new Date('2027-03-01T09:00:00Z')))
  expect(new Set(ids(NOON)).size).toBe(ids(NOON).length)
})

test('has sessions of four animals, one half done, one with a pile not weighed', () => {
  const { sessions } = larch()
  expect(sessions).toHaveLength(22)
  expect(sessions.filter((session) => !session.isClosed)).toHaveLength(1)
  const lost = sessions.filter((session) => session.isClosed && sum(session.weighings) < session.receivedWeight * 0.9)
  expect(lost.map((session) => session.script.event)).toEqual(['drumsticks-not-weighed'])
})

test('everything else balances', () => {
  for (const { sessions } of scenario(NOON)) {
    for (const session of sessions) {
      if (!session.isClosed || session.script.event === 'drumsticks-not-weighed') continue
      const missing = (session.receivedWeight - session.purge - sum(session.weighings)) / session.receivedWeight
      expect(missing).toBeGreaterThan(-0.005)
      expect(missing).toBeLessThan(0.03)
    }
  }
})

test('nothing happens later than now', () => {
  for (const session of larch().sessions) {
    for (const weighing of session.weighings) expect(weighing.takenAt <= NOON.toISOString()).toBe(true)
  }
})
