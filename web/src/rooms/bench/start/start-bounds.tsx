import type { Style } from '@fleam/core/style'
import type { UseFormReturn } from 'react-hook-form'
import { FormWeight, MoreFields } from '../../../parts/form-fields.tsx'
import css from './start-bounds.module.css'
import type { StartFields } from './start-fields.ts'

/** What a portion may weigh in this run: as the style says, unless somebody says otherwise. */
export function StartBounds({ form, style }: { form: UseFormReturn<StartFields>; style: Style }) {
  const piles = style.piles.filter((pile) => pile.class === 'primary' && pile.bounds !== null)
  const bounds = form.watch('bounds')
  if (piles.length === 0) return null
  return (
    <MoreFields title="Portion weights for this run">
      {piles.map((pile) => {
        const isOwn = bounds[pile.id] !== undefined
        return (
          <fieldset key={pile.id} className={css.ownBounds}>
            <legend>
              <label>
                <input
                  type="checkbox"
                  checked={isOwn}
                  onChange={() => {
                    const { [pile.id]: _before, ...others } = bounds
                    form.setValue('bounds', isOwn || !pile.bounds ? others : { ...bounds, [pile.id]: pile.bounds })
                  }}
                />{' '}
                Other weights for {pile.name}
              </label>
            </legend>
            {isOwn ? (
              <div className={css.ownBoundsFields}>
                <FormWeight control={form.control} name={`bounds.${pile.id}.target`} label="Target" />
                <FormWeight control={form.control} name={`bounds.${pile.id}.low`} label="Lightest" />
                <FormWeight control={form.control} name={`bounds.${pile.id}.high`} label="Heaviest" />
              </div>
            ) : null}
          </fieldset>
        )
      })}
    </MoreFields>
  )
}
