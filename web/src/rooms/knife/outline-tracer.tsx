import type { KnifeLines } from '@fleam/contract'
import { type PointerEvent, useEffect, useRef, useState } from 'react'
import Form from 'react-bootstrap/Form'
import { NumberField } from '../../parts/number-field.tsx'

interface OutlineTracerProps {
  draft: KnifeLines
  measure: (changes: Partial<KnifeLines>) => void
}

interface Point {
  x: number
  y: number
}

/** Where the marks lie in the picture, as shares of its size. */
interface Marks {
  ruler: [Point, Point]
  ends: [Point, Point]
  /** Upper and lower edge at equal distances between the ends, as heights. */
  edges: { top: number; bottom: number }[]
}

const PLACES = 6
const WIDTH = 900
const HEIGHT = 420
const START: Marks = {
  ruler: [
    { x: 0.1, y: 0.92 },
    { x: 0.5, y: 0.92 },
  ],
  ends: [
    { x: 0.08, y: 0.5 },
    { x: 0.92, y: 0.5 },
  ],
  edges: Array.from({ length: PLACES }, () => ({ top: 0.35, bottom: 0.65 })),
}

/** A photograph from above with a ruler in it: a few points are dragged onto the outline. It never leaves the device. */
export default function OutlineTracer({ draft, measure }: OutlineTracerProps) {
  const [picture, setPicture] = useState<string | null>(null)
  const [marks, setMarks] = useState(START)
  const [rulerMm, setRulerMm] = useState<number | null>(200)
  useEffect(() => () => void (picture && URL.revokeObjectURL(picture)), [picture])
  const apply = (next: Marks, ruler = rulerMm) => {
    setMarks(next)
    const read = measuresOf(next, ruler)
    if (read) measure(read)
  }
  return (
    <div className="outline-tracer">
      <Form.Group controlId="outline-picture">
        <Form.Label>Photograph from above, with a ruler in it</Form.Label>
        <Form.Control
          type="file"
          accept="image/*"
          onChange={(event) => {
            const file = (event.target as HTMLInputElement).files?.[0]
            setPicture(file ? URL.createObjectURL(file) : null)
          }}
        />
        <Form.Text>
          It stays on this device. Length and widths are read from it; the height follows the usual shape.
        </Form.Text>
      </Form.Group>
      <NumberField
        label="Between the two ruler marks, mm"
        value={rulerMm}
        min={10}
        max={2000}
        onChange={(millimetres) => {
          setRulerMm(millimetres)
          apply(marks, millimetres)
        }}
      />
      <Tracing picture={picture} marks={marks} onMarks={(next) => apply(next)} />
      <p className="quiet">
        {Math.round(draft.length)} mm long; widths {draft.outline.map((point) => Math.round(point.width)).join(', ')} mm
        from the left end on.
      </p>
    </div>
  )
}

/** Length and widths in mm, from marks and the ruler's length; null where the ruler has none. */
function measuresOf({ ruler, ends, edges }: Marks, rulerMm: number | null): Partial<KnifeLines> | null {
  const pixels = Math.hypot((ruler[1].x - ruler[0].x) * WIDTH, (ruler[1].y - ruler[0].y) * HEIGHT)
  if (!rulerMm || pixels < 1) return null
  const perPixel = rulerMm / pixels
  const length = Math.round(Math.abs(ends[1].x - ends[0].x) * WIDTH * perPixel)
  if (length < 20) return null
  const outline = edges.map(({ top, bottom }, at) => ({
    at: (length * at) / (PLACES - 1),
    width: Math.max(1, Math.round(Math.abs(bottom - top) * HEIGHT * perPixel)),
  }))
  return { length, outline }
}

interface TracingProps {
  picture: string | null
  marks: Marks
  onMarks: (marks: Marks) => void
}

function Tracing({ picture, marks, onMarks }: TracingProps) {
  const svg = useRef<SVGSVGElement>(null)
  const placeOf = (event: PointerEvent): Point => {
    const box = (svg.current as SVGSVGElement).getBoundingClientRect()
    const clamp = (share: number) => Math.min(1, Math.max(0, share))
    return { x: clamp((event.clientX - box.left) / box.width), y: clamp((event.clientY - box.top) / box.height) }
  }
  const swap = (pair: [Point, Point], which: 0 | 1, point: Point): [Point, Point] =>
    which === 0 ? [point, pair[1]] : [pair[0], point]
  const [left, right] = [marks.ends[0].x, marks.ends[1].x]
  const placeX = (at: number) => left + ((right - left) * at) / (PLACES - 1)
  const outline = [
    ...marks.edges.map(({ top }, at) => `${placeX(at) * WIDTH},${top * HEIGHT}`),
    ...[...marks.edges].reverse().map(({ bottom }, at) => `${placeX(PLACES - 1 - at) * WIDTH},${bottom * HEIGHT}`),
  ]
  return (
    <svg ref={svg} className="tracing" viewBox={`0 0 ${WIDTH} ${HEIGHT}`}>
      <title>Marks on the photograph</title>
      {picture ? <image href={picture} width={WIDTH} height={HEIGHT} preserveAspectRatio="xMidYMid meet" /> : null}
      <polygon points={outline.join(' ')} className="traced" />
      <line
        x1={marks.ruler[0].x * WIDTH}
        y1={marks.ruler[0].y * HEIGHT}
        x2={marks.ruler[1].x * WIDTH}
        y2={marks.ruler[1].y * HEIGHT}
        className="ruler-mark"
      />
      {([0, 1] as const).map((which) => (
        <Handle
          key={`ruler-${which}`}
          name={`Ruler mark ${which + 1}`}
          at={marks.ruler[which]}
          onDrag={(event) => onMarks({ ...marks, ruler: swap(marks.ruler, which, placeOf(event)) })}
        />
      ))}
      {([0, 1] as const).map((which) => (
        <Handle
          key={`end-${which}`}
          name={which === 0 ? 'Left end' : 'Right end'}
          at={marks.ends[which]}
          onDrag={(event) => onMarks({ ...marks, ends: swap(marks.ends, which, placeOf(event)) })}
        />
      ))}
      {marks.edges.flatMap((edge, at) =>
        (['top', 'bottom'] as const).map((side) => (
          <Handle
            // biome-ignore lint/suspicious/noArrayIndexKey: places along the piece are told by their order
            key={`${side}-${at}`}
            name={`${side} edge, place ${at + 1}`}
            at={{ x: placeX(at), y: edge[side] }}
            onDrag={(event) => {
              const y = placeOf(event).y
              onMarks({
                ...marks,
                edges: marks.edges.map((each, place) => (place === at ? { ...each, [side]: y } : each)),
              })
            }}
          />
        )),
      )}
    </svg>
  )
}

interface HandleProps {
  name: string
  at: Point
  onDrag: (event: PointerEvent) => void
}

function Handle({ name, at, onDrag }: HandleProps) {
  const isDragged = useRef(false)
  return (
    <circle
      className="trace-handle"
      cx={at.x * WIDTH}
      cy={at.y * HEIGHT}
      r={11}
      onPointerDown={(event) => {
        isDragged.current = true
        event.currentTarget.setPointerCapture(event.pointerId)
      }}
      onPointerMove={(event) => isDragged.current && onDrag(event)}
      onPointerUp={() => {
        isDragged.current = false
      }}
    >
      <title>{name}</title>
    </circle>
  )
}
