/** A room of the house. */
export interface Room {
  name: string
  path: string
  /** With `g` before it, this letter goes to the room. */
  letter: string
}

export interface RoomToCome extends Room {
  /** What will happen there, honestly in the future tense. */
  purpose: string
  /** What serves meanwhile. */
  meanwhile: string
}

export const ROOMS_TO_COME: readonly RoomToCome[] = [
  {
    name: 'Plan',
    path: '/plan',
    letter: 'p',
    purpose: 'How much to buy, how to cut it, when to start and who does it, for the covers that are booked.',
    meanwhile: 'Today shows what is on the board now.',
  },
  {
    name: 'Logbook',
    path: '/logbook',
    letter: 'l',
    purpose: 'Every record with its trends: yield by cook, supplier, size and season, with control charts.',
    meanwhile: 'Today lists the latest records, and each can be opened, exported and imported.',
  },
  {
    name: 'Practice',
    path: '/practice',
    letter: 'r',
    purpose: 'A trainer for learners: guess the weight, find the joint, follow a style step by step.',
    meanwhile: 'The Guide shows every style step by step, and the demo has a school kitchen with twelve students.',
  },
]
