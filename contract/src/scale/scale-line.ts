import { HEAVIEST_ON_A_SCALE } from '@fleam/core/limits'
import { GRAMS_PER_UNIT, type WeightUnit } from '@fleam/core/units'
import { z } from 'zod'

/**
 * The line protocol of a networked bench scale: text lines over TCP, ten or so a second, in the form
 * `weight=281.0 unit=g state=stable tare=0.0 device=demo-bench`. See docs/formats.md.
 */
export const SCALE_STATES = ['stable', 'moving', 'over', 'under'] as const
export type ScaleState = (typeof SCALE_STATES)[number]

/** What the server hands on to browsers; grams whatever the scale's own unit is. */
export const scaleReading = z.object({
  grams: z.number(),
  tareGrams: z.number(),
  state: z.enum(SCALE_STATES),
  /** Named by the device; `simulated` says it is a stand-in that can be driven from the page. */
  device: z.string(),
  simulated: z.boolean(),
})
export type ScaleReading = z.infer<typeof scaleReading>

export const scaleStatus = z.object({
  connected: z.boolean(),
  address: z.string().nullable(),
  reading: scaleReading.nullable(),
})
export type ScaleStatus = z.infer<typeof scaleStatus>

export const scaleCommand = z.strictObject({ command: z.enum(['tare', 'zero']) })
/** For the stand-in alone: what lies on its plate, in grams; 0 lifts it off. */
export const standInLoad = z.strictObject({ grams: z.number().min(0).max(100_000) })

/** Characters; a line without an end is no line of a scale. */
export const LONGEST_LINE = 200

/** Reads one line; null for anything that is not a whole reading, so that noise on the wire is passed over. */
export function parseScaleLine(line: string): ScaleReading | null {
  if (line.length > LONGEST_LINE) return null
  const fields = new Map(
    line
      .trim()
      .split(/\s+/)
      .map((field) => field.split('=', 2) as [string, string]),
  )
  const unit = fields.get('unit') as WeightUnit
  const gramsPerUnit = Object.hasOwn(GRAMS_PER_UNIT, unit) ? GRAMS_PER_UNIT[unit] : undefined
  const weight = decimal(fields.get('weight'))
  const tare = decimal(fields.get('tare') ?? '0')
  const state = SCALE_STATES.find((scaleState) => scaleState === fields.get('state'))
  if (gramsPerUnit === undefined || weight === null || tare === null || !state) return null
  return {
    grams: weight * gramsPerUnit,
    tareGrams: tare * gramsPerUnit,
    // No bench scale carries what nobody can mean, whatever it says of it.
    state: Math.abs(weight * gramsPerUnit) > HEAVIEST_ON_A_SCALE ? 'over' : state,
    device: fields.get('device') ?? 'scale',
    simulated: fields.get('stand-in') === 'yes',
  }
}

function decimal(text: string | undefined): number | null {
  return text !== undefined && /^[+-]?\d{1,9}(?:\.\d{1,6})?$/.test(text) ? Number(text) : null
}

export interface ScaleLine {
  weight: number
  unit: WeightUnit
  state: ScaleState
  tare: number
  device: string
  standIn: boolean
  decimals: number
}

/** A line as a scale sends it, without its end; `decimals` of its own unit. */
export function formatScaleLine({ weight, unit, state, tare, device, standIn, decimals }: ScaleLine): string {
  const line = `weight=${weight.toFixed(decimals)} unit=${unit} state=${state} tare=${tare.toFixed(decimals)} device=${device}`
  return standIn ? `${line} stand-in=yes` : line
}
