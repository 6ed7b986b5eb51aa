import type { Container } from '@fleam/contract/containers/operations'
import { useState } from 'react'
import { readSetting, writeSetting } from '../../../data/settings.ts'
import { useContainers } from '../../../data/style-queries.ts'

const settingOf = (pile: string) => `container-of-${pile}`

export interface ContainersState {
  containers: readonly Container[]
  /** The container that a pile lies in, by the pile's name; null for none. */
  of: (pile: string) => Container | null
  choose: (pile: string, id: string | null) => void
}

/** Containers of piles, remembered on this device by the pile's name: drumsticks lie in the blue tub next time too. */
export function useContainersOfPiles(): ContainersState {
  const { data: containers = [] } = useContainers()
  const [, redraw] = useState(0)
  return {
    containers,
    of: (pile) => containers.find((container) => container.id === readSetting(settingOf(pile))) ?? null,
    choose: (pile, id) => {
      writeSetting(settingOf(pile), id ?? '')
      redraw((count) => count + 1)
    },
  }
}
