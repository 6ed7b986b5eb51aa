import { planLines } from '@fleam/core/planning'
import { useMemo } from 'react'
import { Limits } from './answer.tsx'
import { Cutting } from './cutting.tsx'
import { Left, Ready, Short } from './left-and-short.tsx'
import { Orders } from './orders.tsx'
import type { DetailsProps, PartProps, Pinning } from './plan-parts.ts'

/** Everything of a plan below its sentence: orders, cutting, what is ready and why, what is left, short, and held back. */
export function PlanDetails({ plan, basis, isWhole, pins, setPin }: DetailsProps & Partial<Pinning>) {
  const lines = useMemo(() => planLines(plan, basis.goods, basis.draft), [plan, basis])
  const part: PartProps = { plan, basis, lines, pinning: pins && setPin ? { pins, setPin } : null }
  return (
    <>
      <Short {...part} isWhole={isWhole} />
      <Orders {...part} />
      <Cutting {...part} />
      <Ready {...part} />
      <Left {...part} />
      <Limits plan={plan} isWhole={isWhole} />
    </>
  )
}
