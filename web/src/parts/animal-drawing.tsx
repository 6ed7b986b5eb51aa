import { DRAWINGS, type DrawingName, type DrawingView, drawingOf } from '@fleam/catalogue'
import css from './animal-drawing.module.css'

interface AnimalDrawingProps {
  /** Name of the drawing, as the item has it. */
  name: string | null
  /** The cut that lights up. */
  cut: string | null
  /** Regions that the piles of the step come from. */
  regions: readonly string[]
  /** What is shown, for those who listen. */
  label: string
}

const isDrawing = (name: string | null): name is DrawingName => DRAWINGS.includes(name as DrawingName)

/** The animal in line art, with the cut of a step dashed and the regions of its piles hatched. */
export function AnimalDrawing({ name, cut, regions, label }: AnimalDrawingProps) {
  if (!isDrawing(name)) return null
  const { views } = drawingOf(name)
  const showing = views.filter(
    (view) => (cut !== null && cut in view.cuts) || regions.some((region) => region in view.regions),
  )
  return (
    <figure className={css.drawing} aria-label={label}>
      {(showing.length > 0 ? showing : views.slice(0, 1)).map((view) => (
        <View key={view.id} view={view} cut={cut} regions={regions} />
      ))}
    </figure>
  )
}

interface ViewProps {
  view: DrawingView
  cut: string | null
  regions: readonly string[]
}

function View({ view, cut, regions }: ViewProps) {
  const cutPath = cut === null ? undefined : view.cuts[cut]
  return (
    <svg viewBox={`0 0 ${view.width} ${view.height}`} role="img" aria-label={view.label}>
      <defs>
        <pattern id="lit-hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect className={css.hatchGround} width="7" height="7" />
          <line className={css.hatchLine} x1="0" y1="0" x2="0" y2="7" />
        </pattern>
      </defs>
      {Object.entries(view.regions).map(([region, path]) => (
        <path key={region} d={path} className={regions.includes(region) ? `${css.region} ${css.lit}` : css.region} />
      ))}
      {view.outline.map((path) => (
        <path key={path} d={path} className={css.outline} />
      ))}
      {cutPath ? <path d={cutPath} className={css.cut} /> : null}
    </svg>
  )
}
