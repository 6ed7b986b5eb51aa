export { MINUTES_OF_A_DAY } from '../../calendar/index.ts'

/** What is assumed of a kitchen that nobody told of. */
export const USUAL_WORK = {
  boards: 2,
  saws: 1,
  stoves: 2,
  begins: 8 * 60,
  service: 18 * 60,
  closes: 22 * 60,
  buffer: 30,
  slack: 30,
  boardMinutes: 30,
  packMinutes: 10,
  setHours: 8,
  stockHours: 6,
  cleanDown: 10,
  against: 20,
}
