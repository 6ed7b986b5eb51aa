import type { Rack } from '@fleam/core/portioning'
import { LengthField } from '../../parts/length-field.tsx'
import { NumberField } from '../../parts/number-field.tsx'
import { useFormat } from '../../parts/use-format.ts'
import { WeightField } from '../../parts/weight-field.tsx'
import knifeCss from './knife.module.css'
import css from './rack-fields.module.css'

interface RackFieldsProps {
  rack: Rack
  name: string
  onChange: (changes: Partial<Rack>) => void
}

/** What one rack is: its weights, its ribs and its eyes. */
export function RackFields({ rack, name, onChange }: RackFieldsProps) {
  const format = useFormat()
  const setBones = (bones: number) =>
    onChange({ bones, eye: Array.from({ length: bones }, (_, index) => rack.eye[index] ?? rack.eye.at(-1) ?? 50) })
  return (
    <fieldset className="knife-piece no-print">
      <legend>{name}</legend>
      <div className={knifeCss.knifeFields}>
        <WeightField label="Weighs" grams={rack.weight} onChange={(weight) => weight && onChange({ weight })} />
        <NumberField
          label="Ribs"
          value={rack.bones}
          min={1}
          max={13}
          onChange={(bones) => bones && Number.isInteger(bones) && setBones(bones)}
        />
        <WeightField
          label="Bones weigh"
          grams={rack.boneWeight}
          onChange={(boneWeight) => boneWeight !== null && onChange({ boneWeight })}
        />
        <LengthField
          label="It is long"
          hint="only to say how far the blade leans"
          mm={rack.length ?? null}
          min={20}
          max={1000}
          onChange={(length) => onChange({ length: length ?? undefined })}
        />
      </div>
      <p className={css.eyeWords}>
        The eye’s width at each rib, {format.lengthUnit}{' '}
        <span className="quiet">from the loin end: meat follows its square, and only their ratio counts</span>
      </p>
      <div className={css.eyeRow}>
        {rack.eye.map((eye, index) => (
          <LengthField
            // biome-ignore lint/suspicious/noArrayIndexKey: ribs are told by their place
            key={`${rack.bones}-${index}`}
            label={`Rib ${index + 1}`}
            isUnitSaid
            mm={eye}
            min={1}
            max={1000}
            onChange={(size) =>
              size !== null && onChange({ eye: rack.eye.map((other, rib) => (rib === index ? size : other)) })
            }
          />
        ))}
      </div>
    </fieldset>
  )
}
