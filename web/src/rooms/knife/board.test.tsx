import { judgeCuts, type PortionRequest, shapeOf } from '@fleam/core/portioning'
import { fireEvent, screen } from '@testing-library/react'
import { useState } from 'react'
import { LARCH_HALT, renderPart } from '../../../test/render.tsx'
import { shapeById } from '../../parts/measured-piece.ts'
import { Board } from './board.tsx'
import { freshDraft } from './draft.ts'
import { OneToOne } from './one-to-one.tsx'
import OutlineTracer from './outline-tracer.tsx'

beforeAll(() => {
  Object.assign(globalThis, {
    ResizeObserver: class {
      observe() {}
      disconnect() {}
    },
  })
  // jsdom lays nothing out and captures no pointers.
  Object.assign(Element.prototype, { setPointerCapture() {} })
  Element.prototype.getBoundingClientRect = () => ({ left: 0, top: 0, width: 900, height: 420 }) as DOMRect
})

const request: PortionRequest = {
  piece: {
    weight: 1000,
    length: 292,
    profile: [
      { at: 0, girth: 240 },
      { at: 292, girth: 180 },
    ],
  },
  products: [{ name: 'steak', target: 200, low: 180, high: 220, value: 10 }],
  scrap: { valuePerKg: 8 },
  step: 1,
}

let lines: number[] = []
let held: boolean[] = []
function Laid({ first }: { first: number[] }) {
  const [now, setNow] = useState(first)
  lines = now
  return (
    <Board
      request={request}
      judged={judgeCuts(request, now)}
      lines={now}
      onLines={(next, isHeld) => {
        held.push(isHeld)
        setNow([...next])
      }}
    />
  )
}
const line = (at = 0) => screen.getAllByRole('slider')[at] as HTMLElement
const drag = (element: Element, x: number) => {
  fireEvent.pointerDown(element, { pointerId: 1, clientX: 0 })
  fireEvent(element, Object.assign(new Event('pointermove', { bubbles: true }), { clientX: x, clientY: 100 }))
  fireEvent.pointerUp(element, { pointerId: 1 })
}

describe('the board', () => {
  test('a dragged line snaps to whole steps, and moves only while it is held', () => {
    renderPart(<Laid first={[50, 120]} />)
    // 1200 pixels wide less a margin of 16 on either side: 4 pixels a millimetre.
    drag(line(), 16 + 83.4 * 4)
    expect(lines[0]).toBe(83)
    fireEvent(line(), Object.assign(new Event('pointermove', { bubbles: true }), { clientX: 700 }))
    expect(lines[0]).toBe(83)
  })

  test('a line is held until it is let go; a key lets it go at once', () => {
    renderPart(<Laid first={[50, 120]} />)
    held = []
    drag(line(), 16 + 83 * 4)
    expect(held).toEqual([true, false])
    expect(lines[0]).toBe(83)
    fireEvent.keyDown(line(), { key: 'ArrowRight' })
    expect(held).toEqual([true, false, true, false])
    expect(lines[0]).toBe(84)
  })

  test('each line says which face it makes', () => {
    renderPart(<Laid first={[50]} />)
    const face = Math.round(shapeOf(request.piece).faceAt(50))
    expect(line().getAttribute('aria-valuetext')).toBe(`50\u00a0mm, face ${face}`)
    expect(screen.getByText(`50 mm, face ${face}`)).toBeTruthy()
  })

  test('no line leaves the piece', () => {
    renderPart(<Laid first={[50]} />)
    drag(line(), -500)
    expect(lines).toEqual([1])
    drag(line(), 5000)
    expect(lines).toEqual([291])
  })

  test('keys move it by a step or by ten, and Delete or a double touch takes it away', () => {
    renderPart(<Laid first={[50, 120, 200]} />)
    fireEvent.keyDown(line(), { key: 'ArrowRight' })
    fireEvent.keyDown(line(), { key: 'PageUp' })
    fireEvent.keyDown(line(), { key: 'ArrowLeft' })
    expect(lines[0]).toBe(60)
    fireEvent.keyDown(line(), { key: 'Delete' })
    fireEvent.doubleClick(line())
    expect(lines).toEqual([200])
  })

  test('each part says what it weighs and how thick it is, scrap apart from portions', () => {
    const { container } = renderPart(<Laid first={[60, 130]} />)
    const [first] = judgeCuts(request, [60, 130]).parts
    expect(container.textContent).toContain(`${Math.round(first?.weight ?? 0)}\u00a0g`)
    expect(container.querySelectorAll('path.portion, path.scrap')).toHaveLength(3)
    expect(container.querySelectorAll('.ruler g')).toHaveLength(30)
  })

  test('a slanted knife draws slanted lines, each part between two of them; the ends stay as they are', () => {
    const slanted = { ...request, piece: { ...request.piece, biasAngle: 45 } }
    const judged = judgeCuts(slanted, [60, 130])
    const { container } = renderPart(<Board request={slanted} judged={judged} lines={[60, 130]} onLines={() => {}} />)
    const [first] = [...container.querySelectorAll('.knife-line line')].map((one) =>
      ['x1', 'y1', 'x2', 'y2'].map((name) => Number(one.getAttribute(name))),
    ) as [number[]]
    const [x1, y1, x2, y2] = first as [number, number, number, number]
    expect(x1 - x2).toBeCloseTo(y2 - y1, 6)
    expect((x1 + x2) / 2).toBeCloseTo(16 + 60 * 4, 6)
    const corners = [...container.querySelectorAll('path.portion, path.scrap')].map((path) => path.getAttribute('d'))
    expect(corners[0]).toContain(`L${x1},${y1}L${x2},${y2}L16,`)
    expect(corners[1]).toMatch(new RegExp(`^M${x1},${y1}L`))
  })

  test('while a plan is worked out nothing is said of scrap', () => {
    const { container } = renderPart(<Board request={request} judged={null} lines={[]} onLines={() => {}} />)
    expect(container.querySelectorAll('path.portion, path.scrap')).toHaveLength(0)
    expect(container.querySelector('.outline')).toBeTruthy()
  })

  test('lines that only lie there are no sliders', () => {
    renderPart(<Board request={request} judged={judgeCuts(request, [60])} lines={[60]} onLines={null} />)
    expect(screen.queryByRole('slider')).toBeNull()
  })
})

