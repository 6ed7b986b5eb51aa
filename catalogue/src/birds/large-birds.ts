import { option, pilesFor } from '../build.ts'
import type { CatalogueItem } from '../schema.ts'
import { birdStep as step } from './steps.ts'

const BIRDS = { one: 'bird', many: 'birds' }
const turkey = pilesFor('poultry', 9000)
const duck = pilesFor('poultry', 2400)
const goose = pilesFor('poultry', 4500)
const capon = pilesFor('poultry', 3500)

const fatOrder = option('order', 'Order', {
  'Legs, wings, breasts': { id: 'legs-first', why: 'The bird lies still while the breasts come off.' },
  'Breasts first': {
    id: 'breasts-first',
    why: 'On a fat bird the breasts come off before the fat warms.',
    order: ['breasts', 'legs', 'wings'],
  },
})

export const TURKEY: CatalogueItem = {
  id: 'turkey',
  name: 'Turkey, eviscerated',
  family: 'Turkey',
  species: 'poultry',
  drawing: 'bird',
  shape: null,
  unitName: BIRDS,
  unitWeight: { low: 6000, usual: 9000, high: 12000 },
  landmarks: ['joints as on a chicken, larger', 'long tendons in the drumstick', 'keel as long as a hand'],
  styles: [
    {
      id: 'turkey-parts',
      name: 'Parts, boneless breast and thigh',
      minutesPerUnit: 18,
      normalLoss: 0.005,
      piles: [
        turkey.together('breasts, boneless', 33, 12, {
          region: 'breast',
          landmark: 'tenderloin on; one breast may serve six',
        }),
        turkey.together('thighs, boneless', 13, 6, { region: 'thigh', landmark: 'kneecap out' }),
        turkey.parts('drumsticks', 12, 'drumstick', 'to braise', { bone: 0.3 }),
        turkey.parts('wings', 11, 'wing', 'to braise or for stock', { bone: 0.45 }),
        turkey.bones('carcass', 24, 'back', 'split for the pot'),
        turkey.fat('fat and giblets', 5, 'vent', 'liver apart'),
        turkey.waste('bin', 1.5),
      ],
      steps: [
        step('dry'),
        step('legs'),
        step('divide', ['drumsticks']),
        step('thigh-bone', ['thighs, boneless']),
        step('wings', ['wings']),
        step('breasts', ['breasts, boneless']),
        step('carcass', ['carcass', 'fat and giblets']),
        step('clean-down', ['bin']),
      ],
      options: [
        option('order', 'Order', {
          'Legs, wings, breasts': { id: 'legs-first', why: 'The bird lies still while the breasts come off.' },
          'Wings first': {
            id: 'wings-first',
            why: 'Suits a line of cooks: the bird gets lighter for the next one.',
            order: ['wings', 'legs', 'divide', 'thigh-bone', 'breasts'],
          },
        }),
      ],
      consumables: [],
    },
    {
      id: 'turkey-flat',
      name: 'Spatchcock',
      minutesPerUnit: 6,
      normalLoss: 0.005,
      piles: [
        turkey.together('flat bird', 90, 20, { region: 'breast', landmark: 'lies flat by itself', bone: 0.26 }),
        turkey.bones('backbone, neck, giblets', 8.5, 'back', 'for stock'),
        turkey.waste('bin', 1),
      ],
      steps: [
        step('dry'),
        step('backbone', ['backbone, neck, giblets']),
        step('press', ['flat bird']),
        step('clean-down', ['bin']),
      ],
      options: [],
      consumables: [],
    },
  ],
}

