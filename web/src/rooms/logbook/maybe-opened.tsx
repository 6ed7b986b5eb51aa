import type { Explanation } from '@fleam/core/explanation'
import { OpenFigure } from '../../parts/figure.tsx'
import { useFormat } from '../../parts/use-format.ts'

/** A figure of the logbook that opens to how it is worked out. */
export function MaybeOpened({ explanation, children }: { explanation: Explanation | null; children: string }) {
  const format = useFormat()
  return explanation ? (
    <OpenFigure explain={() => explanation} format={format}>
      {children}
    </OpenFigure>
  ) : (
    children
  )
}
