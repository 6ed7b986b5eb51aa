import { type JudgedCuts, type JudgedPart, type Piece, type PortionRequest, shapeOf } from '@fleam/core/portioning'
import { MM_PER_INCH } from '@fleam/core/units'
import { useId, useMemo, useRef } from 'react'
import { useFormat } from '../../parts/use-format.ts'
import { useWidth } from '../../parts/use-width.ts'
import css from './board.module.css'
import { outlinePath, outlinePlaces } from './piece-outline.ts'
import { type SlantedReach, SlidingLine } from './sliding-line.tsx'

interface BoardProps {
  request: PortionRequest
  /** What lies between the lines; null while they are worked out, when nothing is said of it. */
  judged: JudgedCuts | null
  lines: readonly number[]
  /** Null where the lines only lie there. `isHeld` while a finger still moves one of them. */
  onLines: ((lines: readonly number[], isHeld: boolean) => void) | null
}

const MARGIN = 16
const RULER = 40
const LABELS = 46
/** How far a slanted line goes beyond the thickest place, px. */
const OVERHANG = 6
const PATTERNS = ['plain', 'lines', 'dots', 'cross'] as const

/** Where everything of a piece lies on a drawing of a width. */
function useBoardLayout(piece: Piece, width: number) {
  const shape = useMemo(() => shapeOf(piece), [piece])
  const scale = (width - 2 * MARGIN) / piece.length
  const outline = useMemo(() => outlinePlaces(shape.faceAt, piece.length), [shape, piece.length])
  const thickest = Math.max(...outline.map(({ face }) => face))
  const half = Math.min(110, (thickest * scale) / 2)
  // A long thin piece is as tall as it is; a short thick one is made to fit, and its ruler with it.
  const across = half / (thickest / 2)
  const middle = LABELS + half
  const x = (at: number) => MARGIN + at * scale
  const pathOf = (places: typeof outline) => outlinePath(places, (at, side) => `${x(at)},${middle + side * across}`)
  // A slanted knife leans by so many pixels to each side of where it crosses the middle.
  const lean = (half + OVERHANG) * Math.tan(((piece.biasAngle ?? 0) * Math.PI) / 180)
  const reach = { top: middle - half - OVERHANG, bottom: middle + half + OVERHANG, lean }
  return { shape, scale, outline, edge: middle + half + 8, height: middle + half + RULER, x, pathOf, reach }
}

/** The piece to scale, seen from above, with knife lines that can be dragged and a ruler's edge below it. */
export function Board({ request, judged, lines, onLines }: BoardProps) {
  const [ref, width] = useWidth<HTMLDivElement>(1200)
  const id = useId()
  const format = useFormat()
  const { piece, products, step = 1 } = request
  const { shape, scale, outline, edge, height, x, pathOf, reach } = useBoardLayout(piece, width)
  const snap = (at: number) => Math.min(piece.length - step, Math.max(step, Math.round(at / step) * step))
  const parts = judged?.parts ?? []
  const moved = useRef(lines)
  moved.current = lines
  const move = (which: number, at: number) => {
    moved.current = lines.map((line, index) => (index === which ? snap(at) : line))
    onLines?.(moved.current, true)
  }
  return (
    <div className={css.knifeBoard} ref={ref}>
      <svg width={width} height={height} viewBox={`0 0 ${width} ${height}`}>
        <title>The piece with its knife lines</title>
        <Patterns id={id} />
        <clipPath id={`${id}-piece`}>
          <path d={pathOf(outline)} />
        </clipPath>
        {parts.map((part, index) => (
          <path
            // biome-ignore lint/suspicious/noArrayIndexKey: a part is told by its place, so that it stays while it is moved
            key={index}
            d={
              reach.lean > 0
                ? slantedPart(part, piece.length, x, reach)
                : pathOf(outlinePlaces(shape.faceAt, part.to, part.from))
            }
            clipPath={reach.lean > 0 ? `url(#${id}-piece)` : undefined}
            className={part.product === null ? css.scrap : 'portion'}
            fill={
              part.product === null
                ? `url(#${id}-scrap)`
                : `url(#${id}-${PATTERNS[products.findIndex(({ name }) => name === part.product) % PATTERNS.length]})`
            }
          />
        ))}
        <path d={pathOf(outline)} className={css.outline} />
        {parts.map((part, index) => (
          <PartLabel
            // biome-ignore lint/suspicious/noArrayIndexKey: a label is told by its place, so that it stays while it is moved
            key={index}
            part={part}
            left={x(part.from)}
            right={x(part.to)}
            weight={format.weight(part.weight)}
          />
        ))}
        <Ruler length={piece.length} x={x} y={edge} />
        {lines.map((line, which) =>
          onLines ? (
            <SlidingLine
              // biome-ignore lint/suspicious/noArrayIndexKey: a line that is dragged stays the same line
              key={which}
              name="Knife line"
              kind="knife-line"
              at={line}
              length={piece.length}
              step={step}
              words={`face ${format.lengthAmount(shape.faceAt(line))}`}
              left={x(line)}
              top={LABELS - 12}
              bottom={edge}
              slanted={reach.lean > 0 ? reach : undefined}
              placeOf={(clientX, svgLeft) => (clientX - svgLeft - MARGIN) / scale}
              onMove={(at) => move(which, at)}
              onSettle={() => onLines(moved.current, false)}
              onRemove={() =>
                onLines(
                  lines.filter((_, line) => line !== which),
                  false,
                )
              }
            />
          ) : (
            <line
              key={line}
              className={css.stillLine}
              x1={x(line) + reach.lean}
              x2={x(line) - reach.lean}
              y1={reach.lean > 0 ? reach.top : LABELS - 12}
              y2={reach.lean > 0 ? reach.bottom : edge}
            />
          ),
        )}
      </svg>
    </div>
  )
}

