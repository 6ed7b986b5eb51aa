import type { Plan, StylesWork } from '@fleam/core/plans'
import { type PlannedJob, USUAL_WORK, usualStyleWork } from '@fleam/core/scheduling'
import { fireEvent, screen } from '@testing-library/react'
import { answered, LARCH_HALT, renderPart } from '../../../../test/render.tsx'
import { answerWith } from '../../../../test/server.ts'
import { LateDeliveries } from './late-deliveries.tsx'
import { StyleWorks } from './style-works.tsx'
import { WhoIsOn } from './who-is-on.tsx'

const job = {
  ...{ id: 'j', styleId: 's', name: 'Turkey: parts', unitGrams: 9000 },
  work: usualStyleWork({ isBonded: false, hasBones: true }, USUAL_WORK),
} as PlannedJob

test('what a style takes beside the board is said once, and kept with it', async () => {
  localStorage.setItem('fleam.open-parts.schedule', 's')
  const works: StylesWork = [{ styleId: 's', work: null, minutesBy: [] }]
  const path = `PUT /api/kitchens/${LARCH_HALT.id}/styles/s/work`
  const sent = answerWith({ [path]: { body: job.work } })
  renderPart(<StyleWorks jobs={[job, { ...job, id: 'k' }]} works={works} planId="p" />)
  expect(screen.getAllByRole('button', { expanded: true })).toHaveLength(1)
  expect(screen.getByText('Assumed: nobody has said more of this style.')).toBeTruthy()
  fireEvent.click(screen.getByLabelText(/^Comes frozen: thaws 108 hours/))
  fireEvent.change(screen.getByLabelText('Cooks in a line, one part of the steps each'), { target: { value: '5' } })
  await answered()
  expect(sent.map(({ body }) => body)).toEqual([
    { ...job.work, isFrozen: true },
    { ...job.work, line: 5 },
  ])
})

test('what can make somebody ill is said where it is typed', () => {
  localStorage.setItem('fleam.open-parts.schedule', 's')
  const shown = (work: Partial<PlannedJob['work']>) => {
    const { unmount } = renderPart(
      <StyleWorks jobs={[{ ...job, work: { ...job.work, ...work } }]} works={[]} planId="p" />,
    )
    const said = screen.queryAllByRole('alert').map(({ textContent }) => textContent?.split(':')[0])
    unmount()
    return said
  }
  expect(shown({ temperHours: 1.5 })).toEqual([])
  expect(shown({ temperHours: 2 })).toEqual(['More than two hours out of the cold in all, with the board'])
  expect(shown({ confitHours: 3 })).toEqual(['Out of hot fat it has to be cooled before it is packed'])
  expect(shown({ confitHours: 3, chillHours: 2 })).toEqual([])
})

const accepted = {
  expected: [
    { id: 'line', name: 'Turkey', packs: 20, day: '2026-12-03', arrived: null, lots: [] },
    { id: 'came', name: 'Char', packs: 5, day: '2026-12-03', arrived: null, lots: [{}] },
  ],
  planned: [{ expectedLineId: 'line' }, { expectedLineId: 'came' }],
} as unknown as NonNullable<Plan['accepted']>

test('a delivery that comes late is said by its day and hour; what has come is not asked about', () => {
  const said: unknown[] = []
  renderPart(
    <LateDeliveries accepted={accepted} from="2026-12-02" days={4} late={[]} onChange={(late) => said.push(late)} />,
  )
  expect(screen.getAllByRole('listitem')).toHaveLength(1)
  fireEvent.change(screen.getByLabelText('Hour it comes'), { target: { value: '14' } })
  expect(said).toEqual([[{ expectedLineId: 'line', comes: 1440 + 14 * 60 }]])
})

test('a day of the plan is said otherwise than the week, and taken back', () => {
  const cooks = [
    { id: 'm', name: 'Marit', wagePerHour: 20, skills: null, week: [{ day: 3, from: 480, until: 720 }] },
    { id: 'b', name: 'Bruno', wagePerHour: 20, skills: null, week: null },
  ]
  const said: unknown[] = []
  const own = [{ cookId: 'b', day: 0, shifts: [[600, 660]] as [number, number][] }]
  renderPart(
    <WhoIsOn
      {...{ cooks, from: '2026-12-02', days: 1, settings: USUAL_WORK, exceptions: own }}
      onChange={(days) => said.push(days)}
    />,
  )
  fireEvent.keyDown(screen.getByRole('button', { name: /^Marit, .*: 8:00 to 12:00/ }), { key: 'Delete' })
  fireEvent.click(screen.getByRole('button', { name: 'As in the usual week' }))
  expect(screen.getByRole('button', { name: /^Bruno, .*: 10:00 to 11:00/ })).toBeTruthy()
  expect(said).toEqual([[...own, { cookId: 'm', day: 0, shifts: [] }], []])
})
