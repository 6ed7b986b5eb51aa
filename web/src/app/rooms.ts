import { ROOMS_TO_COME, type Room } from '../rooms/to-come/rooms-to-come.ts'

const toCome = (name: string) => ROOMS_TO_COME.find((room) => room.name === name) as Room

/** All rooms in the order of the work. */
export const ROOMS: readonly Room[] = [
  { name: 'Today', path: '/', letter: 't' },
  { name: 'Buying', path: '/buying', letter: 'u' },
  { name: 'Bench', path: '/bench', letter: 'b' },
  { name: 'Verdict', path: '/verdict', letter: 'v' },
  { name: 'Knife lines', path: '/knife', letter: 'k' },
  toCome('Plan'),
  toCome('Logbook'),
  toCome('Practice'),
  { name: 'Guide', path: '/guide', letter: 'i' },
]
