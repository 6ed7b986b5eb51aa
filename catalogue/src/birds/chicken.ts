import { option, pilesFor } from '../build.ts'
import type { CatalogueItem, CatalogueStyle } from '../schema.ts'
import { birdStep as step } from './steps.ts'

const USUAL = 2100
const { bones, fat, parts, pieces, together, trim, waste } = pilesFor('poultry', USUAL)

const BIN = waste('bin', 2, null, 'glands, torn skin, what is thrown away')

/** Wishbone out first, or left: a step worth of its own. */
const wishbone = (pile: string, from: string) =>
  option('wishbone', 'Wishbone', {
    'Out first': { id: 'out', why: 'More breast meat, and the breast comes off more easily.', minutes: 0 },
    'Leave it': {
      id: 'left',
      why: 'The seconds cost more than the few grams.',
      minutes: -0.5,
      shares: { [pile]: -0.3, [from]: 0.3 },
    },
  })
const wishboneStep = (pile: string) =>
  step('wishbone', [], {
    isOptional: true,
    gain: { pile, grams: 6, seconds: 30 },
    when: { option: 'wishbone', choice: 'out' },
  })

const order = (legs: readonly string[], wings: readonly string[], breasts: readonly string[]) =>
  option('order', 'Order', {
    'Legs, wings, breasts': { id: 'legs-first', why: 'The bird lies still on its back while the breasts come off.' },
    'Wings first': {
      id: 'wings-first',
      why: 'Frees the shoulder before anything else.',
      order: [...wings, ...legs, ...breasts],
    },
    'Breasts first': {
      id: 'breasts-first',
      why: 'On fat birds the breasts come off before the fat warms.',
      order: [...breasts, ...legs, ...wings],
    },
  })

