import type { LogbookRecord, LogbookSummaryAnswer } from '@fleam/contract/logbook/schemas'
import { appraise } from '@fleam/core/appraisal'
import { keptBeam, twinBeam } from '@fleam/core/beam'
import { act, fireEvent, screen, within } from '@testing-library/react'
import { sixChickens } from '../../../../core/test/documents.ts'
import { RECORD } from '../../../test/bench.ts'
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
  planned: null,
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
    [`GET ${BASE}/logbook/views`]: { body: [{ id: 'v', name: 'Fish of the month', search: '?period=28&item=i' }] },
    [`GET ${BASE}/logbook/learning?`]: { body: { practice: [], improving: [] } },
    [`GET ${BASE}/logbook/seasons?`]: { body: { seasons: [] } },
    [`GET ${BASE}/logbook/turns?`]: { body: { turns: [], weeks: [] } },
    [`GET ${BASE}/logbook/records?`]: {
      body: { rows: [record('a'), record('b', { isCounted: false, balance: 'lost' })], total: 2, next: null },
    },
    ...answers,
  } as never)
  await act(async () => void renderPart(<Logbook />, { path }))
  await answered()
  await answered()
  bodies = (part) => asked.flatMap((request) => (request.path.includes(part) && request.body ? [request.body] : []))
  return (part: string) => asked.filter((request) => request.path.includes(part)).map((request) => request.path)
}
/** What was sent, of the last room that was shown. */
let bodies: (part: string) => unknown[]

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
    attributions: [
      { of: 'supplier', kind: 'one', moved: ['Skerrow Quay Fish'], held: ['Ostravale Poultry Yard'] },
      { of: 'cook', kind: 'all', moved: ['Marit', 'Bruno'], held: [] },
    ],
  }
  await show('/logbook', { [`GET ${BASE}/logbook/changes`]: { body: { changes: [change], tests: 7 } } })
  const words = screen.getByText('Hake: portions').closest('li')?.textContent
  expect(words).toContain('Hake: portions gives 1.9 points less since')
  expect(words).toContain('€21.00 a week')
  expect(words).toContain('It is Skerrow Quay Fish: Ostravale Poultry Yard holds what they had.')
  expect(words).toContain('Not one cook alone: Marit and Bruno alike.')
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
  const words = found.map((element) => element.textContent)
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

const chickens = { item: 'i', style: 's', itemName: 'Chicken', styleName: 'Supremes' }

test('who is getting better, and where practice would pay most', async () => {
  const cook = { cook: 'c2', cookName: 'Bruno', ...chickens }
  const better = { ...cook, records: 10, units: 60, from: '2026-06-04' }
  const learning = {
    improving: [
      { ...better, what: 'portion-yield', first: 0.63, last: 0.69 },
      { ...better, what: 'minutes', first: 15, last: 9.2 },
    ],
    practice: [
      {
        ...cook,
        records: 8,
        own: 0.36,
        house: 0.39,
        othersRecords: 20,
        isSure: true,
        kilosPerWeek: 20,
        costPerKg: 9,
        moneyPerWeek: 5.4,
        pile: { name: 'bones and back', difference: 0.018 },
      },
      { ...cook, records: 4, own: 0.3, house: 0.39, othersRecords: 5, isSure: false, moneyPerWeek: 99, pile: null },
    ],
  }
  await show('/logbook', { [`GET ${BASE}/logbook/learning?`]: { body: learning } })
  const cooks = screen.getByRole('region', { name: 'Cooks' })
  expect(cooks.textContent).toMatch(/Bruno is getting better at Chicken: supremes: portion yield 63.0\s%/)
  expect(cooks.textContent).toContain('minutes a unit 15.0 at first, 9.2 now')
  expect(cooks.textContent).toContain('practice would bring €5.40 a week')
  expect(cooks.textContent).toContain('Most of it is in bones and back: 1.8 points more.')
  expect(cooks.textContent).not.toContain('99')
  await touch(within(cooks).getByRole('button', { name: '€5.40' }))
  expect(document.querySelector('.formula')?.textContent).toContain('of the others')
})

test('what the year does, when the cheaper way was another, and a week that stands out', async () => {
  const season = {
    ...chickens,
    pile: 'p',
    name: 'fat and skin',
    records: 32,
    most: 1,
    least: 7,
    swing: 0.017,
    p: 0.001,
    months: [],
  }
  const turn = {
    ...chickens,
    to: 'buy',
    from: '2026-01-13',
    until: '2026-06-02',
    records: 6,
    cost: { now: 15.5, before: 11.8 },
    offer: { now: 12.9, before: 12.8 },
  }
  const week = { week: '2025-W48', view: 'unused', amount: 44.7, usual: 11.5, monday: '2025-11-24' }
  await show('/logbook', {
    [`GET ${BASE}/logbook/seasons?`]: { body: { seasons: [season] } },
    [`GET ${BASE}/logbook/turns?`]: { body: { turns: [turn], weeks: [week] } },
  })
  const year = screen.getByRole('region', { name: 'Through the year' }).textContent
  expect(year).toContain('fat and skin most in January, least in July, 1.7 points between')
  expect(year).toMatch(/from .*13 Jan.* to .*2 Jun buying ready was the cheaper way: a portion cost us €15.50/)
  expect(year).toMatch(/Week of .*24 Nov 2025: by-products nobody used cost €44.70, usually €11.50/)
})

