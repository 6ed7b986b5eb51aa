import type { MeasuringWay } from '@fleam/core/facts'

/** How the shape of a piece is known. */
export const WAY_WORDS: Readonly<Record<MeasuringWay, string>> = {
  template: 'by weight and length',
  girths: 'by tape around it',
  outline: 'by a photograph',
}
