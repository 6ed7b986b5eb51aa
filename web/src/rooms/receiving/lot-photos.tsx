import { addressOf } from '@fleam/contract/client'
import { receivingOperations } from '@fleam/contract/receiving/operations'
import type { LotTrace } from '@fleam/contract/receiving/schemas'
import { useRef, useState } from 'react'
import Button from 'react-bootstrap/Button'
import { v7 as newId } from 'uuid'
import { useCreatePhoto } from '../../data/buying-queries.ts'
import { useKitchen } from '../../data/kitchen-context.ts'
import { Failed } from '../../parts/states.tsx'
import css from './lot-photos.module.css'
import { smallJpeg } from './small-jpeg.ts'

/** Pictures of a delivery: what a claim rests on. */
export function LotPhotos({ trace: { lot, photos } }: { trace: LotTrace }) {
  const { id } = useKitchen()
  const keep = useCreatePhoto(lot.id)
  const input = useRef<HTMLInputElement>(null)
  const [refusal, setRefusal] = useState('')
  const take = async (file: File | undefined) => {
    if (!file) return
    setRefusal('')
    const picture = await smallJpeg(file).catch(() => null)
    if (picture === null) return setRefusal(`${file.name} is no picture that this browser can read.`)
    keep.mutate({ id: newId(), takenAt: new Date().toISOString(), picture })
  }
  return (
    <div className="mt-3">
      <input
        ref={input}
        type="file"
        accept="image/*"
        capture="environment"
        hidden
        aria-label="A picture of the delivery"
        onChange={(event) => void take(event.target.files?.[0]).finally(() => (event.target.value = ''))}
      />
      <Button variant="outline-dark" disabled={keep.isPending} onClick={() => input.current?.click()}>
        Add a picture
      </Button>
      {refusal ? (
        <p className="refusal" role="alert">
          {refusal}
        </p>
      ) : null}
      {keep.isError ? <Failed error={keep.error} /> : null}
      <div className={`${css.lotPhotos} mt-2`}>
        {photos.map((photo, index) => (
          <img
            key={photo.id}
            src={addressOf(receivingOperations.readPhoto, { kitchenId: id, lotId: lot.id, photoId: photo.id })}
            alt={`The delivery, ${index + 1} of ${photos.length}`}
          />
        ))}
      </div>
    </div>
  )
}