export const DUCK: CatalogueItem = {
  id: 'duck',
  name: 'Duck',
  family: 'Duck',
  species: 'poultry',
  drawing: 'bird',
  shape: null,
  unitName: BIRDS,
  unitWeight: { low: 2200, usual: 2400, high: 2600 },
  landmarks: ['long keel, thick skin', 'hip socket further back than on a chicken', 'neck skin: keep it'],
  styles: [
    {
      id: 'duck-breast-confit',
      name: 'Breasts and confit legs',
      minutesPerUnit: 9,
      normalLoss: 0.005,
      piles: [
        duck.pieces('breasts', 23, 2, { region: 'breast', landmark: 'tenderloin on, skin scored cold' }),
        duck.pieces('legs', 25, 2, { region: 'thigh', landmark: 'knuckle ringed, for confit', bone: 0.26, loss: 0.35 }),
        duck.parts('wings', 9, 'wing', 'for stock or confit', { bone: 0.45 }),
        duck.bones('carcass and neck', 25, 'back', 'for stock'),
        duck.fat('fat and skin', 16, 'vent', 'every scrap, to render'),
        duck.waste('bin', 1.5),
      ],
      steps: [
        step('dry'),
        step('legs'),
        step('wings'),
        step('breasts'),
        step('fat', ['wings']),
        step('knuckle', ['legs']),
        step('score-skin', ['breasts']),
        step('carcass', ['carcass and neck', 'fat and skin']),
        step('clean-down', ['bin']),
      ],
      options: [fatOrder],
      consumables: [],
    },
  ],
}

export const GOOSE: CatalogueItem = {
  id: 'goose',
  name: 'Goose',
  family: 'Goose',
  species: 'poultry',
  drawing: 'bird',
  shape: null,
  unitName: BIRDS,
  unitWeight: { low: 4000, usual: 4500, high: 5000 },
  landmarks: ['very thick fat at vent and neck', 'strong wing joints', 'neck skin: keep it'],
  styles: [
    {
      id: 'goose-breast-legs',
      name: 'Breasts and legs',
      minutesPerUnit: 14,
      normalLoss: 0.01,
      piles: [
        goose.pieces('breasts', 20, 2, { region: 'breast', landmark: 'tenderloin on, skin scored cold' }),
        goose.pieces('legs', 22, 2, { region: 'thigh', landmark: 'knuckle ringed', bone: 0.26, loss: 0.35 }),
        goose.parts('wings', 11, 'wing', 'for stock', { bone: 0.45 }),
        goose.bones('carcass', 22, 'back', 'for stock'),
        goose.fat('fat and skin', 22, 'vent', 'every scrap, to render'),
        goose.waste('bin', 2),
      ],
      steps: [
        step('dry'),
        step('legs'),
        step('wings'),
        step('breasts'),
        step('fat', ['wings']),
        step('knuckle', ['legs']),
        step('score-skin', ['breasts']),
        step('carcass', ['carcass', 'fat and skin']),
        step('clean-down', ['bin']),
      ],
      options: [fatOrder],
      consumables: [],
    },
  ],
}

export const CAPON: CatalogueItem = {
  id: 'capon',
  name: 'Capon',
  family: 'Capon',
  species: 'poultry',
  drawing: 'bird',
  shape: null,
  unitName: BIRDS,
  unitWeight: { low: 3000, usual: 3500, high: 4000 },
  landmarks: ['where ribs end and legs begin: the bird folds there', 'broad breast, much fat under the skin'],
  styles: [
    {
      id: 'capon-front-legs',
      name: 'Front half and legs',
      minutesPerUnit: 5,
      normalLoss: 0.01,
      piles: [
        capon.together('front, on the bone', 52, 4, { region: 'breast', landmark: 'roasted on its bones', bone: 0.22 }),
        capon.pieces('legs', 34, 2, {
          region: 'thigh',
          landmark: 'thigh and drumstick in one',
          bone: 0.26,
          loss: 0.35,
        }),
        capon.bones('back and fat', 11, 'back', 'back to stock, fat to render'),
        capon.waste('bin', 2),
      ],
      steps: [step('dry'), step('front', ['front, on the bone', 'legs', 'back and fat']), step('clean-down', ['bin'])],
      options: [],
      consumables: [],
    },
  ],
}
