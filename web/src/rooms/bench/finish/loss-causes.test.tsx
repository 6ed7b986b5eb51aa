import { act, fireEvent, screen } from '@testing-library/react'
import type { ComponentProps } from 'react'
import { planned } from '../../../../../core/test/planned.ts'
import { renderPart, touch } from '../../../../test/render.tsx'
import { causeByDigit } from './cause-by-digit.ts'
import LossCauses, { type NamedCause } from './loss-causes.tsx'

const OUTCOMES = [
  { pile: planned('supremes'), grams: 3000, expected: 3400, side: 'less' as const },
  { pile: planned('bones', { class: 'by-product' }), grams: 4400, expected: 3900, side: 'more' as const },
]

function ask() {
  const finished: NamedCause[][] = []
  renderPart(
    <LossCauses
      outcomes={OUTCOMES}
      doubt={null}
      invoice={null}
      estimated={null}
      currency="EUR"
      species="poultry"
      isOpen
      isFinishing={false}
      onClose={() => {}}
      onFinish={({ causes }) => finished.push(causes)}
    />,
  )
  return finished
}
const finish = () => touch(screen.getByRole('button', { name: /[Ff]inish/ }))

test('nobody has to say why', async () => {
  const finished = ask()
  expect(screen.getByText('Less supremes than expected', { exact: false }).textContent).toContain('about 3,400')
  await finish()
  expect(finished).toEqual([[]])
})

test('one tap names a cause, another one changes it, the same again takes it back', async () => {
  const finished = ask()
  const cause = (name: string, at = 0) => screen.getAllByRole('button', { name: new RegExp(name) })[at] as HTMLElement
  await touch(cause('skin torn'))
  await touch(cause('portions too light'))
  await touch(cause('joint missed', 1))
  await touch(cause('joint missed', 1))
  await touch(cause('another cause', 1))
  await touch(cause('too warm'))
  await finish()
  expect(finished).toEqual([
    [
      { pileId: 'supremes', cause: 'too-light' },
      { pileId: 'bones', cause: 'too-warm' },
    ],
  ])
})

test('clocks that are far off what was expected are asked about in one line, and minutes can be said', async () => {
  const finished: unknown[] = []
  renderPart(
    <LossCauses
      outcomes={[]}
      invoice={null}
      estimated={null}
      doubt={{ timedMinutes: 1.5, expectedMinutes: 132 }}
      currency="EUR"
      species="poultry"
      isOpen
      isFinishing={false}
      onClose={() => {}}
      onFinish={({ answer }) => finished.push(answer)}
    />,
  )
  expect(screen.getByRole('group').textContent).toMatch(/clocks say 1\.5\smin, 132\smin were expected/)
  await touch(screen.getByRole('button', { name: /Use the expected/ }))
  await finish()
  await touch(screen.getByRole('button', { name: 'Say minutes …' }))
  fireEvent.change(screen.getByLabelText('Minutes of work in all'), { target: { value: '120' } })
  await touch(screen.getByRole('button', { name: 'Use these minutes' }))
  await finish()
  expect(finished).toEqual([{ source: 'expected' }, { source: 'typed', minutes: 120 }])
})

test('number keys answer for one pile after the other', async () => {
  const finished = ask()
  for (const key of ['1', '1', '1']) await act(async () => void fireEvent.keyDown(window, { key }))
  await finish()
  expect(finished).toEqual([
    [
      { pileId: 'supremes', cause: 'meat-on-bones' },
      { pileId: 'bones', cause: 'meat-on-bones' },
    ],
  ])
})

test('a digit beyond the likely causes names none', () => {
  expect(causeByDigit(9, OUTCOMES, [], null)).toBeNull()
  expect(causeByDigit(null, OUTCOMES, [], null)).toBeNull()
  expect(causeByDigit(2, OUTCOMES, [{ pileId: 'supremes' }], null)).toEqual({
    pileId: 'bones',
    cause: 'red-on-silverskin',
  })
})

/** The end of a batch whose piles came out otherwise, with a doubt about what came; what is answered is collected. */
function asked(about: Partial<Pick<ComponentProps<typeof LossCauses>, 'invoice' | 'estimated'>>): unknown[] {
  const finished: unknown[] = []
  renderPart(
    <LossCauses
      {...{ outcomes: OUTCOMES, doubt: null, invoice: null, estimated: null, ...about }}
      currency="EUR"
      species="poultry"
      isOpen
      isFinishing={false}
      onClose={() => {}}
      onFinish={(answers) => finished.push(answers)}
    />,
  )
  return finished
}

test('what was estimated is asked of the invoice, beside the piles, and its answer is kept', async () => {
  const finished = asked({ estimated: 12_600 })
  screen.getByText(/What came was estimated at 12\.60.kg\. What does the invoice say\?/)
  screen.getByText('Less supremes than expected', { exact: false })
  await touch(screen.getByRole('button', { name: 'It is right' }))
  await finish()
  fireEvent.change(screen.getByLabelText('The invoice says'), { target: { value: '12.52 kg' } })
  await finish()
  expect(finished).toMatchObject([{ invoiceWeight: 12_600 }, { invoiceWeight: 12_520 }])
})

test('while the weight on the invoice cannot be right, that is asked, and nothing about the piles', async () => {
  const finished = asked({
    invoice: { code: 'invoice-weight', readingId: null, pileId: null, grams: 12_400, against: 13 },
  })
  screen.getByText(/12\.40.kg came out of 13.g\. Is the weight on the invoice right\?/)
  expect(screen.queryByText(/supremes than expected/)).toBeNull()
  fireEvent.change(screen.getByLabelText('The invoice says'), { target: { value: '12.52 kg' } })
  await finish()
  expect(finished).toEqual([{ causes: [], answer: null, invoiceWeight: 12_520 }])
  await touch(screen.getByRole('button', { name: 'It is right' }))
  screen.getByText('Less supremes than expected', { exact: false })
})
