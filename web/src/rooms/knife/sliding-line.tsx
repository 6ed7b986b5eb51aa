import { type KeyboardEvent, type PointerEvent, useRef } from 'react'
import { useFormat } from '../../parts/use-format.ts'
import css from './board.module.css'

/** From where to where a slanted line goes, px, and by how much it leans at either end. */
export interface SlantedReach {
  top: number
  bottom: number
  lean: number
}

interface SlidingLineProps {
  name: string
  /** What it looks like: a knife's cut, or a tape around the piece. */
  kind: 'knife-line' | 'tape-line'
  /** Where it lies, and how long the piece is, mm. */
  at: number
  length: number
  step: number
  left: number
  top: number
  bottom: number
  /** Where it goes if it leans; its handle lies where it crosses the middle, which is its place. */
  slanted?: SlantedReach | undefined
  /** What is said beside it while it is held, besides its place: the face that it makes. */
  words?: string
  /** The place on the piece, in mm, under a place on the screen. */
  placeOf: (clientX: number, svgLeft: number) => number
  onMove: (at: number) => void
  /** It was let go, or a key moved it: where it lies now is where it stays. */
  onSettle?: () => void
  onRemove: () => void
}

/** Wide enough for a wet finger. */
const GRIP = 28
/** How far the place of a slanted line is marked to both sides of the ruler's edge, px. */
const TICK = 5

/** A line across the piece: dragged, or moved by the arrow keys; Delete or a double touch takes it away. */
export function SlidingLine(props: SlidingLineProps) {
  const { name, kind, at, length, step, left, top, bottom, slanted, words, placeOf, onMove, onSettle, onRemove } = props
  const format = useFormat()
  const isDragged = useRef(false)
  // Asked for once: asked for at each move, the whole page would be laid out for it.
  const svgLeft = useRef(0)
  const drag = (event: PointerEvent<SVGGElement>) => {
    if (!isDragged.current) return
    onMove(placeOf(event.clientX, svgLeft.current))
  }
  const press = (event: KeyboardEvent) => {
    const by = { ArrowLeft: -step, ArrowRight: step, PageDown: -10 * step, PageUp: 10 * step }[event.key]
    if (by !== undefined) {
      event.preventDefault()
      onMove(at + by)
      onSettle?.()
    }
    if (event.key === 'Delete' || event.key === 'Backspace') onRemove()
  }
  const stop = () => {
    if (isDragged.current) onSettle?.()
    isDragged.current = false
  }
  return (
    <g
      className={css[kind]}
      role="slider"
      tabIndex={0}
      aria-label={name}
      aria-valuemin={0}
      aria-valuemax={Math.round(length)}
      aria-valuenow={Math.round(at)}
      aria-valuetext={`${format.length(at)}${words ? `, ${words}` : ''}`}
      onPointerDown={(event) => {
        isDragged.current = true
        svgLeft.current = (event.currentTarget.ownerSVGElement as SVGSVGElement).getBoundingClientRect().left
        event.currentTarget.setPointerCapture(event.pointerId)
      }}
      onPointerMove={drag}
      onPointerUp={stop}
      onPointerCancel={stop}
      onDoubleClick={onRemove}
      onKeyDown={press}
    >
      <rect x={left - GRIP / 2} y={top} width={GRIP} height={bottom - top} className={css.grip} />
      {slanted ? (
        <>
          <line x1={left + slanted.lean} x2={left - slanted.lean} y1={slanted.top} y2={slanted.bottom} />
          <line x1={left} x2={left} y1={bottom - TICK} y2={bottom + TICK} />
        </>
      ) : (
        <line x1={left} x2={left} y1={top} y2={bottom} />
      )}
      <circle cx={left} cy={slanted ? (slanted.top + slanted.bottom) / 2 : bottom} r={7} />
      {words ? (
        <text className={css.lineWords} x={left + 10} y={(top + bottom) / 2}>
          {format.length(at)}, {words}
        </text>
      ) : null}
    </g>
  )
}
