import { type InputOf, keyOf } from '@fleam/contract/client'
import type { AnswerOf, Operation } from '@fleam/contract/operation'
import { queryOptions, type UseQueryOptions, useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { call } from './api.ts'
import { useKitchen } from './kitchen-context.ts'

/** What an operation of the kitchen that is open is asked with: the kitchen goes without saying. */
export type KitchenInput<O extends Operation> = Omit<InputOf<O>, 'kitchenId'>

const inKitchen = <O extends Operation>(kitchenId: string, input: KitchenInput<O>) =>
  ({ kitchenId, ...input }) as unknown as InputOf<O>

/** A query of an operation, under the key that its contract gives it. */
export const answerQuery = <O extends Operation>(operation: O, input: InputOf<O>) =>
  queryOptions<AnswerOf<O>>({ queryKey: keyOf(operation, input), queryFn: () => call(operation, input) })

export const kitchenQuery = <O extends Operation>(kitchenId: string, operation: O, input: KitchenInput<O>) =>
  answerQuery(operation, inKitchen<O>(kitchenId, input))

type AnswerOptions<Answer> = Pick<
  UseQueryOptions<Answer>,
  'enabled' | 'refetchInterval' | 'staleTime' | 'placeholderData'
>

/** The answer of an operation of the kitchen that is open. */
export function useAnswer<O extends Operation>(
  operation: O,
  input: KitchenInput<O>,
  options: AnswerOptions<AnswerOf<O>> = {},
) {
  const { id } = useKitchen()
  return useQuery({ ...kitchenQuery(id, operation, input), ...options })
}

/** Runs an operation of the kitchen that is open, with what `inputOf` makes of a request. */
export function useChange<O extends Operation, Request>(
  operation: O,
  inputOf: (request: Request) => KitchenInput<O> | Promise<KitchenInput<O>>,
  onSuccess: (answer: AnswerOf<O>) => unknown,
) {
  const { id } = useKitchen()
  return useMutation({
    mutationFn: async (request: Request) => call(operation, inKitchen<O>(id, await inputOf(request))),
    onSuccess,
  })
}

/** Asks anew for everything of some capabilities or operations of the kitchen that is open. */
export function useInvalidate(...parts: readonly (string | Operation)[]) {
  const { id } = useKitchen()
  const queries = useQueryClient()
  return () =>
    Promise.all(
      parts.map((part) =>
        queries.invalidateQueries({
          queryKey: typeof part === 'string' ? ['kitchen', id, part] : keyOf(part, { kitchenId: id }),
        }),
      ),
    )
}

/** Puts an answer where every room reads it. */
export function useKeepAnswer<O extends Operation>(operation: O) {
  const { id } = useKitchen()
  const queries = useQueryClient()
  return (input: KitchenInput<O>, answer: AnswerOf<O>) => {
    queries.setQueryData(kitchenQuery(id, operation, input).queryKey, answer as never)
  }
}
