import { option, pilesFor, portionControl } from '../build.ts'
import type { CatalogueItem } from '../schema.ts'
import { beefStep as step } from './steps.ts'

const { fat, liquid, parts, pieces, together, trim, waste } = pilesFor('red-meat', 2600)

const trimTo = (steaks: string, waste_: string) =>
  option('cover', 'Fat and silverskin', {
    Bare: { id: 'bare', why: 'Trimmed to 0 mm: nothing on the plate but lean.' },
    'Thin cover, 3 mm': {
      id: 'thin',
      why: 'It melts anyway and keeps flavour. Compare yields only within one standard.',
      minutes: -1,
      shares: { [steaks]: 2, [waste_]: -2 },
    },
  })
const bare = { option: 'cover', choice: 'bare' }
const thin = { option: 'cover', choice: 'thin' }
const fatSteps = [step('pull-fat', [], { when: bare }), step('fat-thin', [], { when: thin })]
const silverskinSteps = [step('silverskin', [], { when: bare }), step('silverskin-bare', [], { when: thin })]
const tail = option('tail', 'Tail', {
  Medallions: { id: 'medallions', why: 'Two to a plate.' },
  'Folded under and tied': { id: 'tied', why: 'Rounder, thicker medallions for a minute of string.', minutes: 1.5 },
})
const tailSteps = (pile: string) => [
  step('tail', [pile], { when: { option: 'tail', choice: 'medallions' } }),
  step('tail-tied', [pile], { when: { option: 'tail', choice: 'tied' } }),
]

export const TENDERLOIN: CatalogueItem = {
  id: 'tenderloin',
  name: 'Beef tenderloin, peeled, side muscle on',
  family: 'Beef tenderloin',
  species: 'red-meat',
  drawing: 'loin',
  shape: 'tenderloin',
  unitName: { one: 'loin', many: 'loins' },
  unitWeight: { low: 2200, usual: 2600, high: 3200 },
  landmarks: [
    'thick head with a side lobe, even centre, thin tail',
    'chain: the side muscle that runs along it',
    'silverskin on top, patches of fat on it',
    'small loose flaps where the ribs were',
  ],
  styles: [
    {
      id: 'tenderloin-steaks-roast',
      name: 'Steaks, head roast and tips',
      minutesPerUnit: 14,
      normalLoss: 0.01,
      piles: [
        pieces('centre steaks', 41, 5, { region: 'centre', landmark: 'about 4 cm thick, faces square' }),
        together('head roast', 19, 2, { region: 'head', landmark: 'in one piece' }),
        parts('medallions', 9, 'tail', 'two to a plate'),
        trim('tips', 13, 'chain', 'from tail and chain'),
        fat('fat', 6, 'fat', 'to render'),
        waste('sinew', 9.5, 'silverskin'),
        waste('bin', 0.5),
        liquid('liquid', 1, null, 'from the bag'),
      ],
      steps: [
        step('drain', ['liquid']),
        ...fatSteps,
        step('chain'),
        step('lobe', [], { isOptional: true, when: { option: 'lobe', choice: 'out' } }),
        ...silverskinSteps,
        step('square'),
        step('head-roast', ['head roast']),
        step('steaks', ['centre steaks']),
        ...tailSteps('medallions'),
        step('tips', ['tips', 'fat', 'sinew']),
        step('clean-down', ['bin']),
      ],
      options: [
        trimTo('centre steaks', 'sinew'),
        tail,
        portionControl('about 4 cm'),
        option('lobe', 'Side lobe', {
          'Leave it on the head': { id: 'on', why: 'A larger roast.' },
          'Seam it out': {
            id: 'out',
            why: 'A rounder head; the lobe is rolled and tied or cut for tips.',
            minutes: 2,
            shares: { 'head roast': -4, tips: 4 },
          },
        }),
      ],
      consumables: [],
    },
    {
      id: 'tenderloin-steaks',
      name: 'Steaks throughout',
      minutesPerUnit: 15,
      normalLoss: 0.01,
      piles: [
        pieces('steaks', 57, 7, { region: 'centre', landmark: 'head split into less pretty ones' }),
        parts('medallions', 9, 'tail', 'two to a plate'),
        trim('tips', 15, 'chain', 'from tail and chain'),
        waste('fat and sinew', 16.5, 'silverskin'),
        waste('bin', 0.5),
        liquid('liquid', 1, null, 'from the bag'),
      ],
      steps: [
        step('drain', ['liquid']),
        ...fatSteps,
        step('chain'),
        ...silverskinSteps,
        step('square'),
        step('steaks', ['steaks']),
        ...tailSteps('medallions'),
        step('tips', ['tips', 'fat and sinew']),
        step('clean-down', ['bin']),
      ],
      options: [
        trimTo('steaks', 'fat and sinew'),
        tail,
        portionControl('about 4 cm in the centre, more towards the tail'),
      ],
      consumables: [],
    },
    {
      id: 'tenderloin-bonded',
      name: 'Bonded pair, steaks throughout',
      minutesPerUnit: 13,
      normalLoss: 0.01,
      piles: [
        pieces('bonded steaks', 76, 9, { region: 'centre', landmark: 'formed meat: say so on the label' }),
        trim('tips and mince', 9, 'chain', 'from chain and ends'),
        waste('fat and sinew', 12.5, 'silverskin'),
        waste('bin', 0.5),
        liquid('liquid', 1, null, 'from the bag'),
      ],
      steps: [
        step('drain', ['liquid']),
        step('pull-fat'),
        step('chain'),
        step('silverskin'),
        step('square'),
        step('bond'),
        { ...step('steaks', ['bonded steaks']), cautions: [...step('steaks').cautions, 'bonding', 'bonded-label'] },
        step('tips', ['tips and mince', 'fat and sinew']),
        step('clean-down', ['bin']),
      ],
      options: [],
      consumables: [
        { name: 'enzyme, 1 % of the weight', costPerUnit: null },
        { name: 'film', costPerUnit: null },
      ],
    },
  ],
}
