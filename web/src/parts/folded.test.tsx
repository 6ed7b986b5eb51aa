import { screen } from '@testing-library/react'
import { renderPart, touch } from '../../test/render.tsx'
import { FoldedPart, JumpLinks, useOpenParts } from './folded.tsx'

const PARTS = [
  { id: 'one', title: 'Totals' },
  { id: 'two', title: 'Inputs' },
]

function Page({ drawn }: { drawn: string[] }) {
  const parts = useOpenParts('a-room')
  return (
    <>
      <JumpLinks first={[]} folded={PARTS} parts={parts} />
      {PARTS.map((part) => (
        <FoldedPart key={part.id} part={part} parts={parts}>
          <Inside id={part.id} drawn={drawn} />
        </FoldedPart>
      ))}
    </>
  )
}
function Inside({ id, drawn }: { id: string; drawn: string[] }) {
  drawn.push(id)
  return <p>{id} is open</p>
}
const title = (name: string) => screen.getAllByRole('button', { name }).at(-1) as HTMLElement

beforeEach(() => {
  localStorage.clear()
  Element.prototype.scrollIntoView = () => {}
})

test('a part is drawn only while it is open, and is remembered on the device', async () => {
  const drawn: string[] = []
  const { unmount } = renderPart(<Page drawn={drawn} />)
  expect(drawn).toEqual([])
  await touch(title('Inputs'))
  expect(screen.getByText('two is open')).toBeTruthy()
  expect(new Set(drawn)).toEqual(new Set(['two']))
  unmount()
  renderPart(<Page drawn={drawn} />)
  expect(screen.getByText('two is open')).toBeTruthy()
  await touch(title('Inputs'))
  expect(screen.queryByText('two is open')).toBeNull()
})

test('a jump link opens its part, and all can be opened and closed at once', async () => {
  renderPart(<Page drawn={[]} />)
  await touch(screen.getAllByRole('button', { name: 'Totals' })[0] as HTMLElement)
  expect(screen.getByText('one is open')).toBeTruthy()
  await touch(screen.getByRole('button', { name: 'Open all' }))
  expect(screen.getByText('two is open')).toBeTruthy()
  await touch(screen.getByRole('button', { name: 'Close all' }))
  expect(screen.queryByText('one is open')).toBeNull()
})
