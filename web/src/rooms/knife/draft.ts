import type { ItemShape } from '@fleam/catalogue'
import {
  afterCut,
  girthsAlong,
  KNIFE_LINES_FORMAT,
  type KnifeLines,
  marginFor,
  type Piece,
  type PortionRequest,
  pieceFromTemplate,
  portionRequest,
  USUAL_TOGETHER,
} from '@fleam/core/portioning'
import { measuredPiece, shapeById, wholePiece } from '../../parts/measured-piece.ts'

/** Shares of the length at which a tape is usually laid. */
const TAPED = [0, 0.25, 0.5, 0.75, 1]

/** A usual piece of a shape, measured by nothing but weight and length. */
export function freshDraft(shape: ItemShape): KnifeLines {
  const { weight, length, template } = shape
  const usual = pieceFromTemplate(template, weight, length)
  return withUsualMeasures(
    {
      format: KNIFE_LINES_FORMAT,
      version: 1,
      shape: shape.id,
      way: 'template',
      weight,
      length,
      girths: [],
      outline: [],
      biasAngle: 0,
      products: [...shape.products],
      scrap: { ...shape.scrap },
      minScrap: 10,
      belly: null,
      notch: null,
      kerf: shape.kerf ?? 0,
      step: 1,
      lines: [],
      taken: [],
    },
    usual,
  )
}

/** Girths to begin with, as the usual shape has them: whoever measures changes them. */
function withUsualMeasures(draft: KnifeLines, usual: Piece): KnifeLines {
  // Widths are read from a photograph or not at all: a plan of usual ones would look as if somebody had measured.
  return { ...draft, girths: girthsAlong(usual, TAPED), outline: [] }
}

/** The changes that another length makes: every place along the piece goes with it. */
export function stretched(draft: KnifeLines, length: number): Partial<KnifeLines> {
  // The end stays the end to the last digit: a last station beside it would be refused.
  const place = (at: number) => (at === draft.length ? length : (at * length) / draft.length)
  const along = <T extends { from: number; to: number }>(entry: T): T => ({
    ...entry,
    from: place(entry.from),
    to: place(entry.to),
  })
  return {
    length,
    girths: draft.girths.map((girth) => ({ ...girth, at: place(girth.at) })),
    outline: draft.outline.map((entry) => ({ ...entry, at: place(entry.at) })),
    products: draft.products.map(({ within, ...product }) =>
      within ? { ...product, within: [place(within[0]), place(within[1])] as const } : product,
    ),
    belly: draft.belly && along(draft.belly),
    notch: draft.notch && along(draft.notch),
  }
}

/** What is wrong with the measures or with what is wanted, as the contract words it; null where nothing is. */
export function refusalOf(draft: KnifeLines): string | null {
  if (draft.way === 'outline' && draft.outline.length < 2)
    return 'Put the marks onto the photograph, and the plans come.'
  // A template is filled to any weight: what lies on the board is compared with the usual one, drawn out to its length.
  const piece = draft.way === 'template' ? usualPiece(draft) : measuredPiece(draft)
  const { products, scrap, minScrap, kerf, step } = draft
  const result = portionRequest.safeParse({ piece, products, scrap, minScrap, kerf, step })
  const issue = result.success ? undefined : result.error.issues[0]
  if (!issue) return null
  const [part, which, ...field] = issue.path
  const product = part === 'products' && typeof which === 'number' ? products[which] : undefined
  // The board knows one piece only: its fields need not be told apart from others.
  const place = product ? [`${product.name}:`, ...field] : part === 'piece' ? issue.path.slice(1) : issue.path
  return `${place.join(' ')} ${issue.message}`.trim()
}

/** The usual shape at the length of a draft, as thick as a usual one is, with the draft's own weight. */
export function usualPiece({ shape, weight, length }: KnifeLines): Piece {
  const { stations } = shapeById(shape).template
  return { weight, length, profile: stations.map(({ at, girth }) => ({ at: at * length, girth })) }
}

/** The piece that is left after what was cut; null where nothing is. */
export function restPiece(draft: KnifeLines): Piece | null {
  return draft.taken.reduce<Piece | null>(
    (piece, cut) => piece && afterCut(piece, cut, cut.product === null ? 0 : draft.kerf),
    wholePiece(draft),
  )
}

/**
 * What the planner is asked about a piece; places that a product is bound to move with what was cut. No slice comes out of
 * the middle for trim, and bounds are drawn in by what portions may be `off`, as a share.
 */
export function requestOf(draft: KnifeLines, piece: Piece, off: number): PortionRequest {
  const { products, scrap, minScrap, kerf, step, taken, length } = draft
  const cutOff = length - piece.length
  const left = products.map(({ max, within, ...product }) => ({
    ...product,
    ...(max === undefined
      ? {}
      : { max: Math.max(0, max - taken.filter((cut) => cut.product === product.name).length) }),
    ...(within ? { within: [within[0] - cutOff, within[1] - cutOff] as const } : {}),
  }))
  return {
    piece,
    products: left,
    scrap: { ...scrap, where: scrap.where ?? 'ends' },
    margin: marginFor(left, off),
    isNearest: true,
    together: {
      ...USUAL_TOGETHER,
      ...(draft.sameThickness === undefined ? {} : { thickness: draft.sameThickness }),
      before: taken.findLast(({ product }) => product !== null)?.product ?? undefined,
    },
    minScrap,
    kerf,
    step,
  }
}
