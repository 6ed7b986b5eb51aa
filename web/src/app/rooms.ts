/** A room of the house. */
export interface Room {
  name: string
  path: string
  /** With `g` before it, this letter goes to the room. */
  letter: string
}

/** All rooms in the order of the work. */
export const ROOMS: readonly Room[] = [
  { name: 'Today', path: '/', letter: 't' },
  { name: 'Buying', path: '/buying', letter: 'u' },
  { name: 'Plan', path: '/plan', letter: 'p' },
  { name: 'Bench', path: '/bench', letter: 'b' },
  { name: 'Verdict', path: '/verdict', letter: 'v' },
  { name: 'Knife lines', path: '/knife', letter: 'k' },
  { name: 'Logbook', path: '/logbook', letter: 'l' },
  { name: 'Guide', path: '/guide', letter: 'i' },
  { name: 'Settings', path: '/settings', letter: 's' },
]

/** What a tab of the browser is called: the room that is open in it. */
export function titleOf(pathname: string): string {
  const room = ROOMS.findLast(({ path }) => (path === '/' ? pathname === '/' : pathname.startsWith(path)))
  return room ? `${room.name} · Fleam` : 'Fleam'
}
