import { addTape, girthsAlong, moveTape, removeTape } from './index.ts'

const three = [
  { at: 0, girth: 200 },
  { at: 300, girth: 280 },
  { at: 400, girth: 100 },
]

test('a tape reads the girth of the area there, which lies above the mean of two girths', () => {
  const [middle] = girthsAlong({ weight: 1000, length: 300, profile: three.slice(0, 2) }, [0.5])
  expect(middle).toEqual({ at: 150, girth: Math.round(Math.sqrt((200 ** 2 + 280 ** 2) / 2)) })
})

test('one more goes into the widest gap and changes nothing of the shape; six are the most', () => {
  const four = addTape(three)
  expect(four.map(({ at }) => at)).toEqual([0, 150, 300, 400])
  expect(four[1]?.girth).toBe(243)
  const many = Array.from({ length: 5 }).reduce<typeof three>((girths) => addTape(girths), three)
  expect(many).toHaveLength(6)
  expect(many.map(({ at }) => at)).toEqual([...many.map(({ at }) => at)].sort((a, b) => a - b))
})

test('where no gap is wide enough no tape is added', () => {
  const short = [
    { at: 0, girth: 60 },
    { at: 15, girth: 70 },
    { at: 30, girth: 50 },
  ]
  expect(addTape(short)).toEqual(short)
})

test('the ends stay, and three tapes are the fewest', () => {
  const four = addTape(three)
  expect(removeTape(four, 0)).toEqual(four)
  expect(removeTape(four, 3)).toEqual(four)
  expect(removeTape(four, 1)).toEqual(three)
  expect(removeTape(three, 1)).toEqual(three)
})

test('a tape moves between its neighbours and never past them', () => {
  expect(moveTape(three, 1, 120.4)[1]).toEqual({ at: 120, girth: 280 })
  expect(moveTape(three, 1, 900)[1]?.at).toBe(390)
  expect(moveTape(three, 1, -5)[1]?.at).toBe(10)
  expect(moveTape(three, 2, 200)).toEqual(three)
})
