import type {
  Article,
  ArticlePrice,
  ArticleRows,
  MovedPrices,
  PriceAdded,
  PriceCorrection,
  Product,
  StruckPrice,
  Supplier,
} from '@fleam/contract/buying'
import type { RememberedMapping } from '@fleam/contract/price-columns'
import type { PriceIssue } from '@fleam/contract/price-row'
import type { Lot, LotEdit, LotPhoto, LotRow, LotTrace } from '@fleam/contract/receiving'
import type { BuyingForm, ProductPlate, WholeForm } from '@fleam/core/buying'
import type { FabricationDocument } from '@fleam/core/fabrication'
import { keepPreviousData, useMutation, useQueries, useQuery, useQueryClient } from '@tanstack/react-query'
import { getJson, postJson, putJson } from './api.ts'
import { useKitchen } from './kitchen-context.ts'
import { kitchenPath } from './paths.ts'
import { supplierIdOf } from './supplier-id.ts'

/** Everything that rests on prices is asked for anew when one changes. */
const buyingKey = (id: string, ...rest: unknown[]) => ['kitchen', id, 'buying', ...rest]
const lotsKey = (id: string, ...rest: unknown[]) => ['kitchen', id, 'lots', ...rest]

function useBuying<T>(path: string, options: { isOn?: boolean } = {}) {
  const { id } = useKitchen()
  return useQuery({
    queryKey: buyingKey(id, path),
    queryFn: () => getJson<T>(`${kitchenPath(id)}${path}`),
    placeholderData: keepPreviousData,
    enabled: options.isOn ?? true,
  })
}

export const useProducts = () => useBuying<Product[]>('/products')

/** Says what a plate of a product is. */
export function useUpdatePlate(productId: string) {
  const { id } = useKitchen()
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (plate: ProductPlate | null) =>
      putJson<Product[]>(`${kitchenPath(id)}/products/${productId}/plate`, { plate }),
    onSuccess: (products) => queries.setQueryData([...buyingKey(id), '/products'], products),
  })
}

export const useForms = (product: string) =>
  useBuying<BuyingForm[]>(`/forms?product=${product}`, { isOn: product !== '' })
export const useFormsOfItem = (item: string) => useBuying<WholeForm[]>(`/forms?item=${item}`, { isOn: item !== '' })

/** The forms of several products, in their order; empty while one is asked for. */
export function useFormsOfProducts(products: readonly string[]): BuyingForm[][] {
  const { id } = useKitchen()
  return useQueries({
    queries: products.map((product) => {
      const path = `/forms?product=${product}`
      return { queryKey: buyingKey(id, path), queryFn: () => getJson<BuyingForm[]>(`${kitchenPath(id)}${path}`) }
    }),
    combine: (answers) => answers.map((answer) => answer.data ?? []),
  })
}

export const useSuppliers = () => useBuying<Supplier[]>('/suppliers')

export interface ArticleQuery {
  words: string
  isTied: boolean
  offset: number
}

export const ARTICLES_ON_A_PAGE = 50

export const useArticles = ({ words, isTied, offset }: ArticleQuery) =>
  useBuying<ArticleRows>(
    `/articles?words=${encodeURIComponent(words)}&tied=${isTied}&limit=${ARTICLES_ON_A_PAGE}&offset=${offset}`,
  )

export interface ArticleHistory {
  article: Article
  prices: ArticlePrice[]
  /** Prices that were struck out: they count nowhere. */
  struck: StruckPrice[]
  records: { id: string; document: FabricationDocument }[]
}
/** Strikes a price out, or puts another in its place; whatever rests on prices is asked for anew. */
export function useUpdatePrice(articleId: string) {
  const queries = useQueryClient()
  const { id } = useKitchen()
  return useMutation({
    mutationFn: ({ priceId, ...correction }: PriceCorrection & { priceId: string }) =>
      postJson<ArticleHistory>(`${kitchenPath(id)}/prices/${priceId}/correct`, correction),
    onSuccess: (history) => {
      void queries.invalidateQueries({ queryKey: ['kitchen', id] })
      queries.setQueryData(buyingKey(id, `/articles/${articleId}`), history)
    },
  })
}

export const useArticle = (articleId: string) => useBuying<ArticleHistory>(`/articles/${articleId}`)

export interface TurnedRow {
  id: string
  document: FabricationDocument
  changes: MovedPrices
}
export const useMovedPrices = (fabricationId: string, isOn: boolean) =>
  useBuying<MovedPrices>(`/fabrications/${fabricationId}/moved-prices`, { isOn })
export const useTurned = () => useBuying<TurnedRow[]>('/turned')

