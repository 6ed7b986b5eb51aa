export type { PortionControl } from './portion-control.ts'
export { givenAwayAWeek, portionControl } from './portion-control.ts'
export { servedWeight } from './served.ts'
