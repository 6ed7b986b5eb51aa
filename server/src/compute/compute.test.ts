import { Compute } from './compute.ts'
import { work } from './work.ts'

const loin = {
  piece: {
    weight: 900,
    length: 200,
    profile: [
      { at: 0, area: 4000 },
      { at: 200, area: 4000 },
    ],
  },
  products: [{ name: 'steak', target: 200, low: 190, high: 215, value: 11 }],
  scrap: { valuePerKg: 8 },
}

test('what is worked out beside the server is what is worked out in it', async () => {
  const compute = new Compute()
  try {
    const beside = await compute.do('portion-plan', loin)
    expect(await work('portion-plan', loin)).toEqual(beside)
  } finally {
    await compute.close()
  }
})

test('inputs that come together are answered each with its own', async () => {
  const compute = new Compute()
  try {
    const plate = { low: 190, target: 200, high: 210, needs: [{ kind: 'any', count: 2 }] }
    const pieces = [96, 104, 99, 101].map((weight, index) => ({ id: String(index), weight, kind: 'any' }))
    const [plan, plating, again] = await Promise.all([
      compute.do('portion-plan', loin),
      compute.do('plating', { pieces, plate }),
      compute.do('portion-plan', { ...loin, products: [] }),
    ])
    expect(plan.pieces.length).toBeGreaterThan(0)
    expect(plating.plates).toHaveLength(2)
    expect(again.pieces).toEqual([])
  } finally {
    await compute.close()
  }
})

test('a failure is told, and the next input is answered all the same', async () => {
  const compute = new Compute()
  try {
    const broken = { ...loin, piece: { ...loin.piece, profile: null as never } }
    await expect(compute.do('portion-plan', broken)).rejects.toMatchObject({ code: 'invalid-input' })
    expect((await compute.do('portion-plan', loin)).pieces.length).toBeGreaterThan(0)
  } finally {
    await compute.close()
  }
})

test('closed, it starts anew when it is asked again', async () => {
  const compute = new Compute()
  try {
    await compute.do('portion-plan', loin)
    await compute.close()
    expect((await compute.do('portion-plan', loin)).pieces.length).toBeGreaterThan(0)
  } finally {
    await compute.close()
  }
})

/** Thousands of pieces to be matched: longer than anybody waits. */
const endless = () => ({
  pieces: Array.from({ length: 400 }, (_, index) => ({
    id: String(index),
    weight: 90 + ((index * 37) % 61),
    kind: 'any',
  })),
  plate: { low: 299, target: 300, high: 301, needs: [{ kind: 'any', count: 3 }] },
})

test('what takes long of one kind delays no other, and ends when nobody waits for it any more', async () => {
  const compute = new Compute()
  try {
    const gone = new AbortController()
    let isOver = false
    const long = compute.do('plating', endless(), gone.signal).finally(() => {
      isOver = true
    })
    long.catch(() => {})
    expect((await compute.do('portion-plan', loin)).pieces.length).toBeGreaterThan(0)
    if (!isOver) {
      gone.abort()
      await expect(long).rejects.toMatchObject({ code: 'cancelled' })
    }
    // The next of its kind has a thread of its own again.
    const few = { pieces: endless().pieces.slice(0, 4), plate: { ...endless().plate, low: 200, high: 500 } }
    expect((await compute.do('plating', few)).plates.length).toBeGreaterThan(0)
  } finally {
    await compute.close()
  }
}, 60_000)

test('a thread that dies is replaced: the input is tried once more, and refused where that dies too', async () => {
  let tries = 0
  let deaths = 2
  const compute = new Compute(() => ({
    run: async () => {
      tries++
      if (deaths-- > 0) throw new Error('The thread ended: it took more memory than it may')
      return { answer: { pieces: ['one'] } }
    },
    destroy: async () => {},
  }))
  await expect(compute.do('portion-plan', loin)).rejects.toMatchObject({ code: 'invalid-input' })
  expect(tries).toBe(2)
  deaths = 1
  expect(await compute.do('portion-plan', loin)).toEqual({ pieces: ['one'] })
  expect(tries).toBe(4)
  await compute.close()
})
