/** What the kitchen has for it, and what nobody told and is assumed. Minutes of the day, counted from midnight. */
export interface WorkSettings {
  boards: number
  saws: number
  stoves: number
  /** The cooks' hours begin. */
  begins: number
  service: number
  /** The last one leaves the kitchen. */
  closes: number
  /** So long before service everything is done. */
  buffer: number
  /** It is best done so long before that: what goes wrong in a morning is made up for. */
  slack: number
  /** A load is back in the cold within so many minutes. */
  boardMinutes: number
  packMinutes: number
  setHours: number
  stockHours: number
  /** The board is cleaned for so long where species follow in the order fish, red meat, poultry, and the other way. */
  cleanDown: number
  against: number
}

export const USUAL_WORK: WorkSettings = {
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
