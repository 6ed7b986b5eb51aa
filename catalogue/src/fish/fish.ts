import { option, pilesFor, portionControl } from '../build.ts'
import type { CatalogueItem } from '../schema.ts'
import { fishStep as step } from './steps.ts'

const FISH = { one: 'fish', many: 'fish' }
const ROUND_LANDMARKS = [
  'the fin along the back: the knife goes beside it',
  'rib cage, from the head to the vent',
  'pin-bone strip at the thick end of the fillet',
  'stiff or already soft: soft flesh drags on the knife and yields less',
]

/** Over the ribs or through them: what the second leaves on the fillet it takes off the frame. */
const ribs = (portions: string, frame: string) =>
  option('ribs', 'Rib cage', {
    'Go over the ribs': { id: 'over', why: 'Clean fillet at once; a little belly stays on the frame.' },
    'Cut through and lift them out': {
      id: 'through',
      why: 'Faster with a strong knife, and the belly stays on.',
      minutes: -1,
      shares: { [portions]: 0.8, [frame]: -0.8 },
    },
  })
const ribSteps = [
  step('over-ribs', [], { when: { option: 'ribs', choice: 'over' } }),
  step('lift-ribs', [], { when: { option: 'ribs', choice: 'through' } }),
]

/** Soft flesh drags on the knife and tears along the blade. */
const stiffness = (portions: string, frame: string) =>
  option('stiffness', 'Rigor', {
    'Wait until it is past stiff': { id: 'waited', why: 'The flesh holds together and comes off clean.' },
    'Cut it at once': {
      id: 'at-once',
      why: 'Fresher on the plate; stiff flesh breaks and soft flesh drags.',
      minutes: 1,
      shares: { [portions]: -1, [frame]: 1 },
    },
  })

const pins = (portions: string, trim: string) =>
  option('pins', 'Pin bones', {
    Tweezers: { id: 'tweezers', why: 'Slow, and saves the meat.' },
    'V-notch': {
      id: 'notch',
      why: 'Fast, and loses a strip of meat.',
      minutes: -2,
      shares: { [portions]: -2, [trim]: 2 },
    },
  })
const pinSteps = (portions: string) => [
  step('pin-pull', [], {
    isOptional: true,
    gain: { pile: portions, grams: 30, seconds: 120 },
    when: { option: 'pins', choice: 'tweezers' },
  }),
  step('pin-notch', [], { when: { option: 'pins', choice: 'notch' } }),
]

const white = pilesFor('fish', 3000)
const hake = pilesFor('fish', 2000)
const char = pilesFor('fish', 1500)
const turbot = pilesFor('fish', 2000)

export const WHITE_FISH: CatalogueItem = {
  id: 'white-fish',
  name: 'Round white fish, gutted, head on',
  family: 'Round white fish',
  species: 'fish',
  drawing: 'round-fish',
  shape: 'white-fillet',
  unitName: FISH,
  unitWeight: { low: 2000, usual: 3000, high: 4000 },
  landmarks: ROUND_LANDMARKS,
  styles: [
    {
      id: 'white-fish-skinless',
      name: 'Skinless portions',
      minutesPerUnit: 8,
      normalLoss: 0.01,
      piles: [
        white.pieces('portions', 40, 7, { region: 'loin', landmark: 'no skin, no bones' }),
        white.trim('trim', 4, 'belly', 'for mince'),
        white.bones('frame and head', 44, 'frame', 'gills out, for stock'),
        white.waste('skin and guts', 10, 'tail'),
        white.waste('bin', 1),
      ],
      steps: [
        step('prepare'),
        step('head'),
        step('fillet'),
        ...ribSteps,
        ...pinSteps('portions'),
        step('skin', ['skin and guts']),
        step('tail', ['trim']),
        step('portions', ['portions']),
        step('frame', ['frame and head']),
        step('clean-down', ['bin']),
      ],
      options: [
        ribs('portions', 'frame and head'),
        pins('portions', 'trim'),
        stiffness('portions', 'frame and head'),
        portionControl('one width of the hand'),
      ],
      consumables: [],
    },
  ],
}

