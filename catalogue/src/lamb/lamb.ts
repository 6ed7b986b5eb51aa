import { option, pilesFor, stepsWith } from '../build.ts'
import type { CatalogueItem } from '../schema.ts'

export const lambStep = stepsWith([], {
  fell: {
    gives: ['waste'],
    title: 'Peel the thin outer skin',
    work: 1,
    doing:
      'Start at the head end and peel the skin off in one piece; a few minutes in the freezer make the fat firm and this easier.',
    check: 'It came off whole and the fat under it is not torn.',
    mistakes: ['pulling the fat along', 'starting at the loin end, where it rips'],
    tool: 'hands',
    cautions: ['keep-apart'],
    cut: 'fell',
  },
  blade: {
    on: ['cap'],
    gives: ['bones'],
    title: 'Take out the blade cartilage',
    work: 1,
    doing: 'Feel for the flat cartilage at the head end, cut round it and draw it out.',
    check: 'No hard edge is felt through the cap.',
    mistakes: ['leaving a corner of it'],
    cut: 'blade',
  },
  chine: {
    gives: ['bones'],
    title: 'Saw the chine',
    doing:
      'Saw along a line about a centimetre beyond the rib heads without touching the eye, then break the chine away.',
    check: 'The eye is whole and the ribs come apart at a cut.',
    mistakes: ['sawing into the eye', 'stopping short, so that it tears'],
    tool: 'saw',
    cautions: ['glove', 'bones-felt'],
    cut: 'chine',
  },
  cord: {
    gives: ['waste'],
    title: 'Lift out the spinal cord',
    work: 1,
    doing:
      'Draw the white cord out of its channel along the chine and put it into its own marked container, to be disposed of.',
    check: 'The channel is empty from end to end; nothing of it is near the bones for stock.',
    mistakes: ['a piece left in the channel', 'cord in the stock'],
    tool: 'hands',
    cautions: ['risk-material', 'keep-apart'],
    cut: 'chine',
  },
  feather: {
    gives: ['bones'],
    title: 'Cut out feather bones and neck cord',
    doing: 'Free the feather bones with the tip of the knife and pull out the yellow elastic cord.',
    check: 'No yellow cord, no loose bone along the eye.',
    mistakes: ['eye nicked along the bones'],
    cautions: ['glove', 'bones-felt'],
    cut: 'feather',
  },
  cap: {
    on: ['cap', 'eye'],
    gives: ['waste'],
    title: 'Lift the cap',
    doing: 'Lift the fat cap off along its seam and save the flat muscle that lies under the blade.',
    check: 'The eye is bare.',
    mistakes: ['flat muscle thrown away with the fat'],
    cut: 'cap',
  },
  'cap-thin': {
    on: ['cap', 'eye'],
    gives: ['waste'],
    title: 'Lift the cap, leave a thin cover',
    doing:
      'Lift the cap off along its seam and save the flat muscle that lies under the blade; leave 3 to 6 mm of fat on the eye.',
    check: 'The cover is as thick everywhere.',
    mistakes: ['flat muscle thrown away with the fat', 'bare spots'],
    cut: 'cap',
  },
  'cap-on': {
    on: ['cap', 'eye'],
    gives: ['waste'],
    title: 'Leave the cap on and trim it even',
    doing:
      'Leave the cap where it is; trim loose flaps and hard fat so that it is even. What lean comes off lies with the cap muscle.',
    check: 'The cap lies tight on the eye, as thick everywhere.',
    mistakes: ['cut through to the eye'],
    cut: 'cap',
  },
  score: {
    on: ['eye'],
    title: 'Score the fat',
    work: 1,
    doing: 'Score the cover in a lattice of shallow lines.',
    check: 'The score does not reach the eye.',
    mistakes: ['scored into the eye'],
    cut: 'cap',
  },
  'eye-silverskin': {
    on: ['eye'],
    gives: ['waste'],
    title: 'Strip the silverskin of the eye',
    doing:
      'Slide the tip under the silverskin at the loin end and strip it towards the head end, edge tilted up to it.',
    check: 'The eye is bare, and no red is on what came off.',
    mistakes: ['red left on the silverskin', 'gouges in the eye'],
    cut: 'cap',
  },
  'trim-bare': {
    on: ['eye'],
    gives: ['waste', 'trim'],
    title: 'Trim the fat off',
    work: 3,
    doing: 'Trim the fat down to the silverskin of the eye.',
    check: 'No fat is left on the eye.',
    mistakes: ['cut into the eye'],
    cut: 'cap',
  },
  'trim-fat': {
    on: ['eye'],
    gives: ['waste', 'trim'],
    title: 'Trim the fat and score it',
    work: 3,
    doing: 'Trim the fat to 5 mm and score it in a lattice.',
    check: 'As thick everywhere; the score does not reach the eye.',
    mistakes: ['bare spots', 'scored into the eye'],
    cut: 'cap',
  },
  'french-peel': {
    on: ['eye', 'strip'],
    gives: ['waste'],
    title: 'French it: peel the strip off whole',
    work: 4,
    doing:
      'Mark a line a set distance above the eye at both ends, join the marks to the bone, puncture between the ribs and peel the strip of rib meat off in one, membrane first.',
    check: 'Bones are clean after one pull and the strip is in one piece.',
    mistakes: ['the line runs into the eye', 'membrane left on the bones'],
    cautions: ['glove'],
    cut: 'french',
  },
  'french-scrape': {
    on: ['eye', 'strip'],
    gives: ['waste'],
    title: 'French it: scrape each bone',
    work: 5,
    doing: 'Mark the line above the eye, cut the meat out between the ribs and scrape each bone against the board.',
    check: 'Every bone is white down to the line.',
    mistakes: ['scraping towards the hand'],
    cautions: ['glove'],
    cut: 'french',
  },
  'french-string': {
    on: ['eye', 'strip'],
    gives: ['waste'],
    title: 'French it: pull string round each bone',
    work: 4,
    doing: 'Mark the line, loosen the meat round each bone, loop string at the line and pull it off over the end.',
    check: 'Bones are clean and round without a scratch.',
    mistakes: ['string that cuts the hand: wrap it round a handle'],
    tool: 'hands',
    cautions: ['glove'],
    cut: 'french',
  },
  'bone-ends': {
    on: ['eye'],
    gives: ['bones'],
    title: 'Trim the bones to one length',
    work: 1,
    doing: 'Wrap the bone ends, trim them to one length and brush the dust off.',
    check: 'Bones stand level and no chip is felt.',
    mistakes: ['chips left on the fat'],
    tool: 'saw',
    cautions: ['bones-felt'],
    cut: 'bone-ends',
  },
  rack: {
    on: ['eye'],
    title: 'Weigh the rack',
    work: 1,
    doing: 'Weigh the finished rack; halve it, or tie two in a ring, if the plate asks for it.',
    check: 'It is within its bounds and both ends look the same.',
    mistakes: ['cut through the middle of the small end'],
    tool: 'scale',
    cautions: ['keep-apart'],
    cut: 'divide',
  },
  cutlets: {
    on: ['eye'],
    title: 'Cut the cutlets',
    work: 3,
    doing: 'Start from the small end and let the angle drift so that every cutlet gets its share; weigh as you go.',
    check: 'Cutlets are even, each within its bounds.',
    mistakes: ['straight cuts all the way: the small end comes out short'],
    cut: 'divide',
  },
  pick: {
    gives: ['trim', 'waste'],
    title: 'Pick the trim',
    doing: 'Pull skin and hard fat off the trim first, because old lamb fat tastes strong, then keep the lean.',
    check: 'Lean without hard fat.',
    mistakes: ['picking that costs more than it brings'],
    cut: 'cap',
  },
  'clean-down': {
    title: 'Weigh what is in the bin and clean down',
    work: 1,
    doing: 'Weigh the bin, then clean and sanitise board, saw, knife, hands and scale.',
    check: 'Everything that came in is on a pile: the balance says so.',
    mistakes: ['the bin emptied before it was weighed'],
    tool: 'scale',
    cautions: ['keep-apart'],
  },
})

