import { explainHowFarOff } from '@fleam/core/portioning'
import { fireEvent, screen } from '@testing-library/react'
import { renderPart, touch } from '../../test/render.tsx'
import { Explained } from './figure.tsx'
import { useFormat } from './use-format.ts'

const OneFigure = () => <Explained explanation={explainHowFarOff('template', [])} format={useFormat()} />

test('a formula opens by touch, and closes by Esc, by the figure itself and by a touch elsewhere', async () => {
  renderPart(
    <>
      <OneFigure />
      <p>elsewhere</p>
    </>,
  )
  const figure = screen.getByRole('button')
  const isOpen = () => screen.queryByText('How far off a portion may be') !== null
  await touch(figure)
  expect(isOpen()).toBe(true)
  fireEvent.keyUp(figure, { key: 'Escape', code: 'Escape', keyCode: 27 })
  expect(isOpen()).toBe(false)
  await touch(figure)
  await touch(figure)
  expect(isOpen()).toBe(false)
  await touch(figure)
  fireEvent.mouseDown(screen.getByText('elsewhere'))
  expect(isOpen()).toBe(false)
})
