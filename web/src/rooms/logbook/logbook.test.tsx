import type { LogbookRecord, LogbookSummaryAnswer } from '@fleam/contract'
import { appraise, keptBeam, twinBeam } from '@fleam/core'
import { act, fireEvent, screen, within } from '@testing-library/react'
import { sixChickens } from '../../../../core/test/documents.ts'
import { answered, LARCH_HALT, renderPart, touch } from '../../../test/render.tsx'
import { answerWith, problemOf } from '../../../test/server.ts'
import { Component as Logbook } from './logbook.tsx'

const BASE = `/api/kitchens/${LARCH_HALT.id}`
const money = { spent: 900, saved: 120.5, givenAway: 8, waste: 31, unused: 4, demoted: 0, unaccounted: 2 }
const group = (key: string, name: string, mean: number, against: number | null) => ({
  key,
  name,
  records: 6,
  units: 36,
  ap: 72_000,
  portionYield: { mean, sd: 0.01, low: mean - 0.0105, high: mean + 0.0105, weighted: mean },
  yieldAgainstStyle: against === null ? null : { mean: against, low: against - 0.01, high: against + 0.01 },
  minutesPerUnit: { mean: 9, sd: 0.5, low: 8.5, high: 9.5 },
  money,
})
const { key: _key, name: _name, ...all } = group('', '', 0.4, null)
const byItem: LogbookSummaryAnswer = { groups: [group('i', 'Chicken, eviscerated', 0.4, null)], all }
const byCook: LogbookSummaryAnswer = {
  groups: [group('c1', 'Marit', 0.42, 0.024), group('c2', 'Bruno', 0.39, -0.005)],
  all,
}

const record = (id: string, changes: Partial<LogbookRecord> = {}): LogbookRecord => ({
  id,
  date: '2026-11-20',
  item: 'Chicken, eviscerated',
  style: 'Scored halves',
  cook: 'Marit',
  supplier: 'Ostravale Poultry Yard',
  itemId: 'i',
  styleId: 's',
  cookId: 'c1',
  supplierId: null,
  lotId: null,
  lot: null,
  currency: 'EUR',
  isCounted: true,
  leftOut: null,
  balance: 'ok',
  causes: 0,
  units: 6,
  ap: 12_600,
  portionYield: 0.412,
  utilisation: 0.9,
  costPerPortion: 3.1,
  savingPerPortion: 0.4,
  minutesPerUnit: 9,
  money,
  beam: keptBeam(twinBeam(appraise(sixChickens()))),
  ...changes,
})

async function show(path = '/logbook', answers: Record<string, unknown> = {}) {
  const asked = answerWith({
    [`GET ${BASE}/items`]: {
      body: [{ id: 'i', name: 'Chicken, eviscerated', styles: [{ id: 's', name: 'Scored halves' }] }],
    },
    [`GET ${BASE}/cooks`]: { body: [{ id: 'c1', name: 'Marit' }] },
    [`GET ${BASE}/suppliers`]: { body: [] },
    [`GET ${BASE}/logbook/summary?`]: (url: string) => ({ body: url.includes('group=item') ? byItem : byCook }),
    [`GET ${BASE}/logbook/changes`]: { body: { changes: [], tests: 7 } },
    [`GET ${BASE}/logbook/doubts`]: { body: { doubts: [], records: 40 } },
    [`GET ${BASE}/logbook/records?`]: {
      body: { rows: [record('a'), record('b', { isCounted: false, balance: 'lost' })], total: 2, next: null },
    },
    ...answers,
  } as never)
  await act(async () => void renderPart(<Logbook />, { path }))
  await answered()
  await answered()
  return (part: string) => asked.filter((each) => each.path.includes(part)).map((each) => each.path)
}

test('the first screen says what cutting brought and where it was lost, and opens to the items', async () => {
  await show()
  const brought = screen.getByRole('region', { name: 'What it brought' })
  expect(brought.textContent).toContain('Cutting it ourselves brought €120.50 against buying ready, over 6 records')
  expect(brought.textContent).toContain('Most was lost as waste: €31.00')
  await touch(within(brought).getByRole('button', { name: '€120.50' }))
  expect(document.querySelector('.formula')?.textContent).toContain('Chicken, eviscerated, 6 records')
})

test('who stands out is said only where the interval leaves nothing open', async () => {
  await show()
  const region = screen.getByRole('region', { name: 'Side by side' })
  expect(region.textContent).toContain('Marit 2.4 points more than the others at the same cuts')
  expect(region.textContent).not.toContain('Bruno 0.5 points')
  expect(within(region).getByRole('row', { name: /^Bruno/ }).textContent).toContain('−0.5')
})

