import { checkRooms, rowOf, styleOf } from './check-rooms.ts'

checkRooms(
  [
    ['Today', () => '/'],
    ['Bench, starting', () => '/bench'],
    ['Bench', async (request) => `/bench/${await rowOf(request, 'open')}`],
    ['Styles side by side', () => '/verdict/styles'],
    ['Verdict', async (request) => `/verdict/${await rowOf(request, 'closed')}`],
    ['Logbook', () => '/logbook?period=all'],
    ['Guide', () => '/guide'],
    ['a style', async (request) => `/guide/${await styleOf(request)}`],
    ['a style, changing', async (request) => `/guide/${await styleOf(request)}/change`],
    ['Cautions', () => '/guide/cautions'],
    ['a blank card', async (request) => `/card/${await styleOf(request)}`],
    ['a card, entering', async (request) => `/bench/${await rowOf(request, 'open')}/entry`],
    ['Settings', () => '/settings'],
  ],
  ['light', 'dark'],
)
