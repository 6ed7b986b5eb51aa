import type { CatalogueItem, StylePile } from './schema.ts'

const primary = (
  name: string,
  expectedShare: number,
  portionsPerUnit: number,
  bounds: StylePile['bounds'],
  landmark: string,
): StylePile => ({
  name,
  class: 'primary',
  weighing: 'pieces',
  expectedShare,
  portionsPerUnit,
  bounds,
  landmark,
})
const whole = (pile: StylePile): StylePile => ({ ...pile, weighing: 'whole' })
const rest = (name: string, pileClass: 'by-product' | 'waste', expectedShare: number, landmark: string): StylePile => ({
  name,
  class: pileClass,
  weighing: 'whole',
  expectedShare,
  portionsPerUnit: null,
  bounds: null,
  landmark,
})

/** Chicken, drawn: starting yields as shares of the eviscerated bird, portion bounds for one of 2.1 kg. */
export const CHICKEN: CatalogueItem = {
  id: 'chicken',
  name: 'Chicken, eviscerated',
  species: 'poultry',
  unitName: { one: 'bird', many: 'birds' },
  unitWeight: { low: 1600, usual: 2100, high: 2600 },
  styles: [
    {
      id: 'chicken-supremes',
      name: 'Supremes and boneless thighs',
      minutesPerUnit: 9,
      normalLoss: 0.015,
      piles: [
        primary('supremes', 0.27, 2, { target: 280, low: 235, high: 310 }, 'breast with its wing bone, skin on'),
        whole(primary('thighs, boneless', 0.13, 2, { target: 136, low: 115, high: 160 }, 'skin on, kneecap out')),
        rest('drumsticks', 'by-product', 0.135, 'cut just below the fat line'),
        rest('wing tips and flats', 'by-product', 0.08, 'beyond the first wing joint'),
        rest('bones and back', 'by-product', 0.31, 'carcass, back, neck, thigh bones'),
        rest('fat', 'by-product', 0.04, 'loose yellow fat, to render'),
        rest('bin', 'waste', 0.02, 'glands, torn skin, what is thrown away'),
      ],
    },
    {
      id: 'chicken-eight-pieces',
      name: 'Eight bone-in pieces',
      minutesPerUnit: 5,
      normalLoss: 0.01,
      piles: [
        primary('breasts with ribs', 0.33, 2, { target: 346, low: 310, high: 385 }, 'split along the keel'),
        primary('thighs', 0.17, 2, { target: 178, low: 155, high: 205 }, 'oyster on'),
        primary('drumsticks', 0.135, 2, { target: 142, low: 120, high: 165 }, 'cut just below the fat line'),
        primary('wings', 0.115, 2, { target: 121, low: 100, high: 145 }, 'no breast meat on them'),
        rest('back and neck', 'by-product', 0.2, 'for stock'),
        rest('fat and skin', 'by-product', 0.03, 'to render'),
        rest('bin', 'waste', 0.01, 'what is thrown away'),
      ],
    },
    {
      id: 'chicken-boneless',
      name: 'Boneless and skinless',
      minutesPerUnit: 11,
      normalLoss: 0.015,
      piles: [
        primary('breasts', 0.2, 2, { target: 210, low: 185, high: 235 }, 'no rib, no blade marks'),
        whole(primary('tenders', 0.045, 2, { target: 47, low: 35, high: 60 }, 'tendon drawn')),
        whole(primary('leg meat', 0.175, 2, { target: 184, low: 150, high: 220 }, 'kneecap and cartilage out')),
        rest('wings', 'by-product', 0.115, 'whole'),
        rest('bones and back', 'by-product', 0.32, 'for stock'),
        rest('skin and fat', 'by-product', 0.11, 'to render'),
        rest('bin', 'waste', 0.02, 'what is thrown away'),
      ],
    },
    {
      id: 'chicken-quarters',
      name: 'Split breast and leg quarters',
      minutesPerUnit: 5,
      normalLoss: 0.01,
      piles: [
        primary('split breasts', 0.35, 2, { target: 367, low: 325, high: 405 }, 'on the bone, skin shared evenly'),
        primary('leg quarters', 0.31, 2, { target: 325, low: 290, high: 365 }, 'thigh and drumstick in one'),
        rest('wings', 'by-product', 0.115, 'whole'),
        rest('back', 'by-product', 0.18, 'for stock'),
        rest('fat', 'by-product', 0.025, 'to render'),
        rest('bin', 'waste', 0.01, 'what is thrown away'),
      ],
    },
  ],
}