const styles: CatalogueStyle[] = [
  {
    id: 'chicken-supremes',
    name: 'Supremes and boneless thighs',
    minutesPerUnit: 9,
    normalLoss: 0.015,
    piles: [
      {
        ...pieces('supremes', 27, 2, {
          region: 'breast',
          landmark: 'breast with its wing bone, skin and tenderloin on',
          bone: 0.07,
        }),
        bounds: { target: 280, low: 235, high: 310 },
      },
      {
        ...together('thighs, boneless', 13, 2, { region: 'thigh', landmark: 'skin on, kneecap out' }),
        bounds: { target: 136, low: 115, high: 160 },
      },
      parts('drumsticks', 13.5, 'drumstick', 'cut just below the fat line', { bone: 0.3 }),
      parts('wing tips and flats', 8, 'wing-tip', 'beyond the first wing joint'),
      bones('bones and back', 31, 'back', 'carcass, back, neck, thigh bones'),
      fat('fat', 4, 'vent', 'loose yellow fat, to render'),
      BIN,
    ],
    steps: [
      step('dry'),
      wishboneStep('supremes'),
      step('legs'),
      step('divide', ['drumsticks']),
      step('thigh-bone', ['thighs, boneless']),
      step('wing-ends', ['wing tips and flats']),
      step('supremes', ['supremes']),
      step('carcass', ['bones and back', 'fat']),
      step('clean-down', ['bin']),
    ],
    options: [
      wishbone('supremes', 'bones and back'),
      order(['legs', 'divide', 'thigh-bone'], ['wing-ends'], ['supremes']),
    ],
    consumables: [],
  },
  {
    id: 'chicken-eight-pieces',
    name: 'Eight bone-in pieces',
    minutesPerUnit: 5,
    normalLoss: 0.01,
    piles: [
      pieces('breasts with ribs', 33, 2, { region: 'breast', landmark: 'split along the keel', bone: 0.18 }),
      pieces('thighs', 17, 2, { region: 'thigh', landmark: 'oyster on', within: 0.15, bone: 0.2 }),
      pieces('drumsticks', 13.5, 2, {
        region: 'drumstick',
        landmark: 'cut just below the fat line',
        within: 0.15,
        bone: 0.3,
      }),
      pieces('wings', 11.5, 2, { region: 'wing', landmark: 'no breast meat on them', within: 0.17, bone: 0.45 }),
      bones('back and neck', 20, 'back', 'for stock'),
      fat('fat and skin', 3, 'vent', 'to render'),
      { ...BIN, expectedShare: 0.01 },
    ],
    steps: [
      step('dry'),
      step('legs'),
      step('divide', ['thighs', 'drumsticks']),
      step('wings', ['wings']),
      step('split', ['breasts with ribs']),
      step('carcass', ['back and neck', 'fat and skin']),
      step('clean-down', ['bin']),
    ],
    options: [order(['legs', 'divide'], ['wings'], ['split'])],
    consumables: [],
  },
  {
    id: 'chicken-boneless',
    name: 'Boneless and skinless',
    minutesPerUnit: 11,
    normalLoss: 0.015,
    piles: [
      pieces('breasts', 20, 2, { region: 'breast', landmark: 'skinless, tenderloin off, no rib' }),
      together('tenders', 4.5, 2, { region: 'tender', landmark: 'tendon drawn', within: 0.25 }),
      together('leg meat', 17.5, 2, {
        region: 'thigh',
        landmark: 'skinless, kneecap and cartilage out',
        within: 0.18,
        loss: 0.35,
      }),
      parts('wings', 11.5, 'wing', 'whole', { bone: 0.45 }),
      bones('bones and back', 32, 'back', 'for stock'),
      fat('skin and fat', 11, 'vent', 'to render'),
      BIN,
    ],
    steps: [
      step('dry'),
      wishboneStep('breasts'),
      step('legs'),
      step('leg-bone'),
      step('wings', ['wings']),
      step('breasts'),
      step('tenders'),
      step('skin'),
      step('feel', ['breasts', 'tenders', 'leg meat']),
      step('carcass', ['bones and back', 'skin and fat']),
      step('clean-down', ['bin']),
    ],
    options: [wishbone('breasts', 'bones and back'), order(['legs', 'leg-bone'], ['wings'], ['breasts', 'tenders'])],
    consumables: [],
  },
  {
    id: 'chicken-quarters',
    name: 'Split breast and leg quarters',
    minutesPerUnit: 5,
    normalLoss: 0.01,
    piles: [
      pieces('split breasts', 35, 2, { region: 'breast', landmark: 'on the bone, skin shared evenly', bone: 0.18 }),
      pieces('leg quarters', 31, 2, {
        region: 'thigh',
        landmark: 'thigh and drumstick in one',
        bone: 0.26,
        loss: 0.35,
      }),
      parts('wings', 11.5, 'wing', 'whole', { bone: 0.45 }),
      bones('back', 18, 'back', 'for stock'),
      fat('fat', 2.5, 'vent', 'to render'),
      { ...BIN, expectedShare: 0.01 },
    ],
    steps: [
      step('dry'),
      step('legs', ['leg quarters']),
      step('wings', ['wings']),
      step('split', ['split breasts']),
      step('carcass', ['back', 'fat']),
      step('clean-down', ['bin']),
    ],
    options: [order(['legs'], ['wings'], ['split'])],
    consumables: [],
  },
  {
    id: 'chicken-halves',
    name: 'Scored halves',
    minutesPerUnit: 3,
    normalLoss: 0.01,
    piles: [
      pieces('halves', 91, 2, { region: 'breast', landmark: 'scored to the bone for the marinade', bone: 0.26 }),
      bones('neck and fat', 6, 'vent', 'neck to stock, fat to render'),
      BIN,
    ],
    steps: [step('dry', ['neck and fat']), step('keel-cut'), step('halve', ['halves']), step('clean-down', ['bin'])],
    options: [],
    consumables: [],
  },
  {
    id: 'chicken-small-pieces',
    name: 'Small bone-in pieces, skinless',
    minutesPerUnit: 7,
    normalLoss: 0.01,
    piles: [
      together('pieces', 74, 5, { region: 'breast', landmark: 'for stew or curry', within: 0.15, bone: 0.26 }),
      bones('bones', 12, 'back', 'back and neck, for stock'),
      fat('skin and fat', 11, 'vent', 'to render'),
      BIN,
    ],
    steps: [
      step('dry'),
      step('skin'),
      step('joints', ['pieces']),
      step('carcass', ['bones', 'skin and fat']),
      step('clean-down', ['bin']),
    ],
    options: [],
    consumables: [],
  },
  ...(['pulled', 'followed'] as const).map(
    (way): CatalogueStyle => ({
      id: `chicken-boned-whole-${way}`,
      name:
        way === 'pulled' ? 'Boned whole for a roll, carcass pulled by hand' : 'Boned whole for a roll, knife all round',
      minutesPerUnit: way === 'pulled' ? 14 : 17,
      normalLoss: 0.01,
      piles: [
        together('boneless sheet', 63, 6, { region: 'breast', landmark: 'skin outside, as thick everywhere, tied' }),
        bones('bones and wing ends', 29, 'back', 'leg and wing bones too, for stock'),
        fat('fat and trim', 5, 'vent', 'to render'),
        BIN,
      ],
      steps: [
        step('dry'),
        step('wishbone'),
        step('wing-ends'),
        step(way === 'pulled' ? 'score-back' : 'round-the-cage'),
        step('draw-bones', ['bones and wing ends']),
        step('level', ['fat and trim']),
        step('feel'),
        step('roll', ['boneless sheet']),
        step('clean-down', ['bin']),
      ],
      options: [],
      consumables: [{ name: 'string', costPerUnit: null }],
    }),
  ),
  {
    id: 'chicken-cutlets',
    name: 'Cutlets',
    minutesPerUnit: 9,
    normalLoss: 0.015,
    piles: [
      pieces('cutlets', 23, 4, { region: 'breast', landmark: 'skinless, sliced level, beaten even' }),
      parts('leg meat', 17.5, 'thigh', 'boneless, skinless', { loss: 0.35 }),
      parts('wings', 11.5, 'wing', 'whole', { bone: 0.45 }),
      trim('cutlet trim', 1.5, 'tender', 'tenderloins and ends, for mince'),
      bones('bones and back', 32, 'back', 'for stock'),
      fat('skin and fat', 11, 'vent', 'to render'),
      BIN,
    ],
    steps: [
      step('dry'),
      step('legs'),
      step('leg-bone'),
      step('wings', ['wings']),
      step('breasts'),
      step('tenders'),
      step('skin'),
      step('cutlets', ['cutlet trim']),
      step('feel', ['cutlets', 'leg meat']),
      step('carcass', ['bones and back', 'skin and fat']),
      step('clean-down', ['bin']),
    ],
    options: [order(['legs', 'leg-bone'], ['wings'], ['breasts', 'tenders'])],
    consumables: [],
  },
]

