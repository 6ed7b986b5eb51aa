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
    const here = await work({ id: 7, name: 'portion-plan', wish: loin })
    expect(here).toEqual({ id: 7, answer: beside })
  } finally {
    compute.close()
  }
})

test('wishes that come together are answered each with its own', async () => {
  const compute = new Compute()
  try {
    const plate = { low: 190, target: 200, high: 210, needs: [{ kind: 'any', count: 2 }] }
    const pieces = [96, 104, 99, 101].map((weight, at) => ({ id: String(at), weight, kind: 'any' }))
    const [plan, plating, again] = await Promise.all([
      compute.do('portion-plan', loin),
      compute.do('plating', { pieces, plate }),
      compute.do('portion-plan', { ...loin, products: [] }),
    ])
    expect(plan.pieces.length).toBeGreaterThan(0)
    expect(plating.plates).toHaveLength(2)
    expect(again.pieces).toEqual([])
  } finally {
    compute.close()
  }
})

test('a failure is told, and the next wish is answered all the same', async () => {
  const compute = new Compute()
  try {
    const broken = { ...loin, piece: { ...loin.piece, profile: null as never } }
    await expect(compute.do('portion-plan', broken)).rejects.toMatchObject({ code: 'invalid-input' })
    expect((await compute.do('portion-plan', loin)).pieces.length).toBeGreaterThan(0)
  } finally {
    compute.close()
  }
})

test('closed, it starts anew when it is asked again', async () => {
  const compute = new Compute()
  try {
    await compute.do('portion-plan', loin)
    compute.close()
    expect((await compute.do('portion-plan', loin)).pieces.length).toBeGreaterThan(0)
  } finally {
    compute.close()
  }
})
