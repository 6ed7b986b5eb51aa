import type { OutlineMarks, PicturePoint } from '@fleam/core/portioning'
import { type KeyboardEvent, type PointerEvent, useRef } from 'react'
import css from './tracing.module.css'

interface TracingProps {
  /** Address of the picture; null where only the marks are there. */
  picture: string | null
  /** Height ÷ width. */
  aspect: number
  marks: OutlineMarks
  onMarks: (marks: OutlineMarks) => void
}

/** Widths are read at so many places between the ends. */
export const PLACES = 6
const WIDTH = 900

const within = (share: number) => Math.min(1, Math.max(0, share))

/** The marks over the photograph: two on the ruler, two at the ends, and pairs on the edges between them. */
export function Tracing({ picture, aspect, marks, onMarks }: TracingProps) {
  const svg = useRef<SVGSVGElement>(null)
  const height = WIDTH * aspect
  const placeOf = (event: PointerEvent): PicturePoint => {
    const box = (svg.current as SVGSVGElement).getBoundingClientRect()
    return { x: within((event.clientX - box.left) / box.width), y: within((event.clientY - box.top) / box.height) }
  }
  const [left, right] = [marks.ends[0].x, marks.ends[1].x]
  const placeX = (at: number) => left + ((right - left) * at) / (PLACES - 1)
  const outline = [
    ...marks.edges.map(({ top }, index) => `${placeX(index) * WIDTH},${top * height}`),
    ...[...marks.edges]
      .reverse()
      .map(({ bottom }, index) => `${placeX(PLACES - 1 - index) * WIDTH},${bottom * height}`),
  ]
  const pairOf = (name: 'ruler' | 'ends', words: readonly [string, string]) =>
    ([0, 1] as const).map((which) => (
      <Handle
        key={`${name}-${which}`}
        name={words[which]}
        className={`${css.traceHandle} ${css[name] ?? ''}`}
        at={marks[name][which]}
        height={height}
        placeOf={placeOf}
        onMove={(point) => {
          const [one, other] = marks[name]
          onMarks({ ...marks, [name]: which === 0 ? [point, other] : [one, point] })
        }}
      />
    ))
  const moveEdge = (at: number, side: 'top' | 'bottom', y: number) =>
    onMarks({ ...marks, edges: marks.edges.map((edge, place) => (place === at ? { ...edge, [side]: y } : edge)) })
  return (
    <svg ref={svg} className={css.tracing} viewBox={`0 0 ${WIDTH} ${height}`}>
      <title>Marks on the photograph</title>
      {picture ? <image href={picture} width={WIDTH} height={height} preserveAspectRatio="none" /> : null}
      <polygon points={outline.join(' ')} className={css.traced} />
      <line
        x1={marks.ruler[0].x * WIDTH}
        y1={marks.ruler[0].y * height}
        x2={marks.ruler[1].x * WIDTH}
        y2={marks.ruler[1].y * height}
        className={css.rulerMark}
      />
      {pairOf('ruler', ['Ruler mark 1', 'Ruler mark 2'])}
      {pairOf('ends', ['Left end', 'Right end'])}
      {marks.edges.flatMap((edge, index) =>
        (['top', 'bottom'] as const).map((side) => (
          <Handle
            // biome-ignore lint/suspicious/noArrayIndexKey: places along the piece are told by their order
            key={`${side}-${index}`}
            name={`${side} edge, place ${index + 1}`}
            className={css.traceHandle}
            at={{ x: placeX(index), y: edge[side] }}
            height={height}
            placeOf={placeOf}
            onMove={({ y }) => moveEdge(index, side, y)}
          />
        )),
      )}
    </svg>
  )
}

interface HandleProps {
  name: string
  className: string | undefined
  at: PicturePoint
  height: number
  placeOf: (event: PointerEvent) => PicturePoint
  onMove: (point: PicturePoint) => void
}

/** Shares of the picture that an arrow key moves a mark by. */
const STEP = 0.005
const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-STEP, 0],
  ArrowRight: [STEP, 0],
  ArrowUp: [0, -STEP],
  ArrowDown: [0, STEP],
}

function Handle({ name, className, at, height, placeOf, onMove }: HandleProps) {
  const isDragged = useRef(false)
  const stop = () => {
    isDragged.current = false
  }
  const press = (event: KeyboardEvent) => {
    const by = ARROWS[event.key]
    if (!by) return
    event.preventDefault()
    onMove({ x: within(at.x + by[0]), y: within(at.y + by[1]) })
  }
  return (
    <circle
      className={className}
      role="slider"
      tabIndex={0}
      aria-label={name}
      aria-valuenow={Math.round(at.y * 100)}
      aria-valuetext={`${Math.round(at.x * 100)} % from the left, ${Math.round(at.y * 100)} % from the top`}
      cx={at.x * WIDTH}
      cy={at.y * height}
      r={11}
      onPointerDown={(event) => {
        isDragged.current = true
        event.currentTarget.setPointerCapture(event.pointerId)
      }}
      onPointerMove={(event) => isDragged.current && onMove(placeOf(event))}
      onPointerUp={stop}
      onPointerCancel={stop}
      onKeyDown={press}
    >
      <title>{name}</title>
    </circle>
  )
}
