export type { KeptBeam, Segment, TwinBeam } from './twin-beam.ts'
export { beamOf, keptBeam, twinBeam } from './twin-beam.ts'