const step = lambStep

const frenching = (strip: string, pile: string) =>
  option('frenching', 'Frenching', {
    'Peel the strip off whole': { id: 'peel', why: 'The strip stays in one piece and has a use.' },
    'Scrape each bone': {
      id: 'scrape',
      why: 'No membrane left, but the strip is in crumbs.',
      minutes: 3,
      shares: { [strip]: -3, [pile]: 3 },
    },
    'String round each bone': {
      id: 'string',
      why: 'Rounder bones, quickest with practice.',
      minutes: 1,
      shares: { [strip]: -1.5, [pile]: 1.5 },
    },
  })
const frenchSteps = (...strip: readonly string[]) => [
  step('french-peel', strip, { when: { option: 'frenching', choice: 'peel' } }),
  step('french-scrape', strip, { when: { option: 'frenching', choice: 'scrape' } }),
  step('french-string', strip, { when: { option: 'frenching', choice: 'string' } }),
]

/** How far above the eye the bones are bare, and how long they stand. */
const clearance = (rack: string, strip: string) =>
  option('clearance', 'Bare bone begins', {
    '3 cm above the eye': { id: 'usual', why: 'Shows the bone and keeps the meat that belongs to the eye.' },
    '1 cm above the eye': { id: 'close', why: 'Longest bone, leanest plate.', shares: { [rack]: -2, [strip]: 2 } },
  })