test('nothing that changed is said too, with how much was compared', async () => {
  await show()
  expect(screen.getByText(/Nothing changed in the last four weeks beyond chance: 7 comparisons/)).toBeTruthy()
})

test('what changed is said in points and money a week', async () => {
  const change = {
    of: 'style',
    key: 's',
    name: 'Hake: portions',
    item: 'i',
    what: 'portion-yield',
    difference: -0.019,
    recent: { records: 5, mean: 0.58 },
    before: { records: 12, mean: 0.6 },
    p: 0.01,
    moneyPerWeek: -21,
    kilosPerWeek: 100,
    costPerKg: 11.05,
    since: '2026-11-03',
  }
  await show('/logbook', { [`GET ${BASE}/logbook/changes`]: { body: { changes: [change], tests: 7 } } })
  const words = screen.getByText('Hake: portions').closest('li')?.textContent
  expect(words).toContain('Hake: portions gives 1.9 points less since')
  expect(words).toContain('€21.00 a week')
})

test('a view is a link: its filters and its order are asked for, and a touch on a heading asks anew', async () => {
  const asked = await show('/logbook?period=28&cook=c1&sort=saved')
  expect(asked('/records')[0]).toMatch(/cook=c1.*sort=saved&order=descending/)
  expect(asked('/summary')[0]).toMatch(/from=.*&to=.*&cook=c1&group=item/)
  const heading = within(screen.getByRole('region', { name: 'Records' })).getByRole('button', { name: 'Brought' })
  await touch(heading)
  await answered()
  expect(asked('/records').at(-1)).toContain('sort=saved&order=ascending')
})

test('records that do not count say why, and the chart waits for an item and a style', async () => {
  await show()
  expect(screen.getByText('a pile is missing')).toBeTruthy()
  expect(screen.getByText(/Choose an item and a cut style above/)).toBeTruthy()
})

test('no records, and an answer that does not come, are said', async () => {
  const none = { groups: [], all: { ...all, records: 0 } }
  await show('/logbook', { [`GET ${BASE}/logbook/summary?`]: { body: none } })
  expect(screen.getByText('No records that count')).toBeTruthy()
  await show('/logbook?period=7', { [`GET ${BASE}/logbook/summary?`]: problemOf('invalid-input', 400) })
  expect(screen.getAllByRole('alert').length).toBeGreaterThan(0)
  fireEvent.change(screen.getAllByLabelText('When').at(-1) as HTMLElement, { target: { value: 'all' } })
})

test('the records of a view are one file away, and a file that is refused says where', async () => {
  await show('/logbook?period=all&cook=c1')
  expect(screen.getByRole('link', { name: 'These records as JSON' }).getAttribute('href')).toBe(
    `${BASE}/logbook/records.json?cook=c1&counted=all`,
  )
  answerWith({
    [`POST ${BASE}/logbook/import`]: problemOf('invalid-input', 400, [{ path: 'format', message: 'is another' }]),
  })
  const file = new File(['{"format":"other"}'], 'other.json', { type: 'application/json' })
  Object.assign(file, { text: async () => '{"format":"other"}' })
  await act(
    async () => void fireEvent.change(screen.getByLabelText('Records of a logbook'), { target: { files: [file] } }),
  )
  await answered()
  expect(screen.getByRole('alert').textContent).toContain('format is another')
})

test('records that cannot be right are named with the evidence, and lead to where they are mended', async () => {
  const of = { id: 'a', date: '2026-11-20', item: 'Chicken, eviscerated', style: 'Scored halves', cook: 'Marit' }
  const doubts = [
    { ...of, why: { kind: 'balance', id: 'a', balance: 'over' } },
    { ...of, why: { kind: 'double', id: 'a', of: 'b' } },
    { ...of, why: { kind: 'minutes', id: 'a', minutes: 1.5, usual: 9 } },
    { ...of, why: { kind: 'price', id: 'a', price: 31, usual: 3.1, factor: 10 } },
    { ...of, why: { kind: 'yield', id: 'a', portionYield: 0.55, usual: 0.4 } },
  ]
  await show('/logbook', { [`GET ${BASE}/logbook/doubts`]: { body: { doubts, records: 40 } } })
  const found = within(screen.getByRole('region', { name: 'Records that cannot be right' })).getAllByRole('listitem')
  const words = found.map((each) => each.textContent)
  expect(words[0]).toContain('more came out than went in')
  expect(words[2]).toContain('1.5 minutes a unit, usually 9.0')
  expect(words[3]).toContain('A digit too many or too few?')
  expect(words[4]).toContain('usually 40.0')
  expect(
    within(found[1] as HTMLElement)
      .getByRole('link', { name: 'the other one' })
      .getAttribute('href'),
  ).toBe('/verdict/b')
})
