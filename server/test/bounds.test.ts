import { priceListBody } from '@fleam/contract/buying/operations'
import { fact } from '@fleam/contract/facts/schemas'
import { loggedRecord } from '@fleam/contract/logbook/schemas'
import { z } from 'zod'
import { openTestApp, type TestApp } from './harness.ts'

/** A schema as JSON: where a number has no bound or a list no length is read off it. */
interface Described {
  $ref?: string
  type?: string | string[]
  enum?: unknown[]
  const?: unknown
  format?: string
  pattern?: string
  minimum?: number
  maximum?: number
  exclusiveMinimum?: number
  exclusiveMaximum?: number
  maxLength?: number
  maxItems?: number
  properties?: Record<string, Described>
  additionalProperties?: Described | boolean
  propertyNames?: Described
  items?: Described | false
  prefixItems?: Described[]
  anyOf?: Described[]
  oneOf?: Described[]
  allOf?: Described[]
  $defs?: Record<string, Described>
}

/** Formats whose texts have a length of their own. */
const OWN_LENGTH = new Set(['uuid', 'date', 'date-time'])
/** Lists whose entries are read one by one by the schemas below, and what a fact keeps of a board, by its part. */
const READ_BY_ITSELF =
  /(body\.facts\[\]|body\.records\[\](\.document)?|fact\.state|body\.facts\[\]\.state): anything at all$/
/** Zod bounds every whole number by what a double holds exactly: that is no bound of ours. */
const BEYOND = Number.MAX_SAFE_INTEGER

/** Every place below a schema where something of any size may stand. */
function boundless(schema: Described, path: string, defs: Record<string, Described>, seen: Set<string>): string[] {
  const next = (described: Described, step: string) => boundless(described, path + step, defs, seen)
  if (schema.$ref) {
    const name = schema.$ref.split('/').at(-1) as string
    if (seen.has(name)) return []
    seen.add(name)
    return next(defs[name] as Described, '')
  }
  if (schema.enum || schema.const !== undefined) return []
  if (Array.isArray(schema.type)) {
    return schema.type.flatMap((type) => next({ ...schema, type }, ''))
  }
  const choices = [...(schema.anyOf ?? []), ...(schema.oneOf ?? []), ...(schema.allOf ?? [])]
  if (choices.length > 0) return choices.flatMap((choice) => next(choice, ''))
  const { type } = schema
  if (type === 'number' || type === 'integer') {
    const [low, high] = [schema.minimum ?? schema.exclusiveMinimum, schema.maximum ?? schema.exclusiveMaximum]
    const isBound = low !== undefined && high !== undefined && low > -BEYOND && high < BEYOND
    return isBound ? [] : [`${path}: a number without bounds`]
  }
  if (type === 'string') {
    const hasLength = schema.maxLength !== undefined || OWN_LENGTH.has(schema.format ?? '')
    return hasLength ? [] : [`${path}: a text of any length`]
  }
  if (type === 'array') {
    const inside = [
      ...(schema.prefixItems ?? []).flatMap((prefixItem, index) => next(prefixItem, `[${index}]`)),
      ...(schema.items ? next(schema.items, '[]') : []),
    ]
    const hasLength = schema.maxItems !== undefined || (schema.prefixItems && !schema.items)
    return hasLength ? inside : [`${path}: a list of any length`, ...inside]
  }
  if (type === 'object') {
    const fields = Object.entries(schema.properties ?? {}).flatMap(([name, each]) => next(each, `.${name}`))
    const { additionalProperties: others } = schema
    return typeof others === 'object' ? [...fields, ...next(others, '.*')] : fields
  }
  if (type === 'boolean' || type === 'null') return []
  return [`${path}: anything at all`]
}

let test_: TestApp
beforeAll(async () => {
  test_ = await openTestApp()
  await test_.app.ready()
})
afterAll(() => test_.close())

const inJson = (schema: z.ZodType) => z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any' }) as Described

test('no number, text or list that comes in is without bounds', async () => {
  const { incoming } = test_
  expect(incoming.length).toBeGreaterThan(100)
  // What is read from its text by itself, or one by one so that one that is wrong fails alone.
  const texts: [string, z.ZodType][] = [
    ['price list', priceListBody],
    ['fact', fact],
    ['record of a logbook file', loggedRecord],
  ]
  const files = texts.map(([where, schema]) => ({ where, schema }))
  const found = [...incoming, ...files].flatMap(({ where, schema }) => {
    const described = inJson(schema)
    return boundless(described, where, described.$defs ?? {}, new Set())
  })
  expect(found.filter((place) => !READ_BY_ITSELF.test(place))).toEqual([])
})
