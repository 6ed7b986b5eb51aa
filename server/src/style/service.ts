import { factsOf } from '@fleam/catalogue'
import { MAX_STYLES } from '@fleam/core/limits'
import {
  type Item,
  type ItemEdit,
  namedPartsOf,
  partsOfNamed,
  STYLE_FORMAT,
  type Style,
  type StyleFile,
} from '@fleam/core/style'
import { v7 as newId } from 'uuid'
import { createOnce, isSameContent, notFound, Refusal, refuseTaken } from '../http/index.ts'
import { decide, type Scope } from '../scope/index.ts'
import { insertCatalogue } from './catalogue.ts'
import { copyOf } from './copy-of.ts'
import { withProducts } from './products.ts'
import * as store from './store.ts'

export interface KnownStyle {
  item: Item
  style: Style
}

/** The style and its item; throws `not-found`. */
export async function requireStyle(scope: Scope, styleId: string): Promise<KnownStyle> {
  const itemId = await store.itemIdOfStyle(scope, styleId)
  if (itemId === null) throw notFound('style')
  const item = await requireItem(scope, itemId)
  const style = item.styles.find((style) => style.id === styleId)
  if (!style) throw notFound('style')
  return { item, style }
}

/** The item with its styles; throws `not-found`. */
export async function requireItem(scope: Scope, itemId: string): Promise<Item> {
  const [item] = await store.items(scope, { id: itemId })
  if (!item) throw notFound('item')
  return item
}

/** Changes a style; refused with the current one where somebody changed it meanwhile. */
export const updateStyle = (scope: Scope, style: Style): Promise<Style> =>
  refuseTaken('name', 'A style of this name is there already.', () =>
    decide(scope, 'styles', async (inside) => {
      const { item } = await requireStyle(inside, style.id)
      const version = await store.lockStyle(inside, style.id)
      if (version !== style.version) {
        const { style: current } = await requireStyle(inside, style.id)
        throw new Refusal('stale-version', `It was read at version ${style.version} and is at ${version} now.`, {
          current,
        })
      }
      const [changed] = (await withProducts(inside, [{ item, style: { ...style, version: version + 1 } }])) as [Style]
      await store.replaceStyle(inside, changed)
      return changed
    }),
  )

/** Adds a style to an item: a copy of another one, or one of the kitchen's own. Sent twice it is there once. */
export async function createStyle(scope: Scope, itemId: string, style: Style): Promise<Style> {
  const { style: added } = await createOnce({
    read: () => store.styleById(scope, style.id),
    create: () =>
      decide(scope, 'styles', async (inside) => insertStyle(inside, await requireItem(inside, itemId), style)),
    isSame: (existing) => existing.itemId === itemId && isSameStyle(existing.style, style),
    taken: { path: 'name', detail: 'A style of this name is there already.' },
  })
  return added
}

async function insertStyle(scope: Scope, item: Item, style: Style): Promise<void> {
  if (item.styles.length >= MAX_STYLES) {
    throw new Refusal('invalid-input', `An item has ${MAX_STYLES} cut styles at most, archived ones too.`, {
      issues: [{ path: 'id', message: `is one more than ${MAX_STYLES}` }],
    })
  }
  const [added] = (await withProducts(scope, [{ item, style: { ...style, version: 1 } }])) as [Style]
  await store.insertStyle(scope, item.id, added, item.styles.length)
}

/** One that was changed since is not held against how it began; which product a pile is was said here. */
function isSameStyle(known: Style, sent: Style): boolean {
  const bare = ({ piles, version: _version, ...style }: Style) => ({
    ...style,
    piles: piles.map(({ productId: _productId, ...pile }) => pile),
  })
  return known.version > 1 || isSameContent(bare(known), bare(sent))
}

/** Adds an item with its styles; sent twice with the same id it is there once. */
export const createItem = (scope: Scope, item: Item): Promise<Item> =>
  createOnce({
    read: async () => (await store.items(scope, { id: item.id }))[0] ?? null,
    create: () => decide(scope, 'styles', (inside) => insertItem(inside, item)),
    isSame: ({ styles: _known, ...known }) => {
      const { styles: _sent, ...sent } = item
      return isSameContent(known, sent)
    },
    taken: { path: 'name', detail: 'An item of this name is there already.' },
  })

async function insertItem(scope: Scope, item: Item): Promise<void> {
  const styles = item.styles.map((style) => ({ item, style }))
  await store.insertItems(scope, [{ ...item, styles: await withProducts(scope, styles) }])
}

