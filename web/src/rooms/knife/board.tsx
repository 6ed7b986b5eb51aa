import { type JudgedCuts, type JudgedPart, type PortionWish, shapeOf } from '@fleam/core'
import { type KeyboardEvent, type PointerEvent, useId, useMemo, useRef } from 'react'
import { useFormat } from '../../parts/use-format.ts'
import { useWidth } from '../../parts/use-width.ts'

interface BoardProps {
  wish: PortionWish
  judged: JudgedCuts
  lines: readonly number[]
  /** Null where the lines only lie there. */
  onLines: ((lines: number[]) => void) | null
}

const MARGIN = 16
const RULER = 40
const LABELS = 46
/** The outline is drawn by stations so far apart, mm. */
const FINE = 4
const PATTERNS = ['plain', 'lines', 'dots', 'cross'] as const

/** The piece to scale, seen from above, with knife lines that can be dragged and a ruler's edge below it. */
export function Board({ wish, judged, lines, onLines }: BoardProps) {
  const [ref, width] = useWidth<HTMLDivElement>(1200)
  const id = useId()
  const format = useFormat()
  const { piece, products, step = 1 } = wish
  const shape = useMemo(() => shapeOf(piece), [piece])
  const scale = (width - 2 * MARGIN) / piece.length
  const outline = useMemo(() => outlineOf(shape.faceAt, piece.length), [shape, piece.length])
  const thickest = Math.max(...outline.map(({ face }) => face))
  const half = Math.min(110, (thickest * scale) / 2)
  // A long thin piece is as tall as it is; a short thick one is made to fit, and its ruler with it.
  const across = half / (thickest / 2)
  const middle = LABELS + half
  const height = middle + half + RULER
  const x = (at: number) => MARGIN + at * scale
  const path = pathOf(outline, (at, side) => `${x(at)},${middle + side * across}`)
  const snap = (at: number) => Math.min(piece.length - step, Math.max(step, Math.round(at / step) * step))
  const move = (which: number, at: number) => {
    const moved = lines.map((line, each) => (each === which ? snap(at) : line))
    onLines?.(moved)
  }
  return (
    <div className="knife-board" ref={ref}>
      <svg width={width} height={height} viewBox={`0 0 ${width} ${height}`}>
        <title>The piece with its knife lines</title>
        <Patterns id={id} />
        <defs>
          <clipPath id={`${id}-outline`}>
            <path d={path} />
          </clipPath>
        </defs>
        <g clipPath={`url(#${id}-outline)`}>
          {judged.parts.map((part) => (
            <rect
              key={part.from}
              x={x(part.from)}
              y={LABELS}
              width={Math.max(0, (part.to - part.from) * scale)}
              height={2 * half}
              className={part.product === null ? 'scrap' : 'portion'}
              fill={
                part.product === null
                  ? `url(#${id}-scrap)`
                  : `url(#${id}-${PATTERNS[products.findIndex(({ name }) => name === part.product) % PATTERNS.length]})`
              }
            />
          ))}
        </g>
        <path d={path} className="outline" />
        {judged.parts.map((part) => (
          <PartLabel
            key={part.from}
            part={part}
            left={x(part.from)}
            right={x(part.to)}
            weight={format.weight(part.weight)}
          />
        ))}
        <Ruler length={piece.length} x={x} y={middle + half + 8} />
        {lines.map((line, which) => (
          <KnifeLine
            // biome-ignore lint/suspicious/noArrayIndexKey: a line that is dragged stays the same line
            key={which}
            at={line}
            length={piece.length}
            step={step}
            left={x(line)}
            top={LABELS - 12}
            bottom={middle + half + 8}
            placeOf={(clientX, svgLeft) => (clientX - svgLeft - MARGIN) / scale}
            onMove={onLines ? (at) => move(which, at) : null}
            onRemove={() => onLines?.(lines.filter((_, each) => each !== which))}
          />
        ))}
      </svg>
    </div>
  )
}

interface OutlinePlace {
  at: number
  face: number
}

function outlineOf(faceAt: (at: number) => number, length: number): OutlinePlace[] {
  const count = Math.max(2, Math.ceil(length / FINE))
  return Array.from({ length: count + 1 }, (_, step) => {
    const at = (length * step) / count
    return { at, face: faceAt(at) }
  })
}

function pathOf(outline: readonly OutlinePlace[], point: (at: number, side: number) => string): string {
  const top = outline.map(({ at, face }) => point(at, -face / 2))
  const bottom = [...outline].reverse().map(({ at, face }) => point(at, face / 2))
  return `M${[...top, ...bottom].join('L')}Z`
}

