import { option, pilesFor } from '../build.ts'
import type { CatalogueItem, CatalogueStyle } from '../schema.ts'
import { birdStep as step } from './steps.ts'

interface SmallBird {
  id: string
  name: string
  weights: readonly [low: number, usual: number, high: number]
  landmarks: readonly string[]
  style: CatalogueStyle
}

const bird = ({ id, name, weights: [low, usual, high], landmarks, style }: SmallBird): CatalogueItem => ({
  id,
  name,
  family: name,
  species: 'poultry',
  drawing: 'bird',
  shape: null,
  unitName: { one: 'bird', many: 'birds' },
  unitWeight: { low, usual, high },
  landmarks,
  styles: [style],
})

const guinea = pilesFor('poultry', 1450)
const pheasant = pilesFor('poultry', 1050)
const poussin = pilesFor('poultry', 525)
const quail = pilesFor('poultry', 185)
const squab = pilesFor('poultry', 450)

export const GUINEA_FOWL = bird({
  id: 'guinea-fowl',
  name: 'Guinea fowl',
  weights: [1300, 1450, 1600],
  landmarks: ['long narrow breast', 'thin skin: it tears at the thigh'],
  style: {
    id: 'guinea-halves',
    name: 'Halves, one boned',
    minutesPerUnit: 10,
    normalLoss: 0.005,
    piles: [
      guinea.pieces('halves', 76, 2, { region: 'breast', landmark: 'one boned, one on the bone', bone: 0.26 }),
      guinea.bones('bones', 17, 'back', 'for stock'),
      guinea.parts('wing ends', 5, 'wing-tip', 'for stock'),
      guinea.waste('bin', 1.5),
    ],
    steps: [
      step('dry'),
      step('wing-ends', ['wing ends']),
      step('keel-cut'),
      step('backbone'),
      step('half-bone', ['bones', 'halves']),
      step('clean-down', ['bin']),
    ],
    options: [],
    consumables: [],
  },
})

export const PHEASANT = bird({
  id: 'pheasant',
  name: 'Pheasant',
  weights: [900, 1050, 1200],
  landmarks: ['lean, small breasts', 'hard tendons in the drumstick', 'feel for shot'],
  style: {
    id: 'pheasant-six',
    name: 'Six pieces',
    minutesPerUnit: 7,
    normalLoss: 0.01,
    piles: [
      pheasant.pieces('breasts with wing', 37, 2, {
        region: 'breast',
        landmark: 'wing bone and tenderloin on',
        bone: 0.1,
      }),
      pheasant.pieces('thighs', 17, 2, { region: 'thigh', landmark: 'oyster on', within: 0.16, bone: 0.2 }),
      pheasant.pieces('drumsticks', 12, 2, { region: 'drumstick', landmark: 'tendons drawn', within: 0.16, bone: 0.3 }),
      pheasant.bones('carcass and wing ends', 29, 'back', 'for game stock'),
      pheasant.waste('bin', 4),
    ],
    steps: [
      { ...step('dry'), cautions: [...step('dry').cautions, 'game'] },
      step('tendons'),
      step('wing-ends'),
      step('legs'),
      step('divide', ['thighs', 'drumsticks']),
      step('supremes', ['breasts with wing']),
      step('carcass', ['carcass and wing ends']),
      step('clean-down', ['bin']),
    ],
    options: [],
    consumables: [],
  },
})

export const POUSSIN = bird({
  id: 'poussin',
  name: 'Poussin',
  weights: [450, 525, 600],
  landmarks: ['soft keel: it bends under the thumb', 'skin thin over the keel'],
  style: {
    id: 'poussin-boned',
    name: 'Boned whole',
    minutesPerUnit: 12,
    normalLoss: 0.01,
    piles: [
      poussin.pieces('boneless birds', 62, 1, {
        region: 'breast',
        landmark: 'skin outside and whole, rolled and tied',
      }),
      poussin.bones('bones', 30, 'back', 'for stock'),
      poussin.parts('wing ends', 5, 'wing-tip', 'for stock'),
      poussin.waste('bin', 2),
    ],
    steps: [
      step('dry'),
      step('wishbone'),
      step('wing-ends', ['wing ends']),
      step('score-back', [], { when: { option: 'boning', choice: 'pulled' } }),
      step('round-the-cage', [], { when: { option: 'boning', choice: 'followed' } }),
      step('draw-bones', ['bones']),
      step('level'),
      step('feel'),
      step('roll', ['boneless birds']),
      step('clean-down', ['bin']),
    ],
    options: [
      option('boning', 'Boning it whole', {
        'Pull the carcass by hand': {
          id: 'pulled',
          why: 'Four joints released, then hands: quick, and the skin stays whole.',
        },
        'Knife all the way round': {
          id: 'followed',
          why: 'Cleaner bones, but slower and with more risk to the skin.',
          minutes: 3,
        },
      }),
    ],
    consumables: [],
  },
})

export const QUAIL = bird({
  id: 'quail',
  name: 'Quail',
  weights: [150, 185, 220],
  landmarks: ['neck opening', 'cage as thin as paper'],
  style: {
    id: 'quail-tunnel',
    name: 'Tunnel-boned',
    minutesPerUnit: 6,
    normalLoss: 0.01,
    piles: [
      quail.pieces('boned quail', 72, 1, {
        region: 'breast',
        landmark: 'legs and wings left in',
        within: 0.15,
        bone: 0.08,
      }),
      quail.bones('bones and neck', 24, 'back', 'for stock'),
      quail.waste('bin', 3),
    ],
    steps: [step('dry'), step('tunnel', ['bones and neck', 'boned quail']), step('clean-down', ['bin'])],
    options: [],
    consumables: [],
  },
})

export const SQUAB = bird({
  id: 'squab',
  name: 'Squab',
  weights: [400, 450, 500],
  landmarks: ['dark, deep breasts', 'legs hardly worth the time'],
  style: {
    id: 'squab-breasts',
    name: 'Breasts, wing bone on',
    minutesPerUnit: 5,
    normalLoss: 0.01,
    piles: [
      squab.pieces('breasts', 34, 2, { region: 'breast', landmark: 'tenderloin on, bone as chosen', within: 0.16 }),
      squab.parts('legs', 16, 'thigh', 'for confit or the sauce', { bone: 0.26, loss: 0.35 }),
      squab.bones('carcass and wing ends', 44, 'back', 'for sauce'),
      squab.waste('bin', 5),
    ],
    steps: [
      step('dry'),
      step('wing-ends'),
      step('legs', ['legs']),
      step('supremes'),
      step('wing-bone-off', [], { when: { option: 'wing-bone', choice: 'off' } }),
      step('feel', ['breasts']),
      step('carcass', ['carcass and wing ends']),
      step('clean-down', ['bin']),
    ],
    options: [
      option('wing-bone', 'Bone on the portion', {
        'Wing bone on': { id: 'on', why: 'It adds flavour, protects the meat and looks larger.' },
        'Wing bone off': {
          id: 'off',
          why: 'Guests who want no bone.',
          minutes: 0.5,
          shares: { breasts: -4, 'carcass and wing ends': 4 },
        },
      }),
    ],
    consumables: [],
  },
})