/** Changes an item; throws `not-found`, and `id-taken` where another has its name. */
export async function updateItem(scope: Scope, id: string, edit: ItemEdit): Promise<Item> {
  return refuseTaken('name', 'An item of this name is there already.', () =>
    decide(scope, 'styles', async (inside) => {
      await requireItem(inside, id)
      await store.replaceItem(inside, id, edit)
      return requireItem(inside, id)
    }),
  )
}

/** A style as a file that another kitchen can read; throws `not-found`. */
export async function exportStyle(scope: Scope, id: string): Promise<StyleFile> {
  const { item, style } = await requireStyle(scope, id)
  const { id: _itemId, isArchived: _itemArchived, styles: _styles, ...bareItem } = item
  return {
    format: STYLE_FORMAT,
    version: 1,
    currency: scope.kitchen.currency,
    item: bareItem,
    style: bareStyleOf(style),
  }
}

/** A style as a file has it: piles by name, and nothing that is one kitchen's own. */
function bareStyleOf(style: Style): StyleFile['style'] {
  const { id: _id, version: _version, isArchived: _archived, ...bare } = style
  const { piles, steps, options } = copyOf(namedPartsOf(style))
  return { ...bare, steps, options, piles: piles.map(({ productId: _productId, ...pile }) => pile) }
}

/**
 * Takes a style of elsewhere in: onto the item of the same name, which is added where it is not there,
 * and under a name that is free. Prices come along only in the kitchen's own currency. Sent twice with the same id it is there once.
 */
export async function importStyle(scope: Scope, id: string, file: StyleFile): Promise<Style> {
  const priced = file.currency === scope.kitchen.currency ? file.style : withoutPrices(file.style)
  const named = { ...priced, piles: priced.piles.map((pile) => withFacts(pile, file.item.species)) }
  const create = async (inside: Scope) => {
    const { piles, steps, options } = copyOf(partsOfNamed(named, newId))
    const ownPiles = piles.map((pile) => ({ ...pile, productId: null }))
    const style = { ...named, steps, options, piles: ownPiles, id, version: 1, isArchived: false }
    const item = (await store.items(inside)).find((item) => item.name === file.item.name)
    if (item) await insertStyle(inside, item, { ...style, name: freeName(style.name, item.styles) })
    else await insertItem(inside, { ...file.item, id: newId(), isArchived: false, styles: [style] })
  }
  const { style } = await createOnce({
    read: () => store.styleById(scope, id),
    create: () => decide(scope, 'styles', create),
    // The name that it was given here is the kitchen's own.
    isSame: ({ style: known }) =>
      known.version > 1 || isSameContent(bareStyleOf(known), { ...named, name: known.name }),
    taken: { path: 'style.name', detail: 'A style of this name is there already.' },
  })
  return style
}

/** Numbers of another currency, or of one that nobody says, are no prices here. */
const withoutPrices = (style: StyleFile['style']): StyleFile['style'] => ({
  ...style,
  piles: style.piles.map((pile) => ({ ...pile, valuePerKg: null, processingPerKg: null })),
  consumables: style.consumables.map((consumable) => ({ ...consumable, costPerUnit: null })),
})

/** A file of before there were such fields says nothing of them: what is not portions or waste keeps as short as trim. */
function withFacts(pile: StyleFile['style']['piles'][number], species: Item['species']) {
  const usual = ({ primary: 'portions', 'by-product': 'trim', waste: 'waste' } as const)[pile.class]
  const { kind = usual, boneShare, cookingLoss, chilledDays, frozenMonths, ...rest } = pile
  const facts = factsOf(species, kind, boneShare, cookingLoss)
  return {
    ...rest,
    ...facts,
    ...(chilledDays === undefined ? {} : { chilledDays }),
    ...(frozenMonths === undefined ? {} : { frozenMonths }),
  }
}

function freeName(wanted: string, styles: readonly { name: string }[]): string {
  const isTaken = (name: string) => styles.some((style) => style.name === name)
  let name = wanted
  for (let count = 2; isTaken(name); count++) name = `${wanted} (${count})`
  return name
}

/** Adds what the catalogue has and the kitchen has not. */
export async function topUpFromCatalogue(scope: Scope): Promise<Item[]> {
  await decide(scope, 'styles', insertCatalogue)
  return store.items(scope)
}
