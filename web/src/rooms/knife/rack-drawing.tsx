import { type Rack, type RackPlan, rackCuts } from '@fleam/core/portioning'
import { useFormat } from '../../parts/use-format.ts'
import css from './rack-drawing.module.css'

interface RackDrawingProps {
  rack: Rack
  /** Place of the rack among those that are cut together. */
  at: number
  plan: RackPlan
}

const UNIT = 84
const BONE_TOP = 14
const EYE_MIDDLE = 150
const HEIGHT = 234
const REACH = 62
/** Nobody leans a blade by less than this, mm. */
export const MIN_OUT = 0.5

/** The rack from the side, loin end at the left: ribs, eyes to scale among themselves, and the angle of each cut. */
export function RackDrawing({ rack, at, plan }: RackDrawingProps) {
  const format = useFormat()
  const most = Math.max(...rack.eye)
  const width = rack.bones * UNIT
  const cuts = rackCuts(rack, plan.boundaries[at] ?? [])
  const plateOf = (rib: number) => plan.portions.findIndex(({ bones }) => bones.some(([r, b]) => r === at && b === rib))
  // The eye is given by its area: it is as wide as the root of it.
  const radius = (rib: number) => Math.sqrt((rack.eye[rib] ?? 0) / most) * REACH
  const top = rack.eye.map((_, rib) => `${(rib + 0.5) * UNIT},${EYE_MIDDLE - radius(rib)}`)
  const bottom = [...rack.eye.keys()].reverse().map((rib) => `${(rib + 0.5) * UNIT},${EYE_MIDDLE + radius(rib) * 0.8}`)
  return (
    <svg
      className={css.rackDrawing}
      viewBox={`0 0 ${width} ${HEIGHT}`}
      role="img"
      aria-label={`Rack ${at + 1} with ${cuts.length} cuts`}
    >
      <polygon
        className={css.rackMeat}
        points={[
          `0,${EYE_MIDDLE - radius(0)}`,
          ...top,
          `${width},${EYE_MIDDLE - radius(rack.bones - 1)}`,
          `${width},${EYE_MIDDLE + radius(rack.bones - 1) * 0.8}`,
          ...bottom,
          `0,${EYE_MIDDLE + radius(0) * 0.8}`,
        ].join(' ')}
      />
      {rack.eye.map((_, rib) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: ribs are told by their place
        <g key={rib}>
          <rect
            className={css.rackBone}
            x={(rib + 0.5) * UNIT - 6}
            y={BONE_TOP}
            width={12}
            height={EYE_MIDDLE - BONE_TOP - 10}
            rx={6}
          />
          <text x={(rib + 0.5) * UNIT} y={EYE_MIDDLE + 6} textAnchor="middle">
            {plateOf(rib) < 0 ? '–' : plateOf(rib) + 1}
          </text>
        </g>
      ))}
      {cuts.map(({ gap, shift, out }) => {
        // Straight down the middle of the gap between the bones, and from where the eye begins it leans evenly.
        const [above, below] = [radius(gap - 1), radius(gap - 1) * 0.8]
        const leanTo = (y: number) => gap * UNIT + (2 * shift * UNIT * (y - EYE_MIDDLE + above)) / (above + below)
        const foot = HEIGHT - 20
        return (
          <g key={gap}>
            <polyline
              className={css.rackCut}
              points={`${gap * UNIT},${BONE_TOP} ${gap * UNIT},${EYE_MIDDLE - above} ${leanTo(foot)},${foot}`}
            />
            <text className={css.rackShift} x={leanTo(foot)} y={HEIGHT - 5} textAnchor="middle">
              {Math.abs(out) < MIN_OUT ? 'straight' : `${out < 0 ? '←' : '→'} ${format.length(Math.abs(out))}`}
            </text>
          </g>
        )
      })}
    </svg>
  )
}
