import { randomBytes } from 'node:crypto'
import type { Supplier } from '@fleam/contract/buying/schemas'
import type { FabricationState } from '@fleam/contract/fabrication/schemas'
import type { Kitchen } from '@fleam/contract/kitchen/schemas'
import type { Reading } from '@fleam/core/facts'
import type { PriceListLine } from '@fleam/core/price-lists'
import type { Item } from '@fleam/core/style'
import { Sequelize } from 'sequelize'
import { v7 as newId } from 'uuid'
import type { z } from 'zod'
import { buildApp, openDatabase, ScaleGateway } from '../src/index.ts'
import { copyTemplate } from './template.ts'

export type TestApp = Awaited<ReturnType<typeof openTestApp>>

/** What one part of a request is checked by. */
interface Incoming {
  where: string
  schema: z.ZodType
}

/**
 * The server on a fresh database of its own; `close` drops it. An answer that is not as its schema says is a fault,
 * but where a test makes odd records on purpose.
 */
export async function openTestApp(
  scaleAddress: string | null = null,
  { isOddAllowed = false, names = [] as string[], patienceMs = undefined as number | undefined } = {},
) {
  const base = new URL(process.env.FLEAM_TEST_DATABASE_URL as string)
  const name = `fleam_${randomBytes(6).toString('hex')}`
  const admin = new Sequelize(base.href, { dialect: 'mysql', logging: false })
  await admin.query(`CREATE DATABASE ${name}`)
  base.pathname = `/${name}`
  const database = openDatabase(base.href)
  await copyTemplate(database.sequelize)
  const scale = new ScaleGateway(scaleAddress)
  const incoming: Incoming[] = []
  const app = await buildApp({
    database,
    scale,
    names,
    onRoute: ({ method, url, schema }) => {
      for (const part of ['params', 'querystring', 'body'] as const) {
        const checked = schema?.[part] as z.ZodType | undefined
        if (checked) incoming.push({ where: `${method} ${url} ${part}`, schema: checked })
      }
    },
    ...(patienceMs === undefined ? {} : { patienceMs }),
    onOddAnswer: isOddAllowed
      ? () => {}
      : ({ method, url, error }) => {
          throw new Error(`${method} ${url} does not answer as it says: ${error.message}`)
        },
  })
  return {
    app,
    database,
    incoming,
    url: base.href,
    async close() {
      scale.close()
      await app.close()
      await database.sequelize.close()
      await admin.query(`DROP DATABASE ${name}`)
      await admin.close()
    },
  }
}

interface Described {
  responses: Record<string, { description: string }>
}

/** What OpenAPI says of the operation at an address; null where there is none. */
function describedAt({ app }: TestApp, method: string, url: string): Described | null {
  const path = url.split('?')[0] as string
  const paths = Object.entries(app.swagger().paths ?? {})
  const found = paths.find(([each]) => new RegExp(`^${each.replace(/\{[^}]+\}/g, '[^/]+')}$`).test(path))
  return (found?.[1] as Record<string, Described> | undefined)?.[method.toLowerCase()] ?? null
}

/** Sends JSON and reads the answer. A refusal that the description of the operation does not name is a fault. */
export async function send(test: TestApp, method: 'GET' | 'POST' | 'PUT' | 'DELETE', url: string, payload?: unknown) {
  const response = await test.app.inject({
    method,
    url,
    ...(payload === undefined ? {} : { payload: payload as object }),
  })
  const body = response.json()
  const described = response.statusCode >= 400 ? describedAt(test, method, url) : null
  if (described && body.code) {
    const named = described.responses[response.statusCode]?.description ?? ''
    if (!named.includes(`\`${body.code}\``))
      throw new Error(`${method} ${url} does not say that it refuses ${body.code}`)
  }
  return { status: response.statusCode, body, headers: response.headers }
}

export async function setUpKitchen(test: TestApp, name = 'Test kitchen'): Promise<Kitchen> {
  const kitchen = { id: newId(), name, currency: 'EUR', units: 'metric', timeZone: 'Europe/Vienna', wagePerHour: 21.4 }
  const { status, body } = await send(test, 'POST', '/api/kitchens', kitchen)
  if (status !== 201) throw new Error(JSON.stringify(body))
  return body
}

/** A fabrication of six chickens, just started. */
export async function startSixChickens(test: TestApp, kitchen: Kitchen): Promise<FabricationState> {
  const { body } = await send(test, 'GET', `/api/kitchens/${kitchen.id}/items`)
  const style = (body as Item[])[0]?.styles.find((style) => style.name.startsWith('Supremes'))
  const started = await send(test, 'POST', `/api/kitchens/${kitchen.id}/fabrications`, startOf(style?.id as string))
  if (started.status !== 201) throw new Error(JSON.stringify(started.body))
  return started.body
}

export const startOf = (styleId: string) => ({
  id: newId(),
  styleId,
  units: 6,
  purchase: { price: { amount: 4.35, per: 'kg' }, invoiceWeight: 12600, receivedWeight: 12540, purge: 90, extras: 3 },
  cookId: null,
  supplierId: null,
  lot: null,
  date: '2026-11-24',
  startedAt: '2026-11-24T08:00:00.000Z',
})

/** A weighing as a bench sends it. */
export const weighing = (fabricationId: string, pileId: string, grams: number, order = 1): Reading => ({
  kind: 'reading',
  id: newId(),
  order,
  fabricationId,
  pileId,
  grams,
  takenAt: '2026-11-24T08:10:00.000Z',
  source: 'scale',
  cookId: null,
  pieces: null,
})

/** Sends facts as a device does. */
export const sendFacts = (test: TestApp, kitchen: Pick<Kitchen, 'id'>, ...facts: unknown[]) =>
  send(test, 'POST', `/api/kitchens/${kitchen.id}/facts`, { facts })

/** Adds a supplier and answers with its id. */
export async function addSupplier(test: TestApp, kitchen: Pick<Kitchen, 'id'>, name: string): Promise<string> {
  const path = `/api/kitchens/${kitchen.id}/suppliers`
  const { body } = await send(test, 'PUT', path, { id: newId(), name })
  return (body as Supplier[]).find((supplier) => supplier.name.toLowerCase() === name.toLowerCase())?.id as string
}

/** Adds a price by the names that a list would have; a name that is not here gets an id that stands for nothing. */
export async function createPrice(test: TestApp, kitchen: Pick<Kitchen, 'id'>, line: PriceListLine) {
  const { supplier, item, product, ...price } = line
  const idOf = async (path: string, name: string | null): Promise<string | null> => {
    if (name === null) return null
    const rows = (await send(test, 'GET', `/api/kitchens/${kitchen.id}/${path}`)).body as { id: string; name: string }[]
    return rows.find((row) => row.name === name)?.id ?? newId()
  }
  return send(test, 'POST', `/api/kitchens/${kitchen.id}/prices`, {
    ...price,
    supplierId: await addSupplier(test, kitchen, supplier),
    itemId: await idOf('items', item),
    productId: await idOf('products', product),
  })
}
