import type { FabricationRow } from '@fleam/contract/fabrication/schemas'
import type { FabricationDocument } from '@fleam/core/fabrication'
import { act, fireEvent, screen, within } from '@testing-library/react'
import { sixChickens } from '../../../../core/test/documents.ts'
import { LARCH_HALT, renderPart } from '../../../test/render.tsx'
import { answerWith, problemOf } from '../../../test/server.ts'
import { ColdOver } from '../../parts/cold-over.tsx'
import { OpenFabrications } from '../../parts/open-fabrications.tsx'
import { ImportButton } from './import-button.tsx'
import { LatestRecords } from './latest-records.tsx'

const row = (document: FabricationDocument, changes: Partial<FabricationRow> = {}): FabricationRow => ({
  id: '019b76da-a8f2-7000-8003-cbb2874dc7a1',
  status: 'closed',
  priceFrom: 'typed',
  itemId: null,
  styleId: null,
  cookId: null,
  startedAt: '2026-11-24T08:00:00.000Z',
  updatedAt: '2026-11-24T08:00:00.000Z',
  document,
  expected: null,
  units: 6,
  coldMarks: [],
  ...changes,
})

describe('a record in the list', () => {
  const cellsOf = (document: FabricationDocument) => {
    renderPart(<LatestRecords rows={[row(document)]} />)
    return screen.getAllByRole('row').find((element) => within(element).queryByRole('link')) as HTMLElement
  }

  test('says both amounts and the verdict, and opens', () => {
    const cells = cellsOf(sixChickens({ meta: { date: '2026-11-24', cook: 'Ondine' } }))
    expect(cells.textContent).toMatch(/^Tue 24 Nov.*Ondine.*40\.1\u00a0%€\d\.\d\d€3\.97buy$/)
    expect(within(cells).getByRole('link').getAttribute('href')).toBe('/verdict/019b76da-a8f2-7000-8003-cbb2874dc7a1')
  })

  test('with a pile missing says that instead of a verdict', () => {
    expect(cellsOf(sixChickens({ piles: sixChickens().piles.slice(0, 2) })).textContent).toContain('a pile is missing')
  })

  test('with more out than in asks to check the weights', () => {
    const over = sixChickens()
    over.purchase.receivedWeight = 9000
    expect(cellsOf(over).textContent).toContain('check the weights')
  })

  test('without an offer has a cost and no verdict', () => {
    expect(cellsOf(sixChickens({ offers: [] })).textContent).toMatch(/€\d\.\d\d–no verdict$/)
  })
})

test('what is on the board says how much is still to weigh, and goes on with one touch', () => {
  const piles = sixChickens().piles.map((pile, index) => (index === 0 ? pile : { ...pile, weight: 0 }))
  const open = row(sixChickens({ piles, meta: { cook: 'Marit' } }), { status: 'open', expected: sixChickens() })
  renderPart(<OpenFabrications rows={[open]} />)
  expect(screen.getByText(/Marit · since \d+:\d\d · 9,043 g of 12\.54 kg still to weigh/)).toBeTruthy()
  expect(screen.getByRole('link', { name: 'Go on weighing' }).getAttribute('href')).toBe(`/bench/${open.id}`)
})

describe('a record that is too odd to be drawn', () => {
  const odd = row(sixChickens({ item: 'Odd one', meta: { date: 'no day' } }), { id: 'odd' })
  const sound = row(sixChickens({ meta: { date: '2026-11-24' } }))
  beforeEach(() => void jest.spyOn(console, 'error').mockImplementation(() => {}))
  afterEach(() => jest.restoreAllMocks())

  test('says so in the list and opens, and the others are there', () => {
    renderPart(<LatestRecords rows={[odd, sound]} />)
    expect(screen.getByText(/something in this record is odd/).textContent).toContain('Odd one')
    expect(screen.getAllByRole('link').map((link) => link.getAttribute('href'))).toEqual([
      '/verdict/odd',
      `/verdict/${sound.id}`,
    ])
  })

  test('on the board leaves the others on the board', () => {
    const broken = { ...odd, status: 'open' as const, document: { ...odd.document, piles: null as never } }
    renderPart(<OpenFabrications rows={[broken, { ...sound, status: 'open' }]} />)
    expect(screen.getByRole('link', { name: 'Look at it' }).getAttribute('href')).toBe('/bench/odd')
    expect(screen.getByRole('link', { name: 'Go on weighing' })).toBeTruthy()
  })
})