/** Products are told apart by pattern, scrap by its hatching: never by hue alone. */
const Patterns = ({ id }: { id: string }) => (
  <defs>
    <pattern id={`${id}-plain`} width="8" height="8" patternUnits="userSpaceOnUse">
      <rect width="8" height="8" className="board-ground" />
    </pattern>
    <pattern id={`${id}-lines`} width="7" height="7" patternUnits="userSpaceOnUse">
      <rect width="7" height="7" className="board-ground" />
      <rect width="7" height="2" className="board-mark" />
    </pattern>
    <pattern id={`${id}-dots`} width="9" height="9" patternUnits="userSpaceOnUse">
      <rect width="9" height="9" className="board-ground" />
      <circle cx="4.5" cy="4.5" r="1.8" className="board-mark" />
    </pattern>
    <pattern id={`${id}-cross`} width="9" height="9" patternUnits="userSpaceOnUse">
      <rect width="9" height="9" className="board-ground" />
      <path d="M0 0L9 9M9 0L0 9" className="board-line" />
    </pattern>
    <pattern id={`${id}-scrap`} width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
      <rect width="8" height="8" className="board-empty" />
      <rect width="3" height="8" className="board-mark" />
    </pattern>
  </defs>
)

interface PartLabelProps {
  part: JudgedPart
  left: number
  right: number
  weight: string
}

/** Room that a weight needs over its part. */
const LABEL_WIDTH = 44

function PartLabel({ part, left, right, weight }: PartLabelProps) {
  if (right - left < LABEL_WIDTH / 2) return null
  const middle = (left + right) / 2
  return (
    <g className={part.product === null ? 'part-label scrap' : 'part-label'} textAnchor="middle">
      {right - left >= LABEL_WIDTH ? (
        <text x={middle} y={16}>
          {weight}
        </text>
      ) : null}
      <text x={middle} y={32} className="thickness">
        {Math.round(part.thickness)}
      </text>
    </g>
  )
}

interface RulerProps {
  length: number
  x: (at: number) => number
  y: number
}

const TICK = 10
const LABELLED = 50

/** A ruler in millimetres from the end where the knife begins. */
function Ruler({ length, x, y }: RulerProps) {
  const ticks = Array.from({ length: Math.floor(length / TICK) + 1 }, (_, at) => at * TICK)
  return (
    <g className="ruler">
      <line x1={x(0)} x2={x(length)} y1={y} y2={y} />
      {ticks.map((at) => (
        <g key={at}>
          <line x1={x(at)} x2={x(at)} y1={y} y2={y + (at % LABELLED === 0 ? 9 : 5)} />
          {at % LABELLED === 0 ? (
            <text x={x(at)} y={y + 22} textAnchor="middle">
              {at}
            </text>
          ) : null}
        </g>
      ))}
    </g>
  )
}

interface KnifeLineProps {
  at: number
  length: number
  step: number
  left: number
  top: number
  bottom: number
  placeOf: (clientX: number, svgLeft: number) => number
  onMove: ((at: number) => void) | null
  onRemove: () => void
}

/** Wide enough for a wet finger. */
const GRIP = 28

/** One cut: dragged, or moved by the arrow keys; Delete takes it away. */
function KnifeLine({ at, length, step, left, top, bottom, placeOf, onMove, onRemove }: KnifeLineProps) {
  const isDragged = useRef(false)
  const drag = (event: PointerEvent<SVGGElement>) => {
    if (!isDragged.current) return
    const svg = event.currentTarget.ownerSVGElement as SVGSVGElement
    onMove?.(placeOf(event.clientX, svg.getBoundingClientRect().left))
  }
  const press = (event: KeyboardEvent) => {
    const by = { ArrowLeft: -step, ArrowRight: step, PageDown: -10 * step, PageUp: 10 * step }[event.key]
    if (by !== undefined) {
      event.preventDefault()
      onMove?.(at + by)
    }
    if (event.key === 'Delete' || event.key === 'Backspace') onRemove()
  }
  if (!onMove) return <line className="still-line" x1={left} x2={left} y1={top} y2={bottom} />
  return (
    <g
      className="knife-line"
      role="slider"
      tabIndex={0}
      aria-label="Knife line"
      aria-valuemin={0}
      aria-valuemax={Math.round(length)}
      aria-valuenow={Math.round(at)}
      aria-valuetext={`${Math.round(at)} millimetres`}
      onPointerDown={(event) => {
        isDragged.current = true
        event.currentTarget.setPointerCapture(event.pointerId)
      }}
      onPointerMove={drag}
      onPointerUp={() => {
        isDragged.current = false
      }}
      onPointerCancel={() => {
        isDragged.current = false
      }}
      onDoubleClick={onRemove}
      onKeyDown={press}
    >
      <rect x={left - GRIP / 2} y={top} width={GRIP} height={bottom - top} className="grip" />
      <line x1={left} x2={left} y1={top} y2={bottom} />
      <circle cx={left} cy={bottom} r={7} />
    </g>
  )
}
