import fc from 'fast-check'
import { v7 as newId } from 'uuid'

/** A JSON schema as OpenAPI has it, as far as ours use it. */
export interface JsonSchema {
  $ref?: string
  type?: string | string[]
  enum?: unknown[]
  const?: unknown
  format?: string
  minimum?: number
  maximum?: number
  exclusiveMinimum?: number
  maxLength?: number
  properties?: Record<string, JsonSchema>
  required?: string[]
  items?: JsonSchema
  minItems?: number
  maxItems?: number
  anyOf?: JsonSchema[]
  oneOf?: JsonSchema[]
  allOf?: JsonSchema[]
  additionalProperties?: JsonSchema | boolean
}

export interface SchemaContext {
  /** Schemas that others refer to, by name. */
  schemas: Record<string, JsonSchema>
  /** Ids of things that are there. */
  ids: readonly string[]
}

/** Texts that have broken programs before. */
export const NASTY_TEXTS = [
  '',
  ' ',
  'constructor',
  '__proto__',
  'null',
  '0',
  '=1+1',
  '\ud800',
  'a\u0000b',
  '\u202e',
  "'; DROP TABLE facts; --",
  '<script>alert(1)</script>',
  '../../etc/passwd',
  'x'.repeat(5000),
  '🐔'.repeat(200),
]
/** Numbers at and beyond every edge. */
export const NASTY_NUMBERS = [
  0,
  -0,
  -1,
  1e-12,
  5e-10,
  0.1,
  1.5,
  99_999,
  100_001,
  1e6,
  1e8,
  1e8 + 1,
  1e9,
  2 ** 31,
  2 ** 53,
  1e21,
  1e300,
  -1e300,
]
const DEEPEST = 7

const text = ({ maxLength = 40, format }: JsonSchema, { ids }: SchemaContext): fc.Arbitrary<unknown> => {
  if (format === 'uuid')
    return fc.oneof(
      { weight: 8, arbitrary: fc.constantFrom(...ids) },
      fc.constant(0).map(() => newId()),
    )
  if (format === 'date') return fc.constantFrom('2026-11-24', '2026-02-28', '0026-11-24', '2026-02-30', '9999-12-31')
  if (format === 'date-time')
    return fc.constantFrom('2026-11-24T08:00:00.000Z', '1970-01-01T00:00:00.000Z', '9999-12-31T23:59:59.999Z')
  return fc.oneof(
    fc.string({ maxLength: Math.min(40, maxLength) }),
    fc.constantFrom('kg', 'EUR', 'supremes', ...NASTY_TEXTS),
  )
}

const number = ({ type, minimum, exclusiveMinimum, maximum }: JsonSchema): fc.Arbitrary<unknown> => {
  const [low, high] = [minimum ?? exclusiveMinimum ?? -1e6, maximum ?? 1e9]
  const edges = [low, high, low - 1, high + 1, (low + high) / 2, ...NASTY_NUMBERS]
  const usual = type === 'integer' ? fc.integer({ min: 1, max: 40 }) : fc.double({ min: 0.01, max: 5000, noNaN: true })
  return fc.oneof({ weight: 3, arbitrary: usual }, fc.constantFrom(...edges))
}

/** What a schema allows, and what lies just beyond it. */
export function fromSchema(schema: JsonSchema, context: SchemaContext, depth = 0): fc.Arbitrary<unknown> {
  const { $ref, type, properties, items, additionalProperties } = schema
  const next = (jsonSchema: JsonSchema) => fromSchema(jsonSchema, context, depth + 1)
  if (depth > DEEPEST) return fc.constant(null)
  if ($ref) return next(context.schemas[$ref.split('/').at(-1) as string] ?? {})
  if (schema.const !== undefined)
    return fc.oneof({ weight: 20, arbitrary: fc.constant(schema.const) }, fc.constant('other'))
  if (schema.enum)
    return fc.oneof({ weight: 20, arbitrary: fc.constantFrom(...schema.enum) }, fc.constantFrom(...NASTY_TEXTS))
  const choices = schema.anyOf ?? schema.oneOf
  if (choices) return fc.oneof(...choices.map(next))
  if (schema.allOf?.[0]) return next(schema.allOf[0])
  if (Array.isArray(type)) return fc.oneof(...type.map((name) => next({ ...schema, type: name })))
  if (type === 'object' && properties) {
    const fields = Object.fromEntries(Object.entries(properties).map(([name, each]) => [name, next(each)]))
    // Now and then a field is missing, or one more is there.
    return fc
      .tuple(fc.record(fields), fc.nat(60), fc.constantFrom(...Object.keys(fields), 'more'))
      .map(([whole, chance, field]) => {
        if (chance > 1) return whole
        const { [field]: _gone, ...rest } = whole
        return chance === 0 ? rest : { ...whole, more: 1 }
      })
  }
  if (type === 'object')
    return fc.dictionary(
      fc.constantFrom('a', 'constructor', 'supremes'),
      typeof additionalProperties === 'object' ? next(additionalProperties) : fc.constant(1),
      { maxKeys: 3 },
    )
  if (type === 'array')
    return fc.array(next(items ?? {}), {
      minLength: schema.minItems ?? 0,
      maxLength: Math.max(schema.minItems ?? 0, 3),
    })
  if (type === 'string') return text(schema, context)
  if (type === 'number' || type === 'integer') return number(schema)
  if (type === 'boolean') return fc.boolean()
  return fc.constantFrom(null, 1, 'x')
}

interface Place {
  path: (string | number)[]
  value: unknown
}

/** The same JSON with one of its values made nasty: what was accepted is looked at just beside it. */
export function spoilt(value: unknown): fc.Arbitrary<unknown> {
  const places: Place[] = []
  const walk = (entry: unknown, path: (string | number)[]) => {
    if (path.length > 0) places.push({ path, value: entry })
    if (entry !== null && typeof entry === 'object')
      for (const [key, inner] of Object.entries(entry)) walk(inner, [...path, Array.isArray(entry) ? Number(key) : key])
  }
  walk(value, [])
  if (places.length === 0) return fc.constant(value)
  return fc
    .constantFrom(...places)
    .chain((place) => nastyLike(place.value).map((other) => replaced(value, place.path, other)))
}

/** Mostly of the same kind, so that it comes further than the first check. */
function nastyLike(value: unknown): fc.Arbitrary<unknown> {
  const alike = typeof value === 'number' ? NASTY_NUMBERS : typeof value === 'string' ? NASTY_TEXTS : []
  const any = fc.constantFrom<unknown>(...NASTY_NUMBERS, ...NASTY_TEXTS, null, true, [], {})
  return alike.length === 0 ? any : fc.oneof({ weight: 4, arbitrary: fc.constantFrom<unknown>(...alike) }, any)
}

function replaced(value: unknown, [key, ...rest]: readonly (string | number)[], other: unknown): unknown {
  if (key === undefined) return other
  if (Array.isArray(value)) return value.map((entry, index) => (index === key ? replaced(entry, rest, other) : entry))
  const whole = value as Record<string, unknown>
  return { ...whole, [key]: replaced(whole[key], rest, other) }
}
