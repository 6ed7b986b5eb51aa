import { type PortionWish, shapeOf } from '@fleam/core'
import { memo } from 'react'

interface OneToOneProps {
  wish: PortionWish
  lines: readonly number[]
}

/** Millimetres of a strip that fit on a sheet laid across. */
const SHEET = 250
const STRIP_HEIGHT = 46

/** Only on paper: the piece's edge one to one, in strips to be laid beside the meat. */
export const OneToOne = memo(function OneToOne({ wish, lines }: OneToOneProps) {
  const { length } = wish.piece
  const shape = shapeOf(wish.piece)
  const sheets = Array.from(
    { length: Math.ceil(length / SHEET) },
    (_, at) => [at * SHEET, Math.min(length, (at + 1) * SHEET)] as const,
  )
  return (
    <section className="one-to-one" aria-hidden>
      <p>One to one: the bar below is 100 mm long, if it was printed without scaling.</p>
      <svg aria-hidden width="100mm" height="3mm" viewBox="0 0 100 3">
        <rect width="100" height="2" />
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
                <line x1={line} x2={line} y1="0" y2={STRIP_HEIGHT} className="cut" />
                <text x={line + 1} y="5" fontSize="4">
                  {Math.round(line)}
                </text>
                <text x={line + 1} y={STRIP_HEIGHT - 2} fontSize="3.5">
                  face {Math.round(shape.faceAt(line))}
                </text>
              </g>
            ))}
          {Array.from({ length: Math.floor((to - from) / 5) + 1 }, (_, at) => from + at * 5).map((at) => (
            <g key={at}>
              <line x1={at} x2={at} y1="12" y2={at % 10 === 0 ? 17 : 15} />
              {at % 50 === 0 ? (
                <text x={at + 0.5} y="21" fontSize="4">
                  {at}
                </text>
              ) : null}
            </g>
          ))}
        </svg>
      ))}
    </section>
  )
})