export const CHICKEN: CatalogueItem = {
  id: 'chicken',
  name: 'Chicken, eviscerated',
  family: 'Chicken',
  species: 'poultry',
  drawing: 'bird',
  shape: null,
  unitName: { one: 'bird', many: 'birds' },
  unitWeight: { low: 1600, usual: USUAL, high: 2600 },
  landmarks: [
    'wishbone: a V at the neck',
    'keel: the breastbone, its tip soft on a young bird',
    'shoulder joint, where the wing meets the breast',
    'hip socket, and the oyster in the hollow of the back above it',
    'the pale fat line between thigh and drumstick',
    'three wing sections: drumette, flat, tip',
    'the inner fillet under each breast, with a white tendon',
  ],
  styles,
}

const leg = pilesFor('poultry', 340)

export const CHICKEN_LEGS: CatalogueItem = {
  id: 'chicken-legs',
  name: 'Chicken legs, whole',
  family: 'Chicken legs',
  species: 'poultry',
  drawing: 'bird',
  shape: null,
  unitName: { one: 'leg', many: 'legs' },
  unitWeight: { low: 280, usual: 340, high: 430 },
  landmarks: ['the pale fat line between thigh and drumstick', 'the needle bone beside the drum bone', 'kneecap'],
  styles: [
    {
      id: 'chicken-legs-rolled',
      name: 'Boneless rolled legs',
      minutesPerUnit: 5,
      normalLoss: 0.01,
      piles: [
        leg.pieces('rolls', 78, 1, { region: 'thigh', landmark: 'skin outside, tied four or five times' }),
        leg.bones('bones', 19, 'drumstick', 'for stock'),
        leg.waste('bin', 2),
      ],
      steps: [step('leg-bone', ['bones']), step('roll', ['rolls']), step('clean-down', ['bin'])],
      options: [],
      consumables: [{ name: 'string', costPerUnit: null }],
    },
  ],
}
