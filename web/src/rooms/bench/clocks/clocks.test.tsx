import type { Mark, MarkKind } from '@fleam/core/facts'
import { fireEvent, screen, within } from '@testing-library/react'
import { mark as madeMark } from '../../../../../core/test/facts.ts'
import { benchWith } from '../../../../test/bench.ts'
import { LARCH_HALT, renderPart, touch } from '../../../../test/render.tsx'
import { answerWith } from '../../../../test/server.ts'
import { Clocks } from './clocks.tsx'

describe('the clocks', () => {
  const mark = (kind: MarkKind, minute: number, cookId: string) =>
    madeMark(`${kind} ${minute}`, kind, minute, {
      cookId,
      takenAt: `2026-11-24T08:${String(minute).padStart(2, '0')}:00.000Z`,
    })

  test('say how long it has been on the board, and turn amber before the limit', async () => {
    const { bench, document, done } = benchWith()
    renderPart(<Clocks bench={bench} />, { document })
    const cold = screen.getByRole('timer')
    expect(cold.textContent).toContain('Out of the fridge 26 min')
    expect(cold.className).toContain('amber')
    await touch(screen.getByRole('button', { name: /Back in/ }))
    expect(done).toEqual(['mark cold-in'])
  })

  test('who works here is one touch, and the clock beside the names is theirs', async () => {
    const changed: unknown[] = []
    const settings = {
      takesItself: false,
      sound: false,
      voice: false,
      cookId: 'ondine',
      change: (next: unknown) => void changed.push(next),
    }
    const { bench, document, done } = benchWith({ marks: [mark('labour-start', 6, 'marit')], changes: { settings } })
    renderPart(<Clocks bench={bench} />, { document })
    const names = screen.getByRole('group', { name: 'Who works here' })
    expect(within(names).getByRole('button', { name: /Marit/ }).textContent).toContain('20 min')
    expect(within(names).getByRole('button', { pressed: true }).textContent).toBe('Ondine')
    await touch(within(names).getByRole('button', { name: /Marit/ }))
    expect(changed).toEqual([{ cookId: 'marit' }])
    await touch(screen.getByRole('button', { name: /start the clock/ }))
    expect(done).toEqual(['mark labour-start ondine'])
  })

  test('of a clock that runs pauses', async () => {
    const { bench, document, done } = benchWith({ marks: [mark('labour-start', 6, 'ondine')] })
    renderPart(<Clocks bench={bench} />, { document })
    await touch(screen.getByRole('button', { name: /pause the clock/ }))
    expect(done).toEqual(['mark labour-pause ondine'])
  })
})

describe('a batch in loads', () => {
  const twelve = (marks: Mark[] = []) => {
    const { bench, document, done } = benchWith({ marks })
    const record = { ...bench.live.record, units: 12, labour: [{ task: 'cut', minutes: 132, ratePerHour: 20 }] }
    return { bench: { ...bench, live: { ...bench.live, record } }, document, done }
  }
  const cold = (kind: MarkKind, minute: number, load: number, units: number | null = null) =>
    madeMark(`${kind} ${load}`, kind, minute, {
      load,
      units,
      takenAt: `2026-11-24T08:${String(minute).padStart(2, '0')}:00.000Z`,
    })

  test('says which load is out, and one touch puts it back or takes the next one out', async () => {
    const { bench, document, done } = twelve()
    renderPart(<Clocks bench={bench} />, { document })
    expect(screen.getByRole('timer').textContent).toMatch(/^Load 1 \(2(, .+)?\): out 26 min$/)
    await touch(screen.getByRole('button', { name: /Load 1/ }))
    await touch(screen.getByRole('button', { name: /Take out 2/ }))
    expect(done).toEqual(['mark cold-in', 'mark cold-out ondine'])
  })

  const threeClocks = ['marit', 'ondine', 'bruno'].map((cook, index) =>
    madeMark(cook, 'labour-start', index + 1, { cookId: cook, takenAt: '2026-11-24T08:00:00.000Z' }),
  )

  test('each of several cooks takes out a load of their own', () => {
    const { bench, document } = twelve([...threeClocks, cold('cold-in', 9, 1)])
    renderPart(<Clocks bench={bench} />, { document })
    expect(screen.getByRole('button', { name: /Take out 2/ }).textContent).toMatch(/load 2, .+; 10 wait/)
    expect(screen.queryByRole('timer')).toBeNull()
  })

  test('a line takes out as many as all of it cut within the limit', () => {
    const given = ['marit', 'ondine', 'bruno'].map((cookId, index) =>
      madeMark(`given ${cookId}`, 'step-given', 10 + index, { step: `step ${index}`, cookId }),
    )
    const { bench, document } = twelve([...given, cold('cold-in', 9, 1)])
    renderPart(<Clocks bench={bench} />, { document })
    expect(screen.getByRole('button', { name: /Take out 5/ })).toBeTruthy()
    expect(screen.getByRole('button', { name: /Who does what/ }).textContent).toContain('a line of 3')
  })

  test('who took a load out stands beside it', () => {
    const out = { ...cold('cold-out', 18, 2, 4), cookId: 'marit' }
    const { bench, document } = twelve([cold('cold-in', 16, 1), out])
    renderPart(<Clocks bench={bench} />, { document })
    expect(screen.getByRole('timer').textContent).toMatch(/^Load 2 \(4, Marit\): out/)
  })

  test('who does what is proposed for those who are at it, and one touch keeps it', async () => {
    const cooks = ['Bruno', 'Marit', 'Ondine'].map((name) => ({ id: name.toLowerCase(), name, wagePerHour: 20 }))
    answerWith({ [`GET /api/kitchens/${LARCH_HALT.id}/cooks`]: { body: cooks } })
    const { bench, document, done } = twelve(threeClocks)
    const steps = ['dry', 'legs', 'breasts', 'bones'].map((id) => ({
      ...(bench.live.record.steps[0] as object),
      id,
      title: id,
    }))
    const record = { ...bench.live.record, steps: steps as typeof bench.live.record.steps }
    renderPart(<Clocks bench={{ ...bench, live: { ...bench.live, record } }} />, { document })
    await touch(screen.getByRole('button', { name: /Who does what/ }))
    const dialog = await screen.findByRole('dialog')
    await screen.findByRole('button', { name: 'Work as a line' })
    expect(dialog.textContent).toMatch(/Each their own birds.*4.*4.*4/)
    expect(dialog.textContent).toMatch(/dry to legs \(2 steps\)/)
    await touch(screen.getByRole('button', { name: 'Work as a line' }))
    expect(done).toEqual(
      Array(4)
        .fill('mark step-given')
        .map((words) => expect.stringContaining(words)),
    )
  })

  test('every load is listed with its minutes, and its number can be put right', async () => {
    const { bench, document, done } = twelve([cold('cold-in', 16, 1), cold('cold-out', 18, 2, 4)])
    renderPart(<Clocks bench={bench} />, { document })
    await touch(screen.getByRole('button', { name: /^Loads/ }))
    const dialog = await screen.findByRole('dialog')
    expect(dialog.textContent).toMatch(/12 in all, about 132.min of one cook/)
    expect(within(dialog).getAllByRole('row')[1]?.textContent).toMatch(/^12in the fridge16.min/)
    fireEvent.change(within(dialog).getByLabelText('Units of load 2'), { target: { value: '5' } })
    expect(done).toEqual(['mark cold-out'])
    fireEvent.change(within(dialog).getByLabelText('Units of load 2'), { target: { value: '40' } })
    expect(within(dialog).getByText('At most 10.')).toBeTruthy()
    expect(done).toHaveLength(1)
  })
})
