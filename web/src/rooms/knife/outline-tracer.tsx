import type { KnifeLines } from '@fleam/core/portioning'
import { findOutline, type OutlineMarks, outlineFromMarks, type Pixels } from '@fleam/core/portioning'
import { useEffect, useState } from 'react'
import Form from 'react-bootstrap/Form'
import { LengthField } from '../../parts/length-field.tsx'
import { useFormat } from '../../parts/use-format.ts'
import knifeCss from './knife.module.css'
import css from './outline-tracer.module.css'
import { PLACES, Tracing } from './tracing.tsx'

interface OutlineTracerProps {
  draft: KnifeLines
  measure: (changes: Partial<KnifeLines>) => void
}

interface Picture {
  url: string
  /** Height ÷ width. */
  aspect: number
  /** Ends and edges as they were found; null where nothing was. */
  found: Pick<OutlineMarks, 'ends' | 'edges'> | null
}

/** Until a picture is there, the marks lie on ground of this shape. */
const BARE_ASPECT = 7 / 15
const START: OutlineMarks = {
  ruler: [
    { x: 0.1, y: 0.92 },
    { x: 0.5, y: 0.92 },
  ],
  ends: [
    { x: 0.08, y: 0.5 },
    { x: 0.92, y: 0.5 },
  ],
  edges: Array.from({ length: PLACES }, () => ({ top: 0.35, bottom: 0.65 })),
}

/** The outline is looked for in a picture of this width: more tells no more. */
const LOOKED_AT_WIDTH = 320

/** The pixels of a picture that was drawn small; null where this browser cannot draw it. */
function pixelsOf(image: HTMLImageElement): Pixels | null {
  const width = LOOKED_AT_WIDTH
  const height = Math.max(1, Math.round((width * image.naturalHeight) / image.naturalWidth))
  const canvas = Object.assign(document.createElement('canvas'), { width, height })
  const context = canvas.getContext('2d')
  if (!context) return null
  context.drawImage(image, 0, 0, width, height)
  return { width, height, data: context.getImageData(0, 0, width, height).data }
}

/** The picture of a file with its shape; null where it cannot be shown as one. */
async function readPicture(file: File): Promise<Picture | null> {
  const url = URL.createObjectURL(file)
  const image = new Image()
  image.src = url
  try {
    await image.decode()
    const pixels = pixelsOf(image)
    const found = pixels ? findOutline(pixels, PLACES) : null
    return { url, aspect: image.naturalHeight / image.naturalWidth, found }
  } catch {
    URL.revokeObjectURL(url)
    return null
  }
}

/** A photograph from above with a ruler in it: a few points are dragged onto the outline. It never leaves the device. */
export default function OutlineTracer({ draft, measure }: OutlineTracerProps) {
  const format = useFormat()
  const [picture, setPicture] = useState<Picture | null>(null)
  const [isRefused, setRefused] = useState(false)
  const [marks, setMarks] = useState(START)
  const [rulerMm, setRulerMm] = useState<number | null>(200)
  useEffect(() => () => void (picture && URL.revokeObjectURL(picture.url)), [picture])
  const aspect = picture?.aspect ?? BARE_ASPECT
  const apply = (next: OutlineMarks, ruler = rulerMm) => {
    setMarks(next)
    const read = outlineFromMarks(next, { rulerMm: ruler ?? 0, aspect })
    if (read) measure(read)
  }
  const choose = async (file: File | undefined) => {
    const read = file ? await readPicture(file) : null
    setRefused(file !== undefined && read === null)
    setPicture(read)
    // A first try: it counts once the ruler is marked, and whatever is off is put right by hand.
    if (read?.found) setMarks({ ...marks, ...read.found })
  }
  return (
    <div className={css.outlineTracer}>
      <div className={knifeCss.knifeFields}>
        <Form.Group controlId="outline-picture">
          <Form.Label>Photograph from above, with a ruler in it</Form.Label>
          <Form.Control
            type="file"
            accept="image/*"
            onChange={(event) => void choose((event.target as HTMLInputElement).files?.[0])}
          />
          <Form.Text className={isRefused ? 'refusal' : ''}>
            {isRefused ? 'This file cannot be shown as a picture; nothing was changed.' : 'It stays on this device.'}
          </Form.Text>
        </Form.Group>
        <LengthField
          label="Between the two ruler marks"
          hint="drag the green marks onto the ruler"
          mm={rulerMm}
          min={10}
          max={2000}
          onChange={(millimetres) => {
            setRulerMm(millimetres)
            apply(marks, millimetres)
          }}
        />
      </div>
      <Tracing picture={picture?.url ?? null} aspect={aspect} marks={marks} onMarks={apply} />
      <p className="quiet">
        {picture?.found
          ? 'Ends and edges were found; drag the green marks onto the ruler, and put right what is off. '
          : 'Lay the piece level, then drag the marks onto the ruler, the ends and the edges, or move them with the arrow keys. '}
        {draft.outline.length < 2
          ? 'Nothing is read yet.'
          : `Read so: ${format.length(draft.length)} long; widths ${draft.outline
              .map((point) => format.lengthAmount(point.width))
              .join(', ')} ${format.lengthUnit} from the left end on. The height follows the usual shape.`}
      </p>
    </div>
  )
}
