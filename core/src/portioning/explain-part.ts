import {
  constant,
  type Explanation,
  type Expression,
  KILO,
  minus,
  over,
  plus,
  root,
  times,
  value,
} from '../explanation/index.ts'
import type { MeasuringWay } from '../facts/index.ts'
import type { JudgedPart } from './judge.ts'
import { ASSUMED_PORTIONS, assumedOff, type HowFarOff, howFarOff, type MeasuredPortion } from './measuring.ts'
import type { PortionRequest } from './plan-request.ts'
import { shapeOf } from './profile.ts'

export type PartFigure = 'weight' | 'along' | 'thickness' | 'first-face' | 'second-face' | 'worth' | 'given-away'

/** How a figure of one part between two knife lines is worked out; null where it does not apply. */
export function explainPart(
  { piece, products, scrap }: PortionRequest,
  part: JudgedPart,
  figure: PartFigure,
): Explanation | null {
  const product = products.find(({ name }) => name === part.product)
  const layers = product?.folded ? LAYERS_FOLDED : 1
  switch (figure) {
    case 'weight': {
      const shape = shapeOf(piece)
      const inside = shape.volumeBetween(part.from, part.to)
      const whole = shape.volumeBetween(0, piece.length)
      return {
        title: `Weight from ${places(part)}`,
        quantity: 'weight',
        expression: times(
          value('the piece', piece.weight, 'weight'),
          over(value('what lies under its curve here', inside, 'volume'), value('under all of it', whole, 'volume')),
        ),
        note: 'Weight follows the curve that was measured, whatever the meat’s density is.',
      }
    }
    case 'along':
      return {
        title: `Along the piece, ${places(part)}`,
        quantity: 'length',
        expression: minus(value('to', part.to, 'length'), value('from', part.from, 'length')),
        note: 'Where the knife is led: these add up to the length of the piece.',
      }
    case 'thickness': {
      const long = minus(value('to', part.to, 'length'), value('from', part.from, 'length'))
      const cut = piece.biasAngle ? times(long, tiltOf(piece.biasAngle)) : long
      return {
        title: `Own thickness from ${places(part)}`,
        quantity: 'length',
        expression: layers === 1 ? cut : over(cut, constant(layers)),
        ...(layers === 1 ? {} : { note: 'It is folded: two lengths lie on each other.' }),
      }
    }
    case 'first-face':
    case 'second-face': {
      const at = figure === 'first-face' ? part.from : part.to
      return explainFace({ piece, at, layers })
    }
    case 'worth':
      if (!product) {
        const weight = value('scrap', part.weight, 'weight')
        const perKg = value('a kilo of scrap', scrap.valuePerKg, 'money-per-kg')
        const expression = times(over(weight, KILO), perKg)
        return { title: `Worth of ${scrap.name ?? 'scrap'}`, quantity: 'money', expression }
      }
      return explainWorth(product, part.weight)
    case 'given-away': {
      if (!product || part.givenAway <= 0) return null
      return {
        title: 'Overweight cost',
        quantity: 'money',
        expression: times(
          value(`a full ${product.name}`, product.value, 'money'),
          over(
            minus(value('it weighs', part.weight, 'weight'), value('its target', product.target, 'weight')),
            value('its target', product.target, 'weight'),
          ),
        ),
      }
    }
  }
}

const LAYERS_FOLDED = 2
const RADIANS = Math.PI / 180

const places = ({ from, to }: JudgedPart): string => `${Math.round(from)} to ${Math.round(to)} mm`

const tiltOf = (angle: number): Expression =>
  value(`the cosine of ${Math.round(angle)}°`, Math.cos(angle * RADIANS), 'factor')

function explainFace({
  piece,
  at,
  layers,
}: {
  piece: PortionRequest['piece']
  at: number
  layers: number
}): Explanation {
  const area = value(`area at ${Math.round(at)} mm`, shapeOf(piece).areaAt(at), 'area')
  const tilted = piece.biasAngle ? over(area, tiltOf(piece.biasAngle)) : area
  const shown = layers === 1 ? tilted : times(constant(layers), tilted)
  return {
    title: `Face at ${Math.round(at)} mm`,
    quantity: 'length',
    expression: times(constant(2), root(over(shown, value('π', Math.PI, 'factor')))),
    note: 'The diameter of a circle as large as the cut.',
  }
}

function explainWorth(product: PortionRequest['products'][number], weight: number): Explanation {
  const full = value(`a full ${product.name}`, product.value, 'money')
  const isFull = product.targetThickness !== undefined || weight >= product.target
  const part = over(value('it weighs', weight, 'weight'), value('its target', product.target, 'weight'))
  return {
    title: `Worth of ${product.name}`,
    quantity: 'money',
    expression: isFull ? full : times(full, part),
    note: 'All of its price at its target, less below it, and nothing more above it.',
  }
}

/** How far off a way of measuring is: what is assumed, and what the kitchen's own portions say. */
export function explainHowFarOff(way: MeasuringWay, portions: readonly MeasuredPortion[]): Explanation {
  const squares = portions.reduce((sum, { planned, weighed }) => sum + (weighed / planned - 1) ** 2, 0)
  const assumed = value('what is assumed', assumedOff(way), 'share')
  return {
    title: 'How far off a portion may be',
    quantity: 'share',
    expression: root(
      over(
        plus(
          value('squares of how far portions were off', squares, 'factor'),
          times(constant(ASSUMED_PORTIONS), assumed, assumed),
        ),
        plus(value('portions weighed', portions.length, 'count'), constant(ASSUMED_PORTIONS)),
      ),
    ),
    note: 'Two portions of three come out nearer to their plan than this. What is assumed counts as six portions.',
  }
}

/** By how many grams a part may be off. */
export function explainOff(
  { weight }: Pick<JudgedPart, 'weight'>,
  way: MeasuringWay,
  portions: readonly MeasuredPortion[],
): Explanation {
  const off: HowFarOff = howFarOff(way, portions)
  return {
    title: 'It may be off by',
    quantity: 'weight',
    expression: times(value('its weight', weight, 'weight'), value('how far off a portion may be', off.share, 'share')),
  }
}