export function useInvalidatePrices() {
  const { id } = useKitchen()
  const queries = useQueryClient()
  return () => queries.invalidateQueries({ queryKey: buyingKey(id) })
}

/** A price by hand, its supplier by the name that was typed. */
export type PriceRequest = Omit<PriceAdded, 'supplierId'> & { supplier: string }

export function useCreatePrice() {
  const { id } = useKitchen()
  return useMutation({
    mutationFn: async ({ supplier, ...price }: PriceRequest) =>
      postJson<ImportResult>(`${kitchenPath(id)}/prices`, { ...price, supplierId: await supplierIdOf(id, supplier) }),
    onSuccess: useInvalidatePrices(),
  })
}

export function useUpdateSupplier() {
  const { id } = useKitchen()
  return useMutation({
    mutationFn: (supplier: Supplier) => putJson<Supplier[]>(`${kitchenPath(id)}/suppliers`, supplier),
    onSuccess: useInvalidatePrices(),
  })
}

/** Makes one supplier of two. */
export function useMergeSuppliers() {
  const { id } = useKitchen()
  const queries = useQueryClient()
  return useMutation({
    mutationFn: ({ from, into }: { from: string; into: string }) =>
      postJson<Supplier[]>(`${kitchenPath(id)}/suppliers/${from}/merge`, { into }),
    // Lots and records bear another name now, too.
    onSuccess: () => queries.invalidateQueries({ queryKey: ['kitchen', id] }),
  })
}

/** What an import or a pull of the feed has done. */
export interface ImportResult {
  rows: number
  newArticles: number
  changedArticles: number
  newPrices: number
  known: number
  /** What is wrong with rows that were not taken. */
  skipped: PriceIssue[]
}

/** Which column of each supplier's list was which the last time; old answers do, where there is no network. */
export function useRememberedMappings() {
  const { id } = useKitchen()
  return useQuery({
    queryKey: [...buyingKey(id), 'mappings'],
    queryFn: () => getJson<RememberedMapping[]>(`${kitchenPath(id)}/price-list-mappings`),
  })
}

export const usePriceFeed = () =>
  useQuery({ queryKey: ['price-feed'], queryFn: () => getJson<{ address: string | null }>('/api/price-feed') })

export function usePullFeed() {
  const { id } = useKitchen()
  return useMutation({
    mutationFn: () => postJson<ImportResult>(`${kitchenPath(id)}/price-lists/from-feed`, {}),
    onSuccess: useInvalidatePrices(),
  })
}

export function useLots(words = '') {
  const { id } = useKitchen()
  return useQuery({
    queryKey: lotsKey(id, 'list', words),
    queryFn: () => getJson<LotRow[]>(`${kitchenPath(id)}/lots?words=${encodeURIComponent(words)}`),
    placeholderData: keepPreviousData,
  })
}

export function useLot(lotId: string | null) {
  const { id } = useKitchen()
  return useQuery({
    queryKey: lotsKey(id, lotId),
    queryFn: () => getJson<LotTrace>(`${kitchenPath(id)}/lots/${lotId}`),
    enabled: lotId !== null,
  })
}

function useForgetLots() {
  const { id } = useKitchen()
  const queries = useQueryClient()
  return () => {
    void queries.invalidateQueries({ queryKey: ['kitchen', id, 'plans'] })
    return queries.invalidateQueries({ queryKey: lotsKey(id) })
  }
}

/** A delivery, its supplier by the name that was typed. */
export type LotRequest = Omit<LotEdit, 'supplierId'> & { supplier: string }

export function useReceive() {
  const { id } = useKitchen()
  return useMutation({
    mutationFn: async ({ supplier, ...lot }: LotRequest) =>
      postJson<Lot>(`${kitchenPath(id)}/lots`, { ...lot, supplierId: await supplierIdOf(id, supplier) }),
    onSuccess: useForgetLots(),
  })
}

export function useUpdateLot() {
  const { id } = useKitchen()
  const editOf = async ({ supplier, ...lot }: LotRequest): Promise<LotEdit> => ({
    ...lot,
    supplierId: await supplierIdOf(id, supplier),
  })
  return useMutation({
    mutationFn: async (lot: LotEdit | LotRequest) => {
      const edit = 'supplierId' in lot ? lot : await editOf(lot)
      return putJson<Lot>(`${kitchenPath(id)}/lots/${lot.id}`, edit)
    },
    onSuccess: useForgetLots(),
  })
}

export function useCreatePhoto(lotId: string) {
  const { id } = useKitchen()
  return useMutation({
    mutationFn: (photo: LotPhoto) => postJson(`${kitchenPath(id)}/lots/${lotId}/photos`, photo),
    onSuccess: useForgetLots(),
  })
}
