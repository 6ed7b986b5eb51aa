import { type PortionRequest, shapeOf } from '@fleam/core/portioning'
import { MM_PER_INCH } from '@fleam/core/units'
import { memo } from 'react'
import { useFormat } from '../../parts/use-format.ts'
import css from './one-to-one.module.css'

interface OneToOneProps {
  request: PortionRequest
  lines: readonly number[]
}

/** Millimetres of a strip that fit on a sheet laid across. */
const SHEET = 250
const STRIP_HEIGHT = 46
/** The bar that proves a print, mm. */
const BARS = { mm: 100, in: 4 * MM_PER_INCH } as const

/** Only on paper: the piece's edge one to one, in strips to be laid beside the meat. */
export const OneToOne = memo(function OneToOne({ request, lines }: OneToOneProps) {
  const { length } = request.piece
  const format = useFormat()
  const bar = BARS[format.lengthUnit]
  const shape = shapeOf(request.piece)
  const sheets = Array.from(
    { length: Math.ceil(length / SHEET) },
    (_, index) => [index * SHEET, Math.min(length, (index + 1) * SHEET)] as const,
  )
  return (
    <section className={css.oneToOne} aria-hidden>
      <p>One to one: the bar below is {format.length(bar)} long, if it was printed without scaling.</p>
      <svg aria-hidden width={`${bar}mm`} height="3mm" viewBox={`0 0 ${bar} 3`}>
        <rect width={bar} height="2" />
      </svg>
      {sheets.map(([from, to]) => (
        <svg
          aria-hidden
          key={from}
          width={`${to - from}mm`}
          height={`${STRIP_HEIGHT}mm`}
          viewBox={`${from} 0 ${to - from} ${STRIP_HEIGHT}`}
        >
          <line x1={from} x2={to} y1="12" y2="12" />
          {lines
            .filter((line) => line > 0 && line < length && line >= from && line <= to)
            .map((line) => (
              <g key={line}>
                <line x1={line} x2={line} y1="0" y2={STRIP_HEIGHT} className={css.cut} />
                <text x={line + 1} y="5" fontSize="4">
                  {format.lengthAmount(line)}
                </text>
                <text x={line + 1} y={STRIP_HEIGHT - 2} fontSize="3.5">
                  face {format.lengthAmount(shape.faceAt(line))}
                </text>
              </g>
            ))}
          <Edge from={from} to={to} />
        </svg>
      ))}
    </section>
  )
})

/** Strokes of the printed ruler: how far apart, mm, and how many to a longer and to a numbered one. */
const STROKES = {
  mm: { apart: 5, longer: 2, numbered: 10 },
  in: { apart: MM_PER_INCH / 4, longer: 2, numbered: 4 },
} as const

/** The ruler along a strip, in the kitchen's own lengths. */
function Edge({ from, to }: { from: number; to: number }) {
  const { lengthUnit, lengthAmount } = useFormat()
  const { apart, longer, numbered } = STROKES[lengthUnit]
  const first = Math.ceil(from / apart)
  const strokes = Array.from({ length: Math.floor(to / apart) - first + 1 }, (_, index) => first + index)
  return strokes.map((stroke) => (
    <g key={stroke}>
      <line x1={stroke * apart} x2={stroke * apart} y1="12" y2={stroke % longer === 0 ? 17 : 15} />
      {stroke % numbered === 0 ? (
        <text x={stroke * apart + 0.5} y="21" fontSize="4">
          {lengthAmount(stroke * apart)}
        </text>
      ) : null}
    </g>
  ))
}
