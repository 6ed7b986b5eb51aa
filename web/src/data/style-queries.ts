import type { CautionOverride } from '@fleam/contract/cautions/operations'
import { cautionOperations } from '@fleam/contract/cautions/operations'
import type { Container } from '@fleam/contract/containers/operations'
import { containerOperations } from '@fleam/contract/containers/operations'
import { styleOperations } from '@fleam/contract/style/operations'
import type { Item, ItemEdit, Style, StyleFile } from '@fleam/core/style'
import { useMutation } from '@tanstack/react-query'
import { call } from './api.ts'
import { useKitchen } from './kitchen-context.ts'
import { useAnswer, useChange, useInvalidate, useKeepAnswer } from './operations.ts'

const { listItems, createItem, updateItem, createStyle, updateStyle, importStyle, topUpFromCatalogue } = styleOperations

const useItemsAgain = () => useInvalidate(listItems)

export const useUpdateStyle = () =>
  useChange(updateStyle, (style: Style) => ({ styleId: style.id, body: style }), useItemsAgain())

/**
 * Archives a style, or takes it back into use, as it stands on the server. What this page shows may be what the
 * device remembers of an earlier visit, and this choice depends on nothing else in the style.
 */
export function useArchiveStyle() {
  const { id: kitchenId } = useKitchen()
  return useMutation({
    mutationFn: async ({ styleId, isArchived }: { styleId: string; isArchived: boolean }) => {
      const items = await call(listItems, { kitchenId })
      const current = items.flatMap((item) => item.styles).find((style) => style.id === styleId)
      return call(updateStyle, { kitchenId, styleId, body: { ...current, isArchived } as Style })
    },
    onSuccess: useItemsAgain(),
  })
}

export const useCreateStyle = () =>
  useChange(
    createStyle,
    ({ itemId, style }: { itemId: string; style: Style }) => ({ itemId, body: style }),
    useItemsAgain(),
  )

export const useCreateItem = () => useChange(createItem, (body: Item) => ({ body }), useItemsAgain())

export const useUpdateItem = () =>
  useChange(updateItem, ({ id, edit }: { id: string; edit: ItemEdit }) => ({ itemId: id, body: edit }), useItemsAgain())

export const useImportStyle = () =>
  useChange(
    importStyle,
    ({ id, file }: { id: string; file: StyleFile }) => ({ query: { id }, body: file }),
    useItemsAgain(),
  )

export const useTopUpFromCatalogue = () => useChange(topUpFromCatalogue, () => ({}), useItemsAgain())

const { listContainers, createContainer, deleteContainer } = containerOperations

export const useContainers = () => useAnswer(listContainers, {})

export function useUpdateContainers() {
  const keep = useKeepAnswer(listContainers)
  const keepAll = (containers: Container[]) => keep({}, containers)
  return {
    create: useChange(createContainer, (body: Container) => ({ body }), keepAll),
    remove: useChange(deleteContainer, (containerId: string) => ({ containerId }), keepAll),
  }
}

const { listCautions, updateCaution, deleteCautionOverride } = cautionOperations

/** Cautions as the kitchen's own plan has them. */
export const useCautionOverrides = () => useAnswer(listCautions, {})

export function useUpdateCautions() {
  const keep = useKeepAnswer(listCautions)
  const keepAll = (overrides: CautionOverride[]) => keep({}, overrides)
  return {
    override: useChange(updateCaution, (body: CautionOverride) => ({ cautionId: body.cautionId, body }), keepAll),
    restore: useChange(
      deleteCautionOverride,
      ({ cautionId, ...query }: Pick<CautionOverride, 'cautionId' | 'itemId' | 'styleId' | 'step'>) => ({
        cautionId,
        query: query as never,
      }),
      keepAll,
    ),
  }
}
