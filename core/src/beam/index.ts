export type { KeptBeam, KeptStretch, Segment, SegmentKind, TwinBeam } from './twin-beam.ts'
export { beamOf, keptBeam, twinBeam } from './twin-beam.ts'
