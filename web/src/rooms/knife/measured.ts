import type { MeasuringWay } from '@fleam/core'
import { readSetting, writeSetting } from '../../parts/settings.ts'

export interface MeasuredCut {
  planned: number
  weighed: number
}

/** So many of the latest portions tell how far off a way of measuring is. */
const MOST_KEPT = 80
const nameOf = (way: MeasuringWay, shape: string) => `measured.${way}.${shape}`

/** Portions that were planned and weighed on this device, of pieces of one shape known in one way. */
export function measuredCuts(way: MeasuringWay, shape: string): MeasuredCut[] {
  try {
    const read: unknown = JSON.parse(readSetting(nameOf(way, shape)) ?? '[]')
    return Array.isArray(read) ? (read as MeasuredCut[]).filter((cut) => cut.planned > 0 && cut.weighed > 0) : []
  } catch {
    return []
  }
}

export function keepMeasured(way: MeasuringWay, shape: string, cut: MeasuredCut): void {
  writeSetting(nameOf(way, shape), JSON.stringify([...measuredCuts(way, shape), cut].slice(-MOST_KEPT)))
}
