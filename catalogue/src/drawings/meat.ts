import type { Drawing } from './drawing.ts'

export const LOIN: Drawing = {
  views: [
    {
      id: 'above',
      label: 'from above, head to the left',
      width: 360,
      height: 132,
      outline: [
        'M 20 62 C 24 28 70 18 110 24 C 170 30 250 38 300 50 C 330 58 346 66 346 71 C 340 79 310 84 280 88 C 220 96 140 108 90 108 C 46 108 18 96 20 62 Z',
        'M 120 112 C 180 108 250 98 308 88 C 314 94 308 100 298 102 C 240 114 180 122 126 122 C 116 120 114 114 120 112 Z',
      ],
      regions: {
        head: 'M 22 62 C 26 32 70 22 111 27 L 111 88 C 80 84 48 84 30 92 C 24 84 21 74 22 62 Z',
        lobe: 'M 34 96 C 52 88 84 90 111 94 L 111 105 C 84 108 52 108 34 96 Z',
        centre: 'M 118 34 C 170 39 214 43 250 49 L 250 90 C 210 96 160 102 118 104 Z',
        tail: 'M 257 46 C 300 52 338 64 343 71 C 336 79 300 84 257 90 Z',
        chain:
          'M 122 114 C 182 110 250 100 306 91 C 308 96 304 98 297 99 C 240 111 180 119 127 119 C 120 118 118 116 122 114 Z',
        silverskin: 'M 118 27 C 170 32 220 37 254 43 L 254 48 C 214 41 168 37 118 33 Z',
        fat: 'M 60 18 C 110 8 190 20 250 34 L 250 38 C 190 28 110 20 62 24 Z',
      },
      cuts: {
        bag: 'M 28 24 L 60 8 M 300 40 L 330 24',
        fat: 'M 56 21 C 112 14 190 26 254 40',
        chain: 'M 116 111 C 182 107 250 97 310 87',
        lobe: 'M 28 94 C 52 84 84 88 114 92',
        silverskin: 'M 114 30 C 168 34 216 40 258 46',
        square: 'M 330 54 L 330 86',
        'head-cut': 'M 114 20 L 114 110',
        steaks: 'M 141 26 L 141 108 M 168 28 L 168 106 M 195 30 L 195 104 M 222 34 L 222 100',
        'tail-cut': 'M 254 38 L 254 96 M 282 42 L 282 92 M 308 48 L 308 88',
        bond: 'M 14 66 L 4 66 M 350 71 L 358 71 M 20 128 L 346 128',
      },
    },
  ],
}

export const BLOCK: Drawing = {
  views: [
    {
      id: 'above',
      label: 'from above, shoulder or broad end to the left',
      width: 320,
      height: 170,
      outline: [
        'M 26 84 C 26 44 60 28 110 28 L 230 30 C 280 32 298 56 298 88 C 298 122 276 142 226 144 L 104 146 C 56 146 26 126 26 84 Z',
      ],
      regions: {
        lip: 'M 40 46 C 56 28 84 28 110 28 L 230 30 C 262 32 282 42 290 58 C 266 46 240 44 226 44 L 108 42 C 84 42 60 44 40 46 Z',
        cap: 'M 40 52 C 80 46 150 46 200 50 L 196 66 C 150 62 90 62 38 70 Z',
        eye: 'M 60 76 C 110 66 200 68 250 74 C 262 90 258 104 244 110 C 190 116 110 116 66 110 C 52 100 52 86 60 76 Z',
        heart: 'M 66 114 C 120 120 190 120 244 114 C 238 128 226 134 216 134 L 104 136 C 84 134 72 126 66 114 Z',
        ends: 'M 28 84 C 28 70 32 60 40 52 L 52 74 L 52 112 L 40 122 C 32 112 28 100 28 84 Z M 262 76 L 288 62 C 296 80 296 100 286 116 L 262 108 Z',
        bone: 'M 60 138 L 270 136 L 266 150 C 200 158 120 158 66 152 Z',
      },
      cuts: {
        bag: 'M 34 38 L 70 18 M 250 24 L 284 38',
        lip: 'M 36 48 C 90 42 220 42 290 58',
        cap: 'M 38 70 C 90 62 150 62 200 66 L 204 48',
        seam: 'M 60 112 C 120 118 190 118 252 112',
        square: 'M 276 46 L 276 134',
        end: 'M 54 44 L 54 132 M 260 42 L 260 134',
        steaks: 'M 88 40 L 88 138 M 122 36 L 122 140 M 156 36 L 156 140 M 190 36 L 190 140 M 224 38 L 224 138',
        bone: 'M 56 138 C 120 142 200 142 274 136',
      },
    },
  ],
}

const RIB_COUNT = 8
const FIRST_RIB_X = 62
const RIB_STEP = 32
const ribs = Array.from({ length: RIB_COUNT }, (_, index) => FIRST_RIB_X + index * RIB_STEP)
const lines = (path: (x: number) => string, xs: readonly number[]) => xs.map(path).join(' ')

export const RACK: Drawing = {
  views: [
    {
      id: 'outside',
      label: 'from outside, head end to the left',
      width: 340,
      height: 190,
      outline: [
        'M 30 116 C 30 96 56 88 110 86 L 312 90 C 326 94 328 150 314 158 C 240 170 100 172 52 162 C 34 156 30 136 30 116 Z',
        lines((x) => `M ${x - 5} 88 L ${x - 5} 24 C ${x - 5} 18 ${x + 5} 18 ${x + 5} 24 L ${x + 5} 88`, ribs),
      ],
      regions: {
        eye: 'M 50 128 C 100 108 240 108 306 114 C 316 122 314 134 304 140 C 230 148 110 150 62 144 C 48 140 44 132 50 128 Z',
        cap: 'M 36 112 C 60 94 100 92 130 92 L 310 96 C 314 100 316 104 316 108 C 240 102 120 102 40 124 Z',
        strip: lines(
          (x) => `M ${x + 6} 62 L ${x + RIB_STEP - 6} 62 L ${x + RIB_STEP - 6} 86 L ${x + 6} 86 Z`,
          ribs.slice(0, -1),
        ),
        chine: 'M 54 150 C 110 156 240 154 312 144 L 312 156 C 240 168 100 170 54 160 Z',
        blade: 'M 34 116 C 40 100 60 96 84 96 L 80 112 C 62 114 48 118 36 126 Z',
        fell: 'M 32 110 C 34 94 60 86 110 85 L 312 89 C 318 91 321 96 322 102 L 316 102 C 312 96 306 96 300 96 L 112 92 C 66 92 46 98 38 112 Z',
      },
      cuts: {
        fell: 'M 32 112 C 36 92 66 86 110 85 L 314 89',
        blade: 'M 32 128 C 48 116 66 112 86 112 L 90 94',
        chine: 'M 50 150 C 110 158 240 156 316 144',
        feather: 'M 60 146 C 120 150 230 150 308 140',
        cap: 'M 38 124 C 120 102 240 102 318 108',
        french: 'M 46 62 L 300 62',
        'bone-ends': 'M 46 26 L 300 26',
        divide: lines((x) => `M ${x + RIB_STEP / 2} 60 L ${x + RIB_STEP / 2} 162`, ribs.slice(0, -1)),
      },
    },
  ],
}