test('on paper the edge is one to one, in strips that fit a sheet', () => {
  const { container } = renderPart(<OneToOne request={request} lines={[60, 270]} />)
  const strips = [...container.querySelectorAll('svg')].slice(1)
  expect(strips.map((strip) => strip.getAttribute('width'))).toEqual(['250mm', '42mm'])
  expect(strips[0]?.getAttribute('viewBox')).toBe('0 0 250 46')
  expect(strips.map((strip) => strip.querySelectorAll('.cut').length)).toEqual([1, 1])
})

describe('the traced photograph', () => {
  const draft = freshDraft(shapeById('tenderloin'))
  const handle = (name: string) =>
    [...document.querySelectorAll('.trace-handle')].find((element) => element.textContent === name) as Element

  test('reads length and widths by the ruler in it', () => {
    const read: object[] = []
    renderPart(<OutlineTracer draft={draft} measure={(changes) => read.push(changes)} />)
    // The ruler's marks lie 360 pixels apart and stand for 200 mm.
    drag(handle('Right end'), 800)
    expect(read.at(-1)).toMatchObject({ length: Math.round((800 - 0.08 * 900) * (200 / 360)) })
    fireEvent.change(screen.getByLabelText(/Between the two ruler marks/), { target: { value: '400' } })
    expect(read.at(-1)).toMatchObject({ length: Math.round((800 - 0.08 * 900) * (400 / 360)) })
  })

  test('a moved edge makes it wider there and nowhere else', () => {
    const read: { outline: { width: number }[] }[] = []
    renderPart(<OutlineTracer draft={draft} measure={(changes) => read.push(changes as never)} />)
    drag(handle('top edge, place 3'), 300)
    const widths = read.at(-1)?.outline.map((point) => point.width) ?? []
    // From 100 to 273 pixels down, at 200 ÷ 360 mm a pixel.
    expect(widths[2]).toBe(Math.round((0.65 * 420 - 100) * (200 / 360)))
    expect(new Set([widths[0], widths[1], widths[3], widths[4], widths[5]]).size).toBe(1)
  })

  test('a mark is moved with the arrow keys too', () => {
    const read: { length: number }[] = []
    renderPart(<OutlineTracer draft={draft} measure={(changes) => read.push(changes as never)} />)
    const end = screen.getByRole('slider', { name: 'Right end' })
    fireEvent.keyDown(end, { key: 'ArrowLeft' })
    fireEvent.keyDown(end, { key: 'Enter' })
    expect(read).toHaveLength(1)
    expect(read[0]?.length).toBe(Math.round((0.915 - 0.08) * 900 * (200 / 360)))
  })

  test('a file that is no picture is refused in words', async () => {
    renderPart(<OutlineTracer draft={draft} measure={() => {}} />)
    Object.assign(URL, { createObjectURL: () => 'blob:none', revokeObjectURL() {} })
    HTMLImageElement.prototype.decode = () => Promise.reject(new Error('no picture'))
    const file = new File(['words'], 'words.txt', { type: 'text/plain' })
    fireEvent.change(screen.getByLabelText(/Photograph from above/), { target: { files: [file] } })
    expect(await screen.findByText(/cannot be shown as a picture/)).toBeTruthy()
  })
})

test('where pounds are weighed the board, its ruler and its print are in inches', () => {
  const kitchen = { ...LARCH_HALT, units: 'imperial' as const }
  const { container } = renderPart(
    <>
      <Board request={request} judged={judgeCuts(request, [60])} lines={[63.5]} onLines={() => {}} />
      <OneToOne request={request} lines={[63.5]} />
    </>,
    { kitchen },
  )
  expect(screen.getByRole('slider').getAttribute('aria-valuetext')).toMatch(/^2 1\/2.in, face/)
  const numbers = [...container.querySelectorAll('.knife-board .ruler text')].map((element) => element.textContent)
  expect(numbers).toEqual(Array.from({ length: 12 }, (_, inch) => String(inch)))
  expect(container.querySelector('.one-to-one')?.textContent).toMatch(/the bar below is 4.in long/)
})
