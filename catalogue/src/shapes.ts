import type { PortionProduct, ShapeTemplate } from '@fleam/core/portioning'

/** A thing that is cut along its length: its usual shape, and what is usually cut from it. */
export interface ItemShape {
  id: string
  name: string
  template: ShapeTemplate
  /** Grams and millimetres of a usual one. */
  weight: number
  length: number
  products: readonly PortionProduct[]
  /** A fillet: its belly and the notch along its pin bones come off before it is portioned. */
  isFillet?: boolean
  /** Cut with a saw that takes so many mm. */
  kerf?: number
  scrap: { name: string; valuePerKg: number }
}

const stations = (...girths: readonly [at: number, girth: number][]) => girths.map(([at, girth]) => ({ at, girth }))

/** Starting values that a kitchen changes as it measures. */
export const SHAPES: readonly ItemShape[] = [
  {
    id: 'tenderloin',
    name: 'Tenderloin, trimmed',
    template: {
      stations: stations(
        [0, 215],
        [0.08, 265],
        [0.22, 285],
        [0.45, 258],
        [0.65, 236],
        [0.82, 185],
        [0.93, 125],
        [1, 70],
      ),
      roundness: 0.78,
      density: 1.06,
    },
    weight: 2100,
    length: 480,
    products: [
      {
        name: 'centre steak',
        target: 220,
        low: 205,
        high: 235,
        minThickness: 25,
        maxThickness: 70,
        minFace: 60,
        value: 12.5,
      },
      { name: 'head roast', target: 600, low: 450, high: 800, minThickness: 90, minFace: 60, value: 26, max: 1 },
      { name: 'medallion', target: 90, low: 80, high: 105, minThickness: 18, minFace: 38, value: 3.9 },
    ],
    scrap: { name: 'tips', valuePerKg: 14 },
  },
  {
    id: 'rib-eye',
    name: 'Rib eye, boneless',
    template: {
      stations: stations([0, 380], [0.3, 420], [0.7, 430], [1, 390]),
      roundness: 0.6,
      density: 1.05,
    },
    weight: 4800,
    length: 430,
    products: [{ name: 'steak', target: 410, low: 380, high: 440, minThickness: 20, value: 14.5 }],
    scrap: { name: 'strips', valuePerKg: 9 },
  },
  {
    id: 'char-fillet',
    isFillet: true,
    name: 'Char or salmon fillet',
    template: {
      stations: stations([0, 170], [0.12, 200], [0.35, 195], [0.6, 160], [0.8, 113], [1, 48]),
      roundness: 0.26,
      density: 1.03,
    },
    weight: 820,
    length: 380,
    products: [
      { name: 'loin portion', target: 165, low: 150, high: 180, minThickness: 35, minFace: 50, value: 6.4 },
      {
        name: 'tail, folded',
        target: 160,
        low: 130,
        high: 180,
        minThickness: 35,
        value: 5.2,
        max: 1,
        folded: true,
        within: [190, 380],
      },
    ],
    scrap: { name: 'tail trim', valuePerKg: 9 },
  },
  {
    id: 'white-fillet',
    isFillet: true,
    name: 'Hake or white fish fillet',
    template: {
      stations: stations([0, 175], [0.15, 200], [0.4, 186], [0.7, 137], [1, 60]),
      roundness: 0.3,
      density: 1.03,
    },
    weight: 900,
    length: 420,
    products: [
      { name: 'portion', target: 170, low: 155, high: 185, minThickness: 35, minFace: 42, value: 5.6 },
      { name: 'small portion', target: 110, low: 95, high: 125, minThickness: 35, value: 2.9 },
    ],
    scrap: { name: 'trim', valuePerKg: 7 },
  },
  {
    id: 'turbot-quarter',
    name: 'Turbot quarter fillet',
    template: {
      stations: stations([0, 103], [0.2, 147], [0.5, 140], [0.8, 96], [1, 41]),
      roundness: 0.3,
      density: 1.04,
    },
    weight: 360,
    length: 300,
    products: [{ name: 'portion', target: 170, low: 150, high: 190, minThickness: 40, value: 9.5 }],
    scrap: { name: 'trim', valuePerKg: 10 },
  },
  {
    id: 'flatfish-on-bone',
    name: 'Flatfish, sections on the bone',
    template: {
      stations: stations([0, 260], [0.25, 380], [0.55, 400], [0.85, 300], [1, 190]),
      roundness: 0.22,
      density: 1.06,
    },
    weight: 2400,
    length: 330,
    products: [{ name: 'section', target: 290, low: 260, high: 320, minThickness: 25, value: 12.5 }],
    scrap: { name: 'trim for fumet', valuePerKg: 3 },
    kerf: 1.5,
  },
]

/** Shapes of which two may be bonded into a log: what is sawn through its bones cannot be. */
export const BONDED_SHAPES: readonly ItemShape[] = SHAPES.filter(({ kerf }) => !kerf)

/** The shape of an id; null where there is none, or it is not known here. */
export const shapeById = (id: string | null): ItemShape | null => SHAPES.find((shape) => shape.id === id) ?? null

/** A usual rack of eight ribs: weights in grams, eyes from the loin end relative to each other. */
export const USUAL_RACK = {
  weight: 780,
  bones: 8,
  boneWeight: 150,
  /** How wide the eye is at each rib, mm, from the loin end. */
  eyeWidths: [62, 61, 60, 58, 57, 55, 53, 51],
  length: 200,
} as const