export const HAKE: CatalogueItem = {
  id: 'hake',
  name: 'Hake, gutted, head off',
  family: 'Hake',
  species: 'fish',
  drawing: 'round-fish',
  shape: 'white-fillet',
  unitName: FISH,
  unitWeight: { low: 1500, usual: 2000, high: 3000 },
  landmarks: ROUND_LANDMARKS,
  styles: [
    {
      id: 'hake-skin-on',
      name: 'Skin-on portions',
      minutesPerUnit: 7,
      normalLoss: 0.02,
      piles: [
        hake.pieces('portions', 60, 7, { region: 'loin', landmark: 'skin on, scaled' }),
        hake.trim('trim', 6, 'belly', 'for mince'),
        hake.bones('frame', 27, 'frame', 'for stock'),
        hake.waste('bin', 5, 'tail'),
      ],
      steps: [
        step('prepare'),
        step('fillet'),
        ...ribSteps,
        ...pinSteps('portions'),
        step('tail', ['trim']),
        step('portions', ['portions']),
        step('frame', ['frame']),
        step('clean-down', ['bin']),
      ],
      options: [
        ribs('portions', 'frame'),
        pins('portions', 'trim'),
        stiffness('portions', 'frame'),
        portionControl('one width of the hand'),
      ],
      consumables: [],
    },
  ],
}

export const CHAR: CatalogueItem = {
  id: 'char',
  name: 'Arctic char or salmon, gutted, head on',
  family: 'Arctic char or salmon',
  species: 'fish',
  drawing: 'round-fish',
  shape: 'char-fillet',
  unitName: FISH,
  unitWeight: { low: 1200, usual: 1500, high: 2000 },
  landmarks: [...ROUND_LANDMARKS, 'a dark bloodline under the skin: off if wanted'],
  styles: [
    {
      id: 'char-pin-boned',
      name: 'Skin-on, pin-boned portions',
      minutesPerUnit: 9,
      normalLoss: 0.01,
      piles: [
        char.pieces('portions', 56, 5, { region: 'loin', landmark: 'skin on, pins out' }),
        char.trim('tail and belly trim', 8, 'belly', 'for tartare or mince'),
        char.bones('frame, head, collars', 32, 'frame', 'gills out; collars to grill'),
        char.waste('bin', 3, 'tail'),
      ],
      steps: [
        step('prepare'),
        step('head'),
        step('fillet'),
        ...ribSteps,
        ...pinSteps('portions'),
        step('tail', ['tail and belly trim']),
        step('portions', ['portions']),
        step('frame', ['frame, head, collars']),
        step('clean-down', ['bin']),
      ],
      options: [
        ribs('portions', 'frame, head, collars'),
        pins('portions', 'tail and belly trim'),
        stiffness('portions', 'frame, head, collars'),
        portionControl('one width of the hand'),
      ],
      consumables: [],
    },
  ],
}

export const TURBOT: CatalogueItem = {
  id: 'turbot',
  name: 'Turbot, gutted',
  family: 'Turbot',
  species: 'fish',
  drawing: 'flat-fish',
  shape: 'turbot-quarter',
  unitName: FISH,
  unitWeight: { low: 1500, usual: 2000, high: 3000 },
  landmarks: ['the central line on the dark side', 'skirt: the fringe of fin all round', 'thick shoulder by the head'],
  styles: [
    {
      id: 'turbot-fillets',
      name: 'Quarter fillets, skinless',
      minutesPerUnit: 11,
      normalLoss: 0.01,
      piles: [
        turbot.pieces('fillets', 34, 4, { region: 'upper', landmark: 'four, off the central line' }),
        turbot.trim('trim', 3, 'lower', 'for mousse'),
        turbot.bones('frame, head, skirt', 55, 'frame', 'gills out, for stock'),
        turbot.waste('skin', 6, 'skirt'),
        turbot.waste('bin', 1),
      ],
      steps: [
        step('prepare'),
        step('centre-line'),
        step('quarters'),
        step('skin', ['skin']),
        step('portions', ['fillets', 'trim']),
        step('frame', ['frame, head, skirt']),
        step('clean-down', ['bin']),
      ],
      options: [],
      consumables: [],
    },
    {
      id: 'turbot-sections',
      name: 'Sections on the bone',
      minutesPerUnit: 5,
      normalLoss: 0.01,
      piles: [
        turbot.pieces('sections', 58, 4, { region: 'upper', landmark: 'on the bone, skin on', bone: 0.22 }),
        turbot.trim('head and trim', 37, 'head', 'gills out, for stock'),
        turbot.waste('bin', 4, 'skirt'),
      ],
      steps: [
        step('prepare'),
        step('sections', ['sections']),
        step('frame', ['head and trim']),
        step('clean-down', ['bin']),
      ],
      options: [],
      consumables: [],
    },
  ],
}
