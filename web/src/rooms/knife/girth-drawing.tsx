import type { KnifeLines } from '@fleam/core/portioning'
import { addTape, MAX_GIRTHS, MIN_GIRTHS, moveTape, removeTape, shapeOf } from '@fleam/core/portioning'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { LengthField } from '../../parts/length-field.tsx'
import { measuredPiece } from '../../parts/measured-piece.ts'
import { useFormat } from '../../parts/use-format.ts'
import { useWidth } from '../../parts/use-width.ts'
import css from './girth-drawing.module.css'
import { outlinePath, outlinePlaces } from './piece-outline.ts'
import { SlidingLine } from './sliding-line.tsx'

interface GirthDrawingProps {
  draft: KnifeLines
  measure: (changes: Partial<KnifeLines>) => void
}

/** Room at both sides for half a field. */
const MARGIN = 46
const TOP = 10
const MAX_HALF = 64
const PLACES = 34
/** Width of a field with a gap beside it. */
const FIELD = 78

/** The piece as the tape reads it: each girth is typed on the tape that lies there, and the tape is dragged along. */
export function GirthDrawing({ draft, measure }: GirthDrawingProps) {
  const format = useFormat()
  const [ref, width] = useWidth<HTMLDivElement>(1200)
  // Fields keep what was typed: when a tape comes or goes, all are filled anew.
  const [fill, setFill] = useState(0)
  const { girths, length } = draft
  const outline = outlinePlaces(shapeOf(measuredPiece(draft)).faceAt, length)
  const scale = (width - 2 * MARGIN) / length
  const thickest = Math.max(...outline.map(({ face }) => face))
  const half = Math.min(MAX_HALF, (thickest * scale) / 2)
  const middle = TOP + half
  const foot = middle + half
  const x = (at: number) => MARGIN + at * scale
  const path = outlinePath(outline, (at, side) => `${x(at)},${middle + (side * half * 2) / thickest}`)
  const lay = (next: typeof girths) => {
    measure({ girths: next })
    setFill(fill + 1)
  }
  const type = (which: number, girth: number | null) => {
    if (girth !== null && girth > 0) {
      measure({ girths: girths.map((other, index) => (index === which ? { ...other, girth } : other)) })
    }
  }
  // Fields that would lie on each other stand below the drawing, each with its place.
  const isCrowded = girths.slice(1).some((girth, index) => (girth.at - (girths[index]?.at ?? 0)) * scale < FIELD)
  const fields = girths.map((other, which) => (
    <div
      // biome-ignore lint/suspicious/noArrayIndexKey: a tape that is dragged stays the same tape
      key={`${fill}-${which}`}
      className={isCrowded ? '' : css.girthField}
      style={isCrowded ? {} : { left: x(other.at), top: middle - 22 }}
    >
      <LengthField
        label={isCrowded ? `at ${format.length(other.at)}` : `Girth at ${format.length(other.at)}`}
        isLabelHidden={!isCrowded}
        isUnitSaid
        mm={other.girth}
        min={1}
        max={2000}
        onChange={(girth) => type(which, girth)}
      />
    </div>
  ))
  return (
    <fieldset className="knife-girths">
      <legend>Around it, {format.lengthUnit}</legend>
      <div className={css.girthDrawing} ref={ref} style={{ height: foot + PLACES }}>
        <svg width={width} height={foot + PLACES} viewBox={`0 0 ${width} ${foot + PLACES}`}>
          <title>The piece with the tape around it</title>
          <path d={path} className={css.outline} />
          <Tapes draft={draft} fill={fill} layout={{ x, scale, foot }} measure={measure} onLay={lay} />
        </svg>
        {isCrowded ? null : fields}
      </div>
      {isCrowded ? <div className={css.girthsBelow}>{fields}</div> : null}
      <div className="actions">
        <Button
          size="sm"
          variant="outline-dark"
          disabled={girths.length >= MAX_GIRTHS}
          onClick={() => lay(addTape(girths))}
        >
          Measure one more
        </Button>
        <span className="quiet">
          {MIN_GIRTHS} to {MAX_GIRTHS} places. Drag a tape by its foot, or move it with the arrow keys; a double touch
          takes it away.
        </span>
      </div>
    </fieldset>
  )
}

interface TapesProps {
  draft: KnifeLines
  fill: number
  layout: { x: (at: number) => number; scale: number; foot: number }
  measure: GirthDrawingProps['measure']
  /** A tape more or fewer. */
  onLay: (girths: KnifeLines['girths']) => void
}

/** The tapes over the piece: those at its ends stay, the others are dragged. */
function Tapes({ draft: { girths, length }, fill, layout: { x, scale, foot }, measure, onLay }: TapesProps) {
  const format = useFormat()
  return (
    <>
      {girths.map((girth, which) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a tape that is dragged stays the same tape
        <g key={`${fill}-${which}`}>
          {which === 0 || which === girths.length - 1 ? (
            <line x1={x(girth.at)} x2={x(girth.at)} y1={TOP - 6} y2={foot + 6} className={css.tape} />
          ) : (
            <SlidingLine
              name={`Tape ${which + 1}`}
              kind="tape-line"
              at={girth.at}
              length={length}
              step={1}
              left={x(girth.at)}
              top={TOP - 6}
              bottom={foot + 6}
              placeOf={(clientX, svgLeft) => (clientX - svgLeft - MARGIN) / scale}
              onMove={(at) => measure({ girths: moveTape(girths, which, at) })}
              onRemove={() => onLay(removeTape(girths, which))}
            />
          )}
          <text x={x(girth.at)} y={foot + PLACES - 4} textAnchor="middle">
            {format.lengthAmount(girth.at)}
          </text>
        </g>
      ))}
    </>
  )
}
