export type { Segment, SegmentKind, TwinBeam } from './twin-beam.ts'
export { twinBeam } from './twin-beam.ts'
