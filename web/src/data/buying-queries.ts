import { buyingOperations, priceListOperations } from '@fleam/contract/buying/operations'
import type { PriceAdded, PriceCorrection, Supplier } from '@fleam/contract/buying/schemas'
import { planOperations } from '@fleam/contract/planning/operations'
import { receivingOperations } from '@fleam/contract/receiving/operations'
import type { LotEdit, LotPhoto } from '@fleam/contract/receiving/schemas'
import { supplierOperations } from '@fleam/contract/supplier/operations'
import type { ProductPlate } from '@fleam/core/buying'
import { keepPreviousData, useQueries, useQuery, useQueryClient } from '@tanstack/react-query'
import { useKitchen } from './kitchen-context.ts'
import { answerQuery, kitchenQuery, useAnswer, useChange, useInvalidate, useKeepAnswer } from './operations.ts'
import { supplierIdOf } from './supplier-id.ts'

const { listProducts, listForms, listArticles, readArticle, readMovedPrices, listTurnedVerdicts } = buyingOperations
const { updatePlate, createPrice, updatePrice } = buyingOperations
const { listSuppliers, updateSupplier, mergeSuppliers } = supplierOperations

/** The answer before stays until another is there. */
const KEPT = { placeholderData: keepPreviousData }

/** Everything that rests on prices is asked for anew when one changes. */
export const useInvalidatePrices = () => useInvalidate('buying', listSuppliers, planOperations.readPlanGoods)

export const useProducts = () => useAnswer(listProducts, {}, KEPT)

/** Says what a plate of a product is. */
export function useUpdatePlate(productId: string) {
  const keep = useKeepAnswer(listProducts)
  return useChange(
    updatePlate,
    (plate: ProductPlate | null) => ({ productId, body: { plate } }),
    (products) => keep({}, products),
  )
}

export const useForms = (product: string) =>
  useAnswer(listForms, { query: { product } }, { ...KEPT, enabled: product !== '' })
/** The forms of an item: whole ones, all of them. */
export function useFormsOfItem(item: string) {
  const { id } = useKitchen()
  return useQuery({
    ...kitchenQuery(id, listForms, { query: { item } }),
    ...KEPT,
    select: (forms) => forms.filter((form) => form.kind === 'whole'),
    enabled: item !== '',
  })
}

/** The forms of several products, in their order; empty while one is asked for. */
export function useFormsOfProducts(products: readonly string[]) {
  const { id } = useKitchen()
  return useQueries({
    queries: products.map((product) => kitchenQuery(id, listForms, { query: { product } })),
    combine: (answers) => answers.map((answer) => answer.data ?? []),
  })
}

export const useSuppliers = () => useAnswer(listSuppliers, {}, KEPT)

export interface ArticleQuery {
  words: string
  isTied: boolean
  offset: number
}

export const ARTICLES_ON_A_PAGE = 50

export const useArticles = ({ words, isTied, offset }: ArticleQuery) =>
  useAnswer(
    listArticles,
    { query: { words, tied: isTied ? 'true' : 'false', limit: ARTICLES_ON_A_PAGE, offset } },
    KEPT,
  )

/** Strikes a price out, or puts another in its place; whatever rests on prices is asked for anew. */
export function useUpdatePrice(articleId: string) {
  const queries = useQueryClient()
  const { id } = useKitchen()
  const keep = useKeepAnswer(readArticle)
  return useChange(
    updatePrice,
    ({ priceId, ...body }: PriceCorrection & { priceId: string }) => ({ priceId, body }),
    (history) => {
      void queries.invalidateQueries({ queryKey: ['kitchen', id] })
      keep({ articleId }, history)
    },
  )
}

export const useArticle = (articleId: string) => useAnswer(readArticle, { articleId }, KEPT)

export const useMovedPrices = (fabricationId: string, isOn: boolean) =>
  useAnswer(readMovedPrices, { fabricationId }, { ...KEPT, enabled: isOn })
export const useTurned = () => useAnswer(listTurnedVerdicts, {}, KEPT)

/** A price by hand, its supplier by the name that was typed. */
export type PriceRequest = Omit<PriceAdded, 'supplierId'> & { supplier: string }

export function useCreatePrice() {
  const { id } = useKitchen()
  return useChange(
    createPrice,
    async ({ supplier, ...price }: PriceRequest) => ({
      body: { ...price, supplierId: await supplierIdOf(id, supplier) },
    }),
    useInvalidatePrices(),
  )
}

export const useUpdateSupplier = () => useChange(updateSupplier, (body: Supplier) => ({ body }), useInvalidatePrices())

/** Makes one supplier of two. */
export function useMergeSuppliers() {
  const { id } = useKitchen()
  const queries = useQueryClient()
  return useChange(
    mergeSuppliers,
    ({ from, into }: { from: string; into: string }) => ({ supplierId: from, body: { into } }),
    // Lots and records bear another name now, too.
    () => queries.invalidateQueries({ queryKey: ['kitchen', id] }),
  )
}

/** Which column of each supplier's list was which the last time; old answers do, where there is no network. */
export const useRememberedMappings = () => useAnswer(priceListOperations.listMappings, {})

export const usePriceFeed = () => useQuery(answerQuery(priceListOperations.readPriceFeed, {}))

export const usePullFeed = () => useChange(priceListOperations.pullPriceFeed, () => ({}), useInvalidatePrices())

const { listLots, readLot, receiveLot, updateLot, createPhoto } = receivingOperations

export const useLots = (words = '') => useAnswer(listLots, { query: { words } }, KEPT)

export const useLot = (lotId: string | null) => useAnswer(readLot, { lotId: lotId ?? '' }, { enabled: lotId !== null })

/** A delivery, its supplier by the name that was typed. */
export type LotRequest = Omit<LotEdit, 'supplierId'> & { supplier: string }

function useEditOf() {
  const { id } = useKitchen()
  return async (lot: LotEdit | LotRequest): Promise<LotEdit> => {
    if ('supplierId' in lot) return lot
    const { supplier, ...rest } = lot
    return { ...rest, supplierId: await supplierIdOf(id, supplier) }
  }
}

const useForgetLots = () => useInvalidate('receiving', 'planning')

export function useReceive() {
  const editOf = useEditOf()
  return useChange(receiveLot, async (lot: LotRequest) => ({ body: await editOf(lot) }), useForgetLots())
}

export function useUpdateLot() {
  const editOf = useEditOf()
  return useChange(
    updateLot,
    async (lot: LotEdit | LotRequest) => ({ lotId: lot.id, body: await editOf(lot) }),
    useForgetLots(),
  )
}

export const useCreatePhoto = (lotId: string) =>
  useChange(createPhoto, (body: LotPhoto) => ({ lotId, body }), useForgetLots())
