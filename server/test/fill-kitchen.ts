import type { ArticleRows, Product } from '@fleam/contract/buying/schemas'
import { editOf } from '@fleam/contract/fabrication/edit'
import type { FabricationState } from '@fleam/contract/fabrication/schemas'
import type { Kitchen } from '@fleam/contract/kitchen/schemas'
import { lotEditOf } from '@fleam/contract/receiving/edit'
import type { Lot } from '@fleam/contract/receiving/schemas'
import { assumptionsOf } from '@fleam/contract/what-if/assumptions'
import type { Item, Style } from '@fleam/core/style'
import { withOwnPiles } from '@fleam/core/style'
import sharp from 'sharp'
import { v7 as newId } from 'uuid'
import { sixChickens } from '../../core/test/documents.ts'
import { fillPlans } from './fill-plans.ts'
import { send, startOf, type TestApp, weighing } from './harness.ts'

/** A request as it was made. */
export interface Asked {
  method: 'GET' | 'POST' | 'PUT' | 'DELETE'
  url: string
  payload: unknown
}

const picture = () =>
  sharp({ create: { width: 8, height: 8, channels: 3, background: 'red' } })
    .jpeg()
    .toBuffer()

/** Everything that a kitchen can do, once: what it has afterwards has ids of every kind. */
export async function fillKitchen(test: TestApp, home: Kitchen): Promise<Asked[]> {
  const asked: Asked[] = []
  const ask = async <T>(method: Asked['method'], rest: string, payload?: unknown): Promise<T> => {
    const url = `/api/kitchens/${home.id}${rest}`
    asked.push({ method, url, payload })
    const { status, body } = await send(test, method, url, payload)
    if (status >= 300) throw new Error(`${method} ${rest} ${JSON.stringify(body)}`)
    return body
  }
  const [item] = (await ask<Item[]>('GET', '/items')) as [Item]
  const style = item.styles.find((style) => style.name.startsWith('Supremes')) as Style
  const [cookId, supplierId, unlike] = [newId(), newId(), newId()]
  await ask('POST', '/cooks', { id: cookId, name: 'Marit', wagePerHour: 27.5 })
  await ask('PUT', `/cooks/${cookId}`, {
    name: 'Marit',
    wagePerHour: 28,
    week: [{ day: 1, from: 480, until: 960 }],
    skills: ['fish'],
  })
  await ask('PUT', '/cook-weeks', { cooks: [{ id: cookId, week: null, skills: null }] })
  const { id: _kitchen, currency: _currency, ...said } = home
  await ask('PUT', '', said)
  await ask('PUT', '/suppliers', { id: supplierId, name: 'Ostravale', delivery: 4, minimumOrder: 50 })
  await ask('PUT', '/suppliers', { id: unlike, name: 'Ostraval', delivery: 0, minimumOrder: null })
  await ask('POST', `/suppliers/${unlike}/merge`, { into: supplierId })
  await ask('POST', '/containers', { id: newId(), name: 'blue tub', grams: 640 })
  const [tub] = (await ask<{ id: string }[]>('GET', '/containers')) as [{ id: string }]
  const caution = {
    reason: 'colder here',
    text: 'Back into the cold after 25 minutes.',
    boardMinutes: 25,
    outMinutes: 90,
  }
  await ask('PUT', '/cautions/cold-chain', { cautionId: 'cold-chain', ...caution })
  const [product] = (await ask<Product[]>('GET', '/products')) as [Product]
  await ask('PUT', `/products/${product.id}/plate`, { plate: { by: 'pieces', count: 2 } })
  const offered = style.piles.find((pile) => pile.class === 'primary')?.id
  const offer = { name: 'Ready', pileId: offered, price: { amount: 76, per: 'case' }, pieces: 20, pieceWeight: 280 }
  await ask('POST', '/offers', { id: newId(), styleId: style.id, supplierId, offer })
  const sizes = { pieceWeight: 2100, packPieces: 6, packWeight: null, delivery: null, minimumOrder: null }
  const ready = { usableShare: null, handlingMinutesPerPiece: null, from: '2026-11-01', until: null }
  const price = { price: { amount: 4, per: 'kg' }, kind: 'whole', itemId: item.id, productId: null, ...sizes, ...ready }
  await ask('POST', '/prices', { supplierId, code: 'C1', name: 'Chicken', ...price })
  const priced = (await ask<ArticleRows>('GET', '/articles')).rows[0]?.current
  const correction = {
    why: 'mistyped',
    replacement: { ...sizes, price: { amount: 4.1, per: 'kg' }, from: '2026-11-02' },
  }
  await ask('POST', `/prices/${priced?.id}/correct`, {
    ...correction,
    replacement: { ...correction.replacement, delivery: null, minimumOrder: null, until: null },
  })
  const csv = 'article;price;unit\nDuck;3;kg'
  const mapping = { columns: { name: 'article', amount: 'price', per: 'unit' }, supplier: 'Ostravale', kind: 'whole' }
  asked.push({
    method: 'POST',
    url: `/api/kitchens/${home.id}/price-lists`,
    payload: { csv, mapping: { ...mapping, from: '2026-11-24', decimal: 'auto' } },
  })
  await ask('GET', '/price-list-mappings')
  asked.push({ method: 'POST', url: `/api/kitchens/${home.id}/price-lists/from-feed`, payload: undefined })
  await ask('GET', '/articles')
  await ask('GET', `/forms?product=${product.id}`)
  const lot = {
    id: newId(),
    version: 1,
    itemId: item.id,
    supplierId,
    code: 'L-4471',
    gtin: null,
    price: { amount: 4, per: 'kg' },
    extras: null,
    pieces: 12,
    receivedOn: '2026-11-23',
    productionDate: null,
    useBy: '2026-12-02',
    openedOn: null,
    isFinished: false,
    notes: null,
    cases: [{ id: newId(), label: null, serial: null, invoiceWeight: 12_600, weighed: null }],
    checks: [],
  }
  const received = await ask<Lot>('POST', '/lots', lot)
  await ask('PUT', `/lots/${lot.id}`, { ...lotEditOf(received), notes: 'stiff' })
  await ask('POST', `/lots/${lot.id}/photos`, {
    id: newId(),
    takenAt: '2026-11-23T09:00:00.000Z',
    picture: (await picture()).toString('base64'),
  })
  const request = { ...startOf(style.id), cookId, supplierId, lotId: lot.id }
  const { record } = await ask<FabricationState>('POST', '/fabrications', request)
  const pileId = record.piles[0]?.id as string
  await ask('POST', '/facts', { facts: [weighing(record.id, pileId, 281), weighing(record.id, pileId, 283, 2)] })
  await ask('PUT', `/fabrications/${record.id}`, editOf(record, { notes: 'by hand' }))
  const whatIf = {
    id: newId(),
    createdAt: '2026-11-24T09:00:00.000Z',
    name: 'Dearer',
    assumptions: assumptionsOf(record),
  }
  await ask('PUT', `/fabrications/${record.id}/what-ifs/${whatIf.id}`, whatIf)
  const names = 'item=none&style=none&supplier=none&cook=none'
  await ask('POST', `/fabrications/import?id=${newId()}&${names}`, sixChickens())
  const own = { ...withOwnPiles(style, newId), id: newId(), name: 'Our own' }
  await ask('POST', `/items/${item.id}/styles`, own)
  await ask('PUT', `/styles/${own.id}`, { ...own, minutesPerUnit: 8 })
  const file = await ask('GET', `/styles/${own.id}/style.json`)
  await ask('POST', `/styles/import?id=${newId()}`, file)
  await ask('POST', '/items/from-catalogue')
  const { id: _id, styles: _styles, ...fields } = item
  await ask('PUT', `/items/${item.id}`, { ...fields, name: 'Hen' })
  await ask('POST', '/items', { ...item, id: newId(), name: 'Another', styles: [] })
  // Without a scale it cannot be obeyed here.
  asked.push({
    method: 'POST',
    url: `/api/kitchens/${home.id}/fabrications/${record.id}/scale-commands`,
    payload: { command: 'tare' },
  })
  const gone = await fillPlans(ask, { supplierId, cookId, item, style, productId: product.id })
  const plan = asked.find(({ method, url }) => method === 'POST' && url.endsWith('/plans'))?.payload
  const odd = { ...(plan as { name: string; draft: unknown }), id: newId(), name: 'Cannot be read' }
  await ask('POST', '/plans', odd)
  await test.database.models.OrderPlan.update({ draft: {} as never }, { where: { id: odd.id } })
  await ask('DELETE', `/unreadable/plan/${odd.id}`)
  // What is taken away here is taken away last.
  for (const { method, rest } of gone)
    asked.push({ method, url: `/api/kitchens/${home.id}${rest}`, payload: undefined })
  asked.push({
    method: 'DELETE',
    url: `/api/kitchens/${home.id}/fabrications/${record.id}/what-ifs/${whatIf.id}`,
    payload: undefined,
  })
  asked.push({ method: 'POST', url: `/api/kitchens/${home.id}/logbook/recount`, payload: undefined })
  const { meta: _meta, ...past } = sixChickens({ item: item.name, style: style.name })
  const logbook = { format: 'fleam/logbook', version: 1, records: [{ id: newId(), document: past }] }
  asked.push({ method: 'POST', url: `/api/kitchens/${home.id}/logbook/import`, payload: logbook })
  await test.app.inject({ method: 'POST', url: `/api/kitchens/${home.id}/logbook/import`, payload: logbook })
  const view = { id: newId(), name: 'Birds', search: '?period=28' }
  await ask('POST', '/logbook/views', view)
  asked.push({ method: 'DELETE', url: `/api/kitchens/${home.id}/logbook/views/${view.id}`, payload: undefined })
  asked.push({ method: 'DELETE', url: `/api/kitchens/${home.id}/containers/${tub.id}`, payload: undefined })
  asked.push({ method: 'DELETE', url: `/api/kitchens/${home.id}/cautions/cold-chain`, payload: undefined })
  return asked
}