/** What lies between two slanted lines; the ends of the piece are as they are. */
function slantedPart(part: JudgedPart, length: number, x: (at: number) => number, reach: SlantedReach): string {
  const { top, bottom, lean } = reach
  const left = part.from > 0 ? [x(part.from) + lean, x(part.from) - lean] : [x(0), x(0)]
  const right = part.to < length ? [x(part.to) + lean, x(part.to) - lean] : [x(length), x(length)]
  return `M${left[0]},${top}L${right[0]},${top}L${right[1]},${bottom}L${left[1]},${bottom}Z`
}

/** Products are told apart by pattern, scrap by its hatching: never by hue alone. */
const Patterns = ({ id }: { id: string }) => (
  <defs>
    <pattern id={`${id}-plain`} width="8" height="8" patternUnits="userSpaceOnUse">
      <rect width="8" height="8" className={css.boardGround} />
    </pattern>
    <pattern id={`${id}-lines`} width="7" height="7" patternUnits="userSpaceOnUse">
      <rect width="7" height="7" className={css.boardGround} />
      <rect width="7" height="2" className={css.boardMark} />
    </pattern>
    <pattern id={`${id}-dots`} width="9" height="9" patternUnits="userSpaceOnUse">
      <rect width="9" height="9" className={css.boardGround} />
      <circle cx="4.5" cy="4.5" r="1.8" className={css.boardMark} />
    </pattern>
    <pattern id={`${id}-cross`} width="9" height="9" patternUnits="userSpaceOnUse">
      <rect width="9" height="9" className={css.boardGround} />
      <path d="M0 0L9 9M9 0L0 9" className={css.boardLine} />
    </pattern>
    <pattern id={`${id}-scrap`} width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
      <rect width="8" height="8" className={css.boardEmpty} />
      <rect width="3" height="8" className={css.boardMark} />
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
  const format = useFormat()
  if (right - left < LABEL_WIDTH / 2) return null
  const middle = (left + right) / 2
  return (
    <g className={part.product === null ? `${css.partLabel} ${css.scrap}` : css.partLabel} textAnchor="middle">
      {right - left >= LABEL_WIDTH ? (
        <text x={middle} y={16}>
          {weight}
        </text>
      ) : null}
      <text x={middle} y={32} className={css.thickness}>
        {format.lengthAmount(part.to - part.from)}
      </text>
    </g>
  )
}

interface RulerProps {
  length: number
  x: (at: number) => number
  y: number
}

/** How far apart the strokes of a ruler are, mm, and how many make a numbered one. */
const RULERS = { mm: { tick: 10, numbered: 5 }, in: { tick: MM_PER_INCH / 4, numbered: 4 } } as const

/** A ruler in millimetres, or inches, from the end where the knife begins. */
function Ruler({ length, x, y }: RulerProps) {
  const { lengthUnit, lengthAmount } = useFormat()
  const { tick, numbered } = RULERS[lengthUnit]
  const ticks = Array.from({ length: Math.floor(length / tick) + 1 }, (_, index) => index)
  return (
    <g className={css.ruler}>
      <line x1={x(0)} x2={x(length)} y1={y} y2={y} />
      {ticks.map((at) => (
        <g key={at}>
          <line x1={x(at * tick)} x2={x(at * tick)} y1={y} y2={y + (at % numbered === 0 ? 9 : 5)} />
          {at % numbered === 0 ? (
            <text x={x(at * tick)} y={y + 22} textAnchor="middle">
              {lengthAmount(at * tick)}
            </text>
          ) : null}
        </g>
      ))}
    </g>
  )
}