test('what lies outside says which pile moved, and asks for a cause that may last', async () => {
  const state = { record: RECORD, facts: [] }
  const { id, piles } = RECORD
  const pile = piles[0]
  const series = {
    points: Array.from({ length: 8 }, (_, index) => ({
      id: index === 7 ? id : String(index),
      day: `2026-11-0${index + 1}`,
      value: index === 7 ? 0.3 : 0.4,
      causes: 0,
      isNewBaseline: false,
    })),
    records: 8,
    limits: [{ from: 0, to: 7, centre: 0.4, low: 0.39, high: 0.41 }],
    signals: [
      {
        kind: 'outside',
        side: 'low',
        from: 7,
        to: 7,
        moved: { key: 'x', name: 'portions', difference: -0.1 },
        against: { key: pile?.stylePileId ?? pile?.name, name: 'trim', difference: 0.08 },
      },
    ],
  }
  const asked = await show('/logbook?item=i&style=s', {
    [`GET ${BASE}/logbook/chart?`]: { body: series },
    [`GET ${BASE}/fabrications/${id}`]: { body: state },
    [`PUT ${BASE}/fabrications/${id}`]: { body: state },
  })
  const yields = screen.getByRole('region', { name: 'Portion yield through time' })
  expect(yields.textContent).toContain('portions 10.0 points less, trim 8.0 points more')
  expect(within(yields).getAllByRole('link').length).toBeGreaterThan(7)
  await touch(within(yields).getByRole('button', { name: 'Why?' }))
  await answered()
  fireEvent.change(within(yields).getByLabelText('Cause'), { target: { value: 'other-goods' } })
  await touch(within(yields).getByLabelText(/It stays so/))
  await touch(within(yields).getByRole('button', { name: 'Keep' }))
  await answered()
  expect(asked(`/fabrications/${id}`).length).toBeGreaterThan(1)
  expect(bodies(`/fabrications/${id}`).at(-1)).toMatchObject({
    causes: [{ pileId: pile?.id, cause: 'other-goods', isLasting: true }],
  })
})

test('several records are chosen and stand beside each other, pile by pile', async () => {
  const asked = await show()
  const records = screen.getByRole('region', { name: 'Records' })
  for (const box of within(records).getAllByRole('checkbox')) await touch(box)
  expect(within(records).getByRole('link', { name: 'As JSON' }).getAttribute('href')).toContain('id=a&id=b')
  await touch(within(records).getByRole('button', { name: 'Beside each other' }))
  await answered()
  expect(asked('/records').at(-1)).toContain('id=a&id=b&order=ascending')
  const beside = screen.getByRole('region', { name: 'Beside each other' })
  expect(within(beside).getAllByRole('columnheader')).toHaveLength(3)
  expect(within(beside).getByRole('row', { name: /^Of the weight: supremes/ }).textContent).toMatch(/%/)
})

test('a view is kept under a name, and a kept one is a link that can be forgotten', async () => {
  await show('/logbook?period=28&item=i', {
    [`POST ${BASE}/logbook/views`]: { status: 201, body: [{ id: 'w', name: 'Mine', search: '?period=28&item=i' }] },
    [`DELETE ${BASE}/logbook/views/w`]: { body: [] },
  })
  const views = screen.getByRole('navigation', { name: 'Kept views' })
  const kept = within(views).getByRole('link', { name: 'Fish of the month' })
  expect(kept.getAttribute('href')).toBe('/logbook?period=28&item=i')
  expect(kept.getAttribute('aria-current')).toBe('page')
  await touch(within(views).getByRole('button', { name: 'Keep this view' }))
  fireEvent.change(within(views).getByLabelText('Name of the view'), { target: { value: ' Mine ' } })
  await touch(within(views).getByRole('button', { name: 'Keep' }))
  await answered()
  expect(bodies('/logbook/views').at(-1)).toMatchObject({ name: 'Mine', search: '?period=28&item=i' })
  await touch(within(views).getByRole('button', { name: 'Forget “Mine”' }))
  await answered()
  expect(within(views).queryByRole('link')).toBeNull()
})

test('other days are chosen by hand, and go onto one page', async () => {
  await show('/logbook?period=days&from=2026-10-01&to=2026-10-31')
  expect(screen.getByLabelText('First day')).toBeTruthy()
  expect(screen.getByRole('link', { name: 'One page (PDF)' }).getAttribute('href')).toBe(
    `${BASE}/logbook/period.pdf?from=2026-10-01&to=2026-10-31`,
  )
})
