import type { Species } from '@fleam/core/style'
import { RIGOR_STATES } from './rigor.ts'

/** One thing to look at before the driver leaves: right or a fault with one tap, or a number. */
export interface ReceivingCheck {
  id: string
  question: string
  /** What is right, and what is a fault, in the words of the claim. */
  right: string
  fault: string
  /** Null for every animal. */
  species: readonly Species[] | null
  /** A number is asked for: its unit, and from which value on it is a fault; null where it only informs. */
  number: { unit: string; faultAbove: number | null } | null
  /** More states than right and fault: their words, and whether each is a fault. `value` is the place of one of them. */
  states: readonly { words: string; isFault: boolean }[] | null
  /** A fault that can hurt somebody: such a delivery is accepted with a reason and a name, or not at all. */
  isSafety: boolean
}

const check = (
  id: string,
  words: Pick<ReceivingCheck, 'question' | 'right' | 'fault'>,
  more: Partial<ReceivingCheck> = {},
) => ({
  id,
  species: null,
  number: null,
  states: null,
  isSafety: false,
  ...words,
  ...more,
})

/** Core temperatures above which a delivery is a fault: common defaults that local codes decide, °C. */
const COLD_LIMIT = 5
const FISH_LIMIT = 4

/** What to check at the door, in the order in which one does it. */
export const RECEIVING_CHECKS: readonly ReceivingCheck[] = [
  check(
    'temperature',
    { question: 'Core temperature', right: 'cold enough', fault: 'too warm' },
    { species: ['poultry', 'red-meat'], number: { unit: '°C', faultAbove: COLD_LIMIT }, isSafety: true },
  ),
  check(
    'fish-temperature',
    { question: 'Core temperature', right: 'cold enough', fault: 'too warm' },
    { species: ['fish'], number: { unit: '°C', faultAbove: FISH_LIMIT }, isSafety: true },
  ),
  check('seal', { question: 'Bags and seals', right: 'whole', fault: 'seal broken' }, { isSafety: true }),
  check('liquid', { question: 'Liquid in the bag', right: 'little, clear', fault: 'much liquid' }),
  check('smell', { question: 'Smell', right: 'clean', fault: 'it smells' }, { isSafety: true }),
  check('skin', { question: 'Skin', right: 'whole', fault: 'skin torn' }, { species: ['poultry'] }),
  check(
    'keel',
    { question: 'Tip of the breastbone', right: 'soft, young', fault: 'hard breastbone' },
    { species: ['poultry'] },
  ),
  check(
    'stiffness',
    { question: 'Stiffness', right: 'in rigor', fault: 'stale-soft' },
    { species: ['fish'], states: RIGOR_STATES.map((words) => ({ words, isFault: words === 'stale-soft' })) },
  ),
  check('eyes-gills', { question: 'Eyes and gills', right: 'bright', fault: 'dull eyes' }, { species: ['fish'] }),
  check(
    'days-since-catch',
    { question: 'Days since catch', right: 'noted', fault: 'not fresh' },
    { species: ['fish'], number: { unit: 'days', faultAbove: null } },
  ),
  check(
    'fat-cover',
    { question: 'Fat cover', right: 'firm, even', fault: 'fat soft or bare' },
    { species: ['red-meat'] },
  ),
  check('marbling', { question: 'Marbling', right: 'as ordered', fault: 'poor marbling' }, { species: ['red-meat'] }),
  check(
    'age',
    { question: 'Age of the animal', right: 'as ordered', fault: 'animal too old' },
    { species: ['red-meat'] },
  ),
  check('size', { question: 'Size grade', right: 'as ordered', fault: 'wrong size' }),
]

/** What a check that found a fault says of it: `skin torn`. */
/** Whether one of what was found can hurt somebody. */
export const hasSafetyFault = (checks: readonly { checkId: string; isFault: boolean }[]): boolean =>
  checks.some(
    ({ checkId, isFault }) => isFault && RECEIVING_CHECKS.some(({ id, isSafety }) => id === checkId && isSafety),
  )

export function faultWords(checkId: string): string {
  return RECEIVING_CHECKS.find((receivingCheck) => receivingCheck.id === checkId)?.fault ?? checkId
}

export const receivingChecksFor = (species: Species): ReceivingCheck[] =>
  RECEIVING_CHECKS.filter(
    (receivingCheck) => receivingCheck.species === null || receivingCheck.species.includes(species),
  )
