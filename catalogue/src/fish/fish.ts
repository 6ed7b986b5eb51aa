import { option, pilesFor, portionControl } from '../build.ts'
import { RIGOR_STATES } from '../rigor.ts'
import type { CatalogueItem } from '../schema.ts'
import { fishStep as step } from './steps.ts'

const FISH = { one: 'fish', many: 'fish' }
const ROUND_LANDMARKS = [
  'the fin along the back: the knife goes beside it',
  'rib cage, from the head to the vent',
  'pin-bone strip at the thick end of the fillet',
  `stiffness: ${RIGOR_STATES.join(', ')}; soft flesh drags on the knife and yields less`,
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
  step('through-ribs', [], { when: { option: 'ribs', choice: 'through' } }),
  step('lift-ribs', [], { when: { option: 'ribs', choice: 'through' } }),
]

/** The states in which fish is cut; what is stale-soft is a fault at the door. */
const stiffness = (portions: string, frame: string) => {
  const [notYet, stiff, past] = RIGOR_STATES
  return option('stiffness', 'Rigor', {
    [capital(stiff)]: { id: 'in-rigor', why: 'Firm: it comes off clean. Bend it as little as you can.' },
    [capital(past)]: { id: 'past', why: 'Best for large fish: the flesh holds together and has relaxed.' },
    [capital(notYet)]: {
      id: 'not-yet',
      why: 'Freshest on the plate, but soft flesh drags on the knife and yields less.',
      minutes: 1,
      shares: { [portions]: -1, [frame]: 1 },
    },
  })
}
const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1)

/** Deep-set pins of white fish: the notch is the rule, and yields are those with it. */
const notchFirst = (portions: string, trim: string) =>
  option('pins', 'Pin bones', {
    'V-notch': { id: 'notch', why: 'They sit deep: a strip comes out with them.' },
    Tweezers: {
      id: 'tweezers',
      why: 'Slow, tears soft flesh, and saves the strip.',
      minutes: 2,
      shares: { [portions]: 2, [trim]: -2 },
    },
  })
/** Pins of trout and its kind come out with tweezers. */
const tweezersFirst = (portions: string, trim: string) =>
  option('pins', 'Pin bones', {
    Tweezers: { id: 'tweezers', why: 'They draw easily, and nothing is lost.' },
    'V-notch': {
      id: 'notch',
      why: 'Fast, and loses a strip of meat.',
      minutes: -2,
      shares: { [portions]: -2, [trim]: 2 },
    },
  })
const pinSteps = [
  step('pin-notch', [], { when: { option: 'pins', choice: 'notch' } }),
  step('pin-pull', [], { when: { option: 'pins', choice: 'tweezers' } }),
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
        white.waste('skin and scales', 10, 'tail'),
        white.waste('bin', 1),
      ],
      steps: [
        step('fins'),
        step('prepare'),
        step('head'),
        step('open-back'),
        ...ribSteps,
        ...pinSteps,
        step('skin', ['skin and scales']),
        step('candle'),
        step('tail', ['trim']),
        step('portions', ['portions']),
        step('frame', ['frame and head']),
        step('clean-down', ['bin']),
      ],
      options: [
        ribs('portions', 'frame and head'),
        notchFirst('portions', 'trim'),
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
        step('fins'),
        step('prepare'),
        step('open-back'),
        ...ribSteps,
        ...pinSteps,
        step('candle'),
        step('tail', ['trim']),
        step('portions', ['portions']),
        step('frame-alone', ['frame']),
        step('clean-down', ['bin']),
      ],
      options: [
        ribs('portions', 'frame'),
        notchFirst('portions', 'trim'),
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
        step('open-back'),
        ...ribSteps,
        ...pinSteps,
        step('tail', ['tail and belly trim']),
        step('portions', ['portions']),
        step('frame', ['frame, head, collars']),
        step('clean-down', ['bin']),
      ],
      options: [
        ribs('portions', 'frame, head, collars'),
        tweezersFirst('portions', 'tail and belly trim'),
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
  landmarks: ['the central line on the dark side', 'frill: the fringe of fin all round', 'thick shoulder by the head'],
  styles: [
    {
      id: 'turbot-fillets',
      name: 'Quarter fillets, skinless',
      minutesPerUnit: 11,
      normalLoss: 0.01,
      piles: [
        turbot.pieces('fillets', 34, 4, { region: 'upper', landmark: 'four, skinless, frill off' }),
        turbot.trim('trim', 3, 'lower', 'for mousse'),
        turbot.bones('frame, head, frill', 55, 'frame', 'gills out, for stock'),
        turbot.waste('skin', 6, 'skirt'),
        turbot.waste('bin', 1),
      ],
      steps: [
        step('wash'),
        step('centre-line'),
        step('quarters'),
        step('quarters-white'),
        step('skin', ['skin']),
        step('portions-flat', ['fillets', 'trim']),
        step('frame-flat', ['frame, head, frill']),
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
        step('wash'),
        step('sections', ['sections']),
        step('frame-flat', ['head and trim']),
        step('clean-down', ['bin']),
      ],
      options: [],
      consumables: [],
    },
  ],
}
