/** The front door of the stand-ins for devices. */
export type { BenchScaleOptions } from './bench-scale.ts'
export { BenchScale, KITCHEN_BENCH_SCALE } from './bench-scale.ts'
export { startScaleServer } from './scale-server.ts'
