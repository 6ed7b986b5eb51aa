import { option, pilesFor, portionControl } from '../build.ts'
import type { CatalogueItem } from '../schema.ts'
import { beefStep as step } from './steps.ts'

const eye = pilesFor('red-meat', 5500)
const rib = pilesFor('red-meat', 9000)
const sirloin = pilesFor('red-meat', 6000)

const cover = (steaks: string, fat: string) =>
  option('cover', 'Fat cover', {
    'Thin cover, 5 mm': { id: 'thin', why: 'It melts and keeps shape and flavour.' },
    Bare: { id: 'bare', why: 'Nothing to leave on the plate.', minutes: 2, shares: { [steaks]: -5, [fat]: 5 } },
  })

const coverSteps = (fat: string) => [
  step('cover-thin', [fat], { when: { option: 'cover', choice: 'thin' } }),
  step('cover-bare', [fat], { when: { option: 'cover', choice: 'bare' } }),
]

export const RIB_EYE: CatalogueItem = {
  id: 'rib-eye',
  name: 'Rib eye, boneless, lip on',
  family: 'Rib eye',
  species: 'red-meat',
  drawing: 'block',
  shape: 'rib-eye',
  unitName: { one: 'piece', many: 'pieces' },
  unitWeight: { low: 4500, usual: 5500, high: 6500 },
  landmarks: ['lip along one side', 'fatty shoulder end, lean loin end', 'bone groove: feel it for chips'],
  styles: [
    {
      id: 'rib-eye-steaks',
      name: 'Steaks',
      minutesPerUnit: 14,
      normalLoss: 0.01,
      piles: [
        eye.pieces('steaks', 82, 11, { region: 'eye', landmark: 'about 3 cm thick' }),
        eye.trim('strips', 4, 'ends', 'from the ends'),
        eye.fat('fat', 9, 'lip', 'to render'),
        eye.waste('bin', 3),
        eye.liquid('liquid', 1, null, 'from the bag'),
      ],
      steps: [
        step('drain', ['liquid']),
        step('lip'),
        ...coverSteps('fat'),
        step('square', ['strips']),
        step('steaks', ['steaks']),
        step('clean-down', ['bin']),
      ],
      options: [cover('steaks', 'fat'), portionControl('about 3 cm')],
      consumables: [],
    },
  ],
}

export const RIB: CatalogueItem = {
  id: 'rib',
  name: 'Rib, bone in, seven ribs',
  family: 'Rib',
  species: 'red-meat',
  drawing: 'block',
  shape: null,
  unitName: { one: 'rib', many: 'ribs' },
  unitWeight: { low: 8000, usual: 9000, high: 10000 },
  landmarks: ['seven ribs, chine along their heads', 'blade end and loin end', 'lip and hard fat'],
  styles: [
    {
      id: 'rib-steaks-back-ribs',
      name: 'Steaks off the bone, back ribs',
      minutesPerUnit: 22,
      normalLoss: 0.01,
      piles: [
        rib.pieces('steaks', 60, 14, { region: 'eye', landmark: 'about 3 cm thick' }),
        rib.together('back ribs', 16, 3, { region: 'bone', landmark: 'in one piece, sold by the rack', bone: 0.45 }),
        rib.bones('chine bone', 6, 'bone', 'cord out, for stock'),
        rib.trim('trim', 5, 'ends', 'for mince'),
        rib.fat('fat', 8, 'lip', 'to render'),
        rib.waste('bin', 3),
        rib.liquid('liquid', 1, null, 'from the bag'),
      ],
      steps: [
        step('drain', ['liquid']),
        step('cord'),
        step('saw-chine', ['chine bone']),
        step('off-bone', ['back ribs']),
        step('lip'),
        ...coverSteps('fat'),
        step('square', ['trim']),
        step('steaks', ['steaks']),
        step('clean-down', ['bin']),
      ],
      options: [cover('steaks', 'fat'), portionControl('about 3 cm')],
      consumables: [],
    },
  ],
}

export const TOP_SIRLOIN: CatalogueItem = {
  id: 'top-sirloin',
  name: 'Top sirloin, cap on',
  family: 'Top sirloin',
  species: 'red-meat',
  drawing: 'block',
  shape: null,
  unitName: { one: 'piece', many: 'pieces' },
  unitWeight: { low: 5500, usual: 6000, high: 6500 },
  landmarks: [
    'cap, with its silver seam',
    'loose top muscle',
    'heart: a filet part and a broad part',
    'the grain turns: look before each cut',
  ],
  styles: [
    {
      id: 'top-sirloin-three',
      name: 'Cap steaks, filet steaks, broad steaks',
      minutesPerUnit: 24,
      normalLoss: 0.01,
      piles: [
        sirloin.pieces('cap steaks', 14, 4, { region: 'cap', landmark: 'across the grain' }),
        sirloin.pieces('filet steaks', 17, 5, { region: 'eye', landmark: 'thick and square' }),
        sirloin.pieces('broad steaks', 29, 7, { region: 'heart', landmark: 'across the grain' }),
        sirloin.trim('stew and strips', 18, 'ends', 'top muscle and ends'),
        sirloin.waste('fat and sinew', 19.5, 'lip'),
        sirloin.waste('bin', 0.5),
        sirloin.liquid('liquid', 1, null, 'from the bag'),
      ],
      steps: [
        step('drain', ['liquid']),
        step('cap'),
        step('fat-off'),
        step('cap-steaks', ['cap steaks']),
        step('filet-part'),
        step('steaks', ['filet steaks', 'broad steaks']),
        step('ends', ['stew and strips', 'fat and sinew']),
        step('clean-down', ['bin']),
      ],
      options: [],
      consumables: [],
    },
  ],
}
