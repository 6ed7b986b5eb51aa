import type { Appraisal } from '@fleam/core/appraisal'
import { type TwinBeam as Beam, type Segment, twinBeam } from '@fleam/core/beam'
import { useId, useMemo } from 'react'
import { useAppraised } from './appraised-context.ts'
import css from './twin-beam.module.css'
import type { Format } from './use-format.ts'
import { useWidth } from './use-width.ts'

interface TwinBeamProps {
  /** A row of the list has a small one without words. */
  small?: boolean
  /** Name of the pile that is being weighed. */
  active?: string | null
  /** False where no price is known: then money says nothing, and weight is shown alone. */
  hasMoney?: boolean
  /** While weighing goes on: how it will end, for the money. */
  expected?: Appraisal
}

const SIZES = { large: { beam: 44, gap: 26 }, small: { beam: 9, gap: 9 } } as const
/** Rough width of a letter at the size of the labels, to see whether a name fits. */
const LETTER_WIDTH = 7
const NUMBER_ROOM = 16

/** Where the weight went and what carries the money, of the record that is appraised here. */
export function TwinBeam({ expected, ...props }: TwinBeamProps) {
  const { appraisal, format } = useAppraised()
  const beam = useMemo(() => twinBeam(appraisal, expected), [appraisal, expected])
  return <BeamFigure beam={beam} format={format} {...props} />
}

interface BeamFigureProps extends Omit<TwinBeamProps, 'expected'> {
  beam: Beam
  format: Format
}

/** Two beams to scale, each pile linked to itself. */
export function BeamFigure({ beam, format, small = false, active = null, hasMoney = true }: BeamFigureProps) {
  const [ref, width] = useWidth<HTMLDivElement>(small ? 180 : 1200)
  const id = useId()
  const { beam: height, gap } = small ? SIZES.small : SIZES.large
  const total = hasMoney ? height * 2 + gap : height
  const shown = hasMoney ? (['weight', 'money'] as const) : (['weight'] as const)
  const moneyBySegment = new Map(beam.money.map((segment) => [segment.at ?? segment.kind, segment]))
  return (
    <figure className={small ? `${css.twinBeam} small` : css.twinBeam} ref={ref}>
      <svg width={width} height={total} viewBox={`0 0 ${width} ${total}`} aria-hidden focusable="false">
        <BeamPatterns id={id} />
        {beam.weight.map((segment) => {
          const money = hasMoney && segment.kind === 'pile' ? moneyBySegment.get(segment.at ?? -1) : undefined
          return money ? (
            <Link key={segment.at} width={width} top={height} bottom={height + gap} above={segment} below={money} />
          ) : null
        })}
        {shown.map((which) => (
          <g key={which} transform={`translate(0 ${which === 'weight' ? 0 : height + gap})`}>
            {beam[which].map((segment) => (
              <Stretch
                key={segment.at ?? segment.kind}
                segment={segment}
                width={width}
                height={height}
                patternId={id}
                isMoney={which === 'money'}
                isActive={active !== null && segment.pile === active}
                amount={
                  small ? null : which === 'weight' ? format.weight(segment.amount) : format.money(segment.amount)
                }
              />
            ))}
          </g>
        ))}
      </svg>
      <table className="visually-hidden">
        <caption>Where the weight went{hasMoney ? ', and what carries the money' : ''}</caption>
        <thead>
          <tr>
            <th>Pile</th>
            <th>Weight</th>
            <th>Share of weight</th>
            {hasMoney ? (
              <>
                <th>Money</th>
                <th>Share of money</th>
              </>
            ) : null}
          </tr>
        </thead>
        <tbody>
          {beam.weight.map((segment) => {
            const money = moneyBySegment.get(segment.at ?? segment.kind)
            return (
              <tr key={segment.at ?? segment.kind}>
                <th>{nameOf(segment)}</th>
                <td>{format.weight(segment.amount)}</td>
                <td>{format.share(segment.share)}</td>
                {hasMoney ? (
                  <>
                    <td>{money ? format.money(money.amount) : 'none'}</td>
                    <td>{money ? format.share(money.share) : 'none'}</td>
                  </>
                ) : null}
              </tr>
            )
          })}
        </tbody>
      </table>
    </figure>
  )
}

const OTHER_NAMES = { purge: 'drained', rest: 'not weighed', short: 'short' } as const
const nameOf = (segment: Segment) => segment.pile ?? OTHER_NAMES[segment.kind as keyof typeof OTHER_NAMES]

