import type { Container } from '@fleam/contract'
import { useState } from 'react'
import { useContainers } from '../../data/style-queries.ts'
import { readSetting, writeSetting } from '../../parts/settings.ts'

const settingOf = (pile: string) => `container-of-${pile}`

export interface ContainerState {
  containers: readonly Container[]
  /** The container that this pile lies in; null for none. */
  container: Container | null
  choose: (id: string | null) => void
}

/** The container of a pile, remembered on this device by the pile's name: drumsticks lie in the blue tub next time too. */
export function useContainer(pile: string): ContainerState {
  const { data: containers = [] } = useContainers()
  const [, redraw] = useState(0)
  const chosen = readSetting(settingOf(pile))
  return {
    containers,
    container: containers.find((each) => each.id === chosen) ?? null,
    choose: (id) => {
      writeSetting(settingOf(pile), id ?? '')
      redraw((count) => count + 1)
    },
  }
}
