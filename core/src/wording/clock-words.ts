import { MINUTES_OF_A_DAY } from '../scheduling/index.ts'

const HOUR = 60

/** `8:05` of minutes since midnight of whatever day. */
export function clockWords(minutes: number): string {
  const ofDay = ((Math.round(minutes) % MINUTES_OF_A_DAY) + MINUTES_OF_A_DAY) % MINUTES_OF_A_DAY
  return `${Math.floor(ofDay / HOUR)}:${String(ofDay % HOUR).padStart(2, '0')}`
}