describe('importing', () => {
  const choose = async (text: string) => {
    const file = Object.assign(new File([text], 'record.json'), { text: async () => text })
    await act(async () => {
      fireEvent.change(screen.getByLabelText('Fabrication document'), { target: { files: [file] } })
    })
  }
  const asImport = (asked: { method: string; path: string }[]) =>
    asked.filter(
      (request) =>
        request.method === 'POST' && request.path.startsWith(`/api/kitchens/${LARCH_HALT.id}/fabrications/import?id=`),
    )

  test('sends the document as it is, under a new id', async () => {
    const asked = answerWith({})
    renderPart(<ImportButton />)
    await choose('{"format":"fleam/fabrication"}')
    expect(asImport(asked)).toMatchObject([{ body: { format: 'fleam/fabrication' } }])
    expect((await screen.findByRole('alert')).textContent).toContain('The server does not answer')
  })

  test('refuses half a file before it is sent', async () => {
    const asked = answerWith({})
    renderPart(<ImportButton />)
    await choose('{"format":')
    expect(asked).toEqual([])
    expect(screen.getByRole('alert').textContent).toBe('record.json is not whole JSON. Nothing was kept of it.')
  })

  test('says field by field what the server refuses', async () => {
    globalThis.fetch = (async () => {
      const { status, body } = problemOf('invalid-input', 400, [
        { path: 'piles[0].weight', message: 'must not be negative' },
      ])
      return {
        ok: false,
        status,
        headers: new Headers({ 'content-type': 'application/problem+json' }),
        json: async () => body,
      }
    }) as unknown as typeof fetch
    renderPart(<ImportButton />)
    await choose('{}')
    expect((await screen.findByRole('alert')).textContent).toContain('piles[0].weight must not be negative')
  })
})

describe('a document whose names are not known here', () => {
  const PATH = `/api/kitchens/${LARCH_HALT.id}/fabrications/import?`
  const refused = {
    status: 422,
    body: {
      ...problemOf('name-unknown', 422).body,
      current: [
        { field: 'item', name: 'Dodo', candidates: [{ id: 'duck', name: 'Duck' }] },
        { field: 'supplier', name: 'Nobody', candidates: [] },
      ],
    },
  }

  test('is asked about name by name, and sent again with what was decided', async () => {
    const asked = answerWith({})
    globalThis.fetch = (async (path: string, options: RequestInit) => {
      asked.push({ method: 'POST', path, body: JSON.parse(String(options.body)) })
      const answer = path.includes('item=') ? { status: 201, body: { record: { id: 'new' } } } : refused
      const type = answer.status < 400 ? 'application/json' : 'application/problem+json'
      const headers = new Headers({ 'content-type': type })
      return { ok: answer.status < 400, status: answer.status, headers, json: async () => answer.body }
    }) as typeof fetch
    renderPart(<ImportButton />)
    const text = JSON.stringify(sixChickens())
    const file = Object.assign(new File([text], 'record.json'), { text: async () => text })
    await act(async () => {
      fireEvent.change(screen.getByLabelText('Fabrication document'), { target: { files: [file] } })
    })
    const dialog = await screen.findByRole('dialog')
    fireEvent.change(within(dialog).getByLabelText('What was cut: Dodo'), { target: { value: 'duck' } })
    await act(async () => {
      fireEvent.click(within(dialog).getByRole('button', { name: 'Import it' }))
    })
    const queries = asked.map(({ path }) => Object.fromEntries(new URLSearchParams(path.slice(PATH.length))))
    expect(queries[1]).toEqual({ id: queries[0]?.id, item: 'duck', supplier: 'add' })
    expect(screen.queryByRole('dialog')).toBeNull()
  })
})

test('a load that has been out for too long says by how much, and what to do', () => {
  const minutesAgo = (minutes: number) => new Date(Date.now() - minutes * 60_000).toISOString()
  const open = (minutes: number) => row(sixChickens(), { status: 'open', startedAt: minutesAgo(minutes) })
  renderPart(<ColdOver rows={[open(10)]} />)
  expect(screen.queryByRole('alert')).toBeNull()
  renderPart(<ColdOver rows={[open(39.5)]} />)
  expect(screen.getByRole('alert').textContent).toContain('9 min over: back now')
})