const boneLength = (rack: string, waste: string) =>
  option('bone-length', 'Bones', {
    '8 cm, all alike': { id: 'eight', why: 'Racks stand level in the pan.' },
    '5 cm, all alike': {
      id: 'five',
      why: 'Fits a small plate and a small vacuum bag.',
      shares: { [rack]: -2, [waste]: 2 },
    },
  })

const unitName = { one: 'rack', many: 'racks' }
const LANDMARKS = [
  'head end: smaller eye, a second small eye, more fat',
  'loin end: one large eye',
  'blade cartilage under the cap at the head end',
  'yellow elastic cord along the chine',
  'age: a large rack with a large blade end is from an older animal, darker and stronger',
]
const full = pilesFor('lamb', 1500)
const chined = pilesFor('lamb', 1050)

export const RACK_CHINE_ON: CatalogueItem = {
  id: 'lamb-rack-chine-on',
  name: 'Lamb rack, eight ribs, chine and cap on',
  family: 'Lamb rack',
  species: 'red-meat',
  drawing: 'rack',
  shape: null,
  unitName,
  unitWeight: { low: 1300, usual: 1500, high: 1700 },
  landmarks: LANDMARKS,
  styles: [
    {
      id: 'lamb-frenched-cap-off',
      name: 'Frenched rack',
      minutesPerUnit: 15,
      normalLoss: 0.01,
      piles: [
        full.together('frenched racks', 44, 2, {
          region: 'eye',
          landmark: 'bones clean, all of one length',
          bone: 0.2,
        }),
        full.parts('cap muscle', 9, 'cap', 'to grill or mince'),
        full.trim('rib strip', 9, 'strip', 'for sausage'),
        full.bones('bones', 19, 'chine', 'for stock'),
        full.waste('fat and skin', 17, 'fell'),
        full.waste('bin', 1),
      ],
      steps: [
        step('fell'),
        step('blade'),
        step('cord'),
        step('chine'),
        step('feather'),
        step('cap', ['cap muscle'], { when: { option: 'cover', choice: 'off' } }),
        step('eye-silverskin', [], { when: { option: 'cover', choice: 'off' } }),
        step('cap-thin', ['cap muscle'], { when: { option: 'cover', choice: 'thin' } }),
        step('cap-on', ['cap muscle'], { when: { option: 'cover', choice: 'on' } }),
        step('score', [], { when: { option: 'cover', choice: 'thin' } }),
        ...frenchSteps('rib strip'),
        step('bone-ends', ['bones', 'fat and skin']),
        step('rack', ['frenched racks']),
        step('clean-down', ['bin']),
      ],
      options: [
        frenching('rib strip', 'fat and skin'),
        clearance('frenched racks', 'rib strip'),
        boneLength('frenched racks', 'bones'),
        option('cover', 'Cap and fat', {
          'Cap off': { id: 'off', why: 'A lean plate; the cap muscle has its own use.' },
          'Cap on': {
            id: 'on',
            why: 'Flavour, and less to do.',
            minutes: -2,
            shares: { 'frenched racks': 9, 'cap muscle': -9 },
          },
          'Leave 3 to 6 mm, scored': {
            id: 'thin',
            why: 'It melts and bastes the eye.',
            shares: { 'frenched racks': 5, 'fat and skin': -5 },
          },
        }),
      ],
      consumables: [],
    },
  ],
}

