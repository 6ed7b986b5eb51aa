import type { Kitchen } from '@fleam/contract/kitchen/schemas'
import type { LoaderFunctionArgs } from 'react-router-dom'
import { fabricationQuery, kitchensQuery } from '../data/queries.ts'
import { queryClient } from '../data/query-client.ts'
import { readSetting } from '../data/settings.ts'

/** The kitchen that somebody chose on this device, else the first. */
export const chosenOf = (kitchens: readonly Kitchen[], chosen: string | null): Kitchen | undefined =>
  kitchens.find((kitchen) => kitchen.id === chosen) ?? kitchens[0]

/** Asks for the kitchens while the frame is still coming. */
export const askForKitchens = (): Promise<void> => queryClient.prefetchQuery(kitchensQuery)

/** Asks for a record while the code of its room is still coming; whoever shows it says what went wrong. */
export function askForFabrication({ params: { id = '' } }: LoaderFunctionArgs): void {
  void queryClient
    .ensureQueryData(kitchensQuery)
    .then((kitchens) => chosenOf(kitchens, readSetting('kitchen')))
    .then((kitchen) => kitchen && queryClient.prefetchQuery(fabricationQuery(kitchen.id, id)))
    .catch(() => {})
}
