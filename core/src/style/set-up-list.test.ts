import type { CutPile, StyleStep } from './cut-style.ts'
import { setUpList } from './set-up-list.ts'
import type { Tool } from './tools.ts'

const pile = (id: string, changes: Partial<CutPile>) => ({ id, name: id, weighing: 'whole', ...changes }) as CutPile
const step = (tool: Tool, ...pileIds: string[]) => ({ id: tool, tool, pileIds }) as unknown as StyleStep

test('tools, a container for each pile in the order of the steps, and what it has to hold', () => {
  const list = setUpList({
    steps: [step('hands'), step('knife', 'legs'), step('shears'), step('knife', 'supremes')],
    piles: [
      pile('supremes', { weighing: 'pieces', expectedShare: 0.25, portionsPerUnit: 2 }),
      pile('legs', { expectedShare: 0.3, portionsPerUnit: null }),
      pile('bin', { expectedShare: null, portionsPerUnit: null }),
    ],
    consumables: [{ name: 'bags' }],
    units: 6,
    grams: 12_000,
  })
  expect(list.tools).toEqual(['knife', 'shears'])
  expect(list.piles).toEqual([
    { name: 'legs', grams: 3600, pieces: null },
    { name: 'supremes', grams: 3000, pieces: 12 },
    { name: 'bin', grams: null, pieces: null },
  ])
  expect(list.consumables).toEqual(['bags'])
})