export const RACK_CHINED: CatalogueItem = {
  id: 'lamb-rack-chined',
  name: 'Lamb rack, eight ribs, chined, cap on',
  family: 'Lamb rack',
  species: 'red-meat',
  drawing: 'rack',
  shape: null,
  unitName,
  unitWeight: { low: 900, usual: 1050, high: 1200 },
  landmarks: LANDMARKS,
  styles: [
    {
      id: 'lamb-frenched-5mm',
      name: 'Frenched, thin fat',
      minutesPerUnit: 11,
      normalLoss: 0.01,
      piles: [
        chined.together('frenched racks', 63, 2, { region: 'eye', landmark: 'a thin, even cover', bone: 0.2 }),
        chined.trim('rib strip', 11, 'strip', 'for sausage'),
        chined.trim('trim', 9, 'cap', 'lean, for mince'),
        chined.bones('bones', 3, 'chine', 'feather bones and bone ends, for stock'),
        chined.waste('fat and skin', 12, 'fell'),
        chined.waste('bin', 1),
      ],
      steps: [
        step('fell'),
        step('blade'),
        step('feather'),
        step('trim-fat', [], { when: { option: 'cover', choice: 'thin' } }),
        step('trim-bare', [], { when: { option: 'cover', choice: 'bare' } }),
        step('eye-silverskin', [], { when: { option: 'cover', choice: 'bare' } }),
        ...frenchSteps(),
        step('pick', [], { isOptional: true, gain: { pile: 'trim', grams: 60, seconds: 150 } }),
        step('bone-ends', ['bones', 'rib strip', 'trim', 'fat and skin']),
        step('rack', ['frenched racks']),
        step('clean-down', ['bin']),
      ],
      options: [
        frenching('rib strip', 'fat and skin'),
        clearance('frenched racks', 'rib strip'),
        boneLength('frenched racks', 'bones'),
        option('cover', 'Fat', {
          '5 mm, scored': { id: 'thin', why: 'It melts and bastes the eye.' },
          Bare: { id: 'bare', why: 'A lean plate.', minutes: 1, shares: { 'frenched racks': -7, 'fat and skin': 7 } },
        }),
      ],
      consumables: [],
    },
    {
      id: 'lamb-cutlets',
      name: 'Cutlets',
      minutesPerUnit: 13,
      normalLoss: 0.01,
      piles: [
        chined.pieces('cutlets', 60, 8, { region: 'eye', landmark: 'one rib each', within: 0.16, bone: 0.2 }),
        chined.trim('rib strip', 11, 'strip', 'for sausage'),
        chined.trim('trim', 11, 'cap', 'lean, for mince'),
        chined.bones('bones', 3, 'chine', 'feather bones and bone ends, for stock'),
        chined.waste('fat and skin', 13, 'fell'),
        chined.waste('bin', 1),
      ],
      steps: [
        step('fell'),
        step('blade'),
        step('feather'),
        step('trim-fat'),
        ...frenchSteps(),
        step('pick', [], { isOptional: true, gain: { pile: 'trim', grams: 60, seconds: 150 } }),
        step('bone-ends', ['bones', 'rib strip', 'trim', 'fat and skin']),
        step('cutlets', ['cutlets']),
        step('clean-down', ['bin']),
      ],
      options: [
        frenching('rib strip', 'fat and skin'),
        option('angle', 'Cutting', {
          'Angle drifts from the small end': { id: 'graded', why: 'Every cutlet gets its share of meat.' },
          'Straight between all ribs': {
            id: 'straight',
            why: 'Fastest; the small end comes out lighter.',
            minutes: -1,
          },
          'Small ones in pairs': { id: 'pairs', why: 'Straight cuts, two small ones to one plate.', minutes: -0.5 },
        }),
      ],
      consumables: [],
    },
  ],
}
