import { randomGamma, randomNormal } from 'd3-random'

/** How an uncertain input may come out. */
export type Distribution =
  | { kind: 'fixed' }
  /** Bell-shaped about its centre; `sd` zero or more, in the input's own unit. */
  | { kind: 'normal'; sd: number }
  /** Student's t about its centre: `scale` times a t variate with `degrees` of freedom, at least 1. */
  | { kind: 't'; scale: number; degrees: number }
  /** One of the values that were really measured; there is at least one. */
  | { kind: 'bootstrap'; values: readonly number[] }

/** Numbers from 0 up to but not 1; the same seed gives the same ones. */
export type RandomSource = () => number

/** A function that draws from a distribution about its centre. */
export function sampler(distribution: Distribution, centre: number, random: RandomSource): () => number {
  switch (distribution.kind) {
    case 'fixed':
      return () => centre
    case 'normal':
      return randomNormal.source(random)(centre, distribution.sd)
    case 't': {
      const { degrees, scale } = distribution
      const normal = randomNormal.source(random)(0, 1)
      // A chi-squared variate is a gamma variate of half its degrees, twice as wide.
      const chiSquared = randomGamma.source(random)(degrees / 2, 2)
      return () => centre + (scale * normal()) / Math.sqrt(chiSquared() / degrees)
    }
    case 'bootstrap': {
      const { values } = distribution
      return () => values[Math.floor(random() * values.length)] as number
    }
  }
}
