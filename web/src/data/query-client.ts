import { QueryClient } from '@tanstack/react-query'
import { isOffline } from './api.ts'

const MOST_RETRIES = 2

export const queryClient = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 2_000,
      retry: (count, error) => isOffline(error) && count < MOST_RETRIES,
      // What was read last stays readable without a network; the outbox says what is not sent.
      networkMode: 'always',
    },
    mutations: { networkMode: 'always' },
  },
})