interface StretchProps {
  segment: Segment
  width: number
  height: number
  patternId: string
  isMoney: boolean
  isActive: boolean
  amount: string | null
}

/** By-products take turns in pattern, so that neighbours differ without hue. */
const PATTERNS = ['slant', 'dots', 'lines', 'counter'] as const

function fillOf(segment: Segment, patternId: string, isMoney: boolean): string {
  if (segment.kind !== 'pile') return segment.kind === 'rest' ? `url(#${patternId}-rest)` : 'var(--beam-empty)'
  if (segment.class === 'primary') return (segment.at ?? 0) % 2 === 0 ? 'var(--beam-primary)' : 'var(--beam-primary-2)'
  if (segment.class === 'waste') return `url(#${patternId}-waste)`
  const pattern = PATTERNS[(segment.at ?? 0) % PATTERNS.length]
  return `url(#${patternId}-${pattern}${isMoney ? '-kept' : ''})`
}

function Stretch({ segment, width, height, patternId, isMoney, isActive, amount }: StretchProps) {
  const x = segment.from * width
  const w = Math.max(0, (segment.to - segment.from) * width - 1)
  const number = segment.at === null ? '' : String(segment.at + 1)
  const name = nameOf(segment)
  const fits = (text: string) => text.length * LETTER_WIDTH < w - 12
  const isPrimary = segment.class === 'primary'
  return (
    <g className={isActive ? `${css.stretch} active` : css.stretch}>
      <rect x={x} width={w} height={height} fill={fillOf(segment, patternId, isMoney)} />
      {amount === null ? null : (
        <g className={isPrimary ? css.onDark : undefined}>
          {isPrimary || !fits(name) ? null : (
            <rect
              className={css.stretchPlate}
              x={x + 3}
              y={4}
              width={Math.max(name.length, amount.length) * LETTER_WIDTH + 6}
              height={height - 8}
            />
          )}
          {fits(name) ? (
            <>
              <text x={x + 6} y={18}>
                {name}
              </text>
              <text className={css.stretchAmount} x={x + 6} y={35}>
                {amount}
              </text>
            </>
          ) : w > NUMBER_ROOM && number !== '' ? (
            <>
              {isPrimary ? null : (
                <rect className={css.stretchPlate} x={x + w / 2 - 8} y={height / 2 - 10} width={16} height={20} />
              )}
              <text x={x + w / 2} y={height / 2 + 5} textAnchor="middle">
                {number}
              </text>
            </>
          ) : null}
        </g>
      )}
      <title>{amount === null ? name : `${name}: ${amount}`}</title>
    </g>
  )
}

interface LinkProps {
  width: number
  top: number
  bottom: number
  above: Segment
  below: Segment
}

function Link({ width, top, bottom, above, below }: LinkProps) {
  const at = (share: number, y: number) => `${(share * width).toFixed(1)} ${y}`
  return (
    <path
      className={above.class === 'primary' ? `${css.beamLink} ${css.primary}` : css.beamLink}
      d={`M${at(above.from, top)}L${at(above.to, top)}L${at(below.to, bottom)}L${at(below.from, bottom)}Z`}
    />
  )
}

function BeamPatterns({ id }: { id: string }) {
  const line = (
    name: string,
    d: string,
    pattern: 'beam-pattern' | 'beam-kept' | 'beam-waste' | 'beam-rest' = 'beam-pattern',
  ) => (
    <pattern key={name} id={`${id}-${name}`} width="8" height="8" patternUnits="userSpaceOnUse">
      <rect width="8" height="8" className={css[`${pattern}-ground`]} />
      <path d={d} className={css[pattern]} />
    </pattern>
  )
  const drawings = {
    slant: 'M-2 2L2 -2M0 8L8 0M6 10L10 6',
    dots: 'M2 2h1.5M6 6h1.5',
    lines: 'M0 2H8M0 6H8',
    counter: 'M-2 6L2 10M0 0L8 8M6 -2L10 2',
  }
  return (
    <defs>
      {Object.entries(drawings).map(([name, d]) => line(name, d))}
      {Object.entries(drawings).map(([name, d]) => line(`${name}-kept`, d, 'beam-kept'))}
      {line('waste', 'M0 0L8 8M8 0L0 8', 'beam-waste')}
      {line('rest', 'M0 8L8 0', 'beam-rest')}
    </defs>
  )
}
