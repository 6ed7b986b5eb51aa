import type { WorkSettings } from '@fleam/core/scheduling'
import { FoldedPart, useOpenParts } from '../../../parts/folded.tsx'
import { NumberField } from '../../../parts/number-field.tsx'
import css from './schedule.module.css'

const FIELDS: readonly { field: keyof WorkSettings; label: string; unit: number; isWhole?: boolean; min?: number }[] = [
  { field: 'boards', label: 'Boards', unit: 1, isWhole: true, min: 1 },
  { field: 'saws', label: 'Saws', unit: 1, isWhole: true },
  { field: 'stoves', label: 'Pots at once', unit: 1, isWhole: true },
  { field: 'begins', label: 'The day begins, hour', unit: 60 },
  { field: 'service', label: 'Service, hour', unit: 60 },
  { field: 'closes', label: 'The last one leaves, hour', unit: 60 },
  { field: 'buffer', label: 'Done before service, minutes', unit: 1 },
  { field: 'slack', label: 'Best done before that, minutes', unit: 1 },
  { field: 'boardMinutes', label: 'Back in the cold within, minutes', unit: 1, min: 1 },
  { field: 'packMinutes', label: 'Pack and label a batch, minutes', unit: 1 },
  { field: 'setHours', label: 'Bonded pieces set, hours', unit: 1 },
  { field: 'stockHours', label: 'Bones in the pot, hours', unit: 1 },
  { field: 'cleanDown', label: 'Clean down, fish to meat to poultry, minutes', unit: 1 },
  { field: 'against', label: 'The other way, minutes', unit: 1 },
]

/** What the kitchen has for it; it is kept with the schedule. */
export function SettingsFields({
  settings,
  onChange,
}: {
  settings: WorkSettings
  onChange: (settings: WorkSettings) => void
}) {
  const parts = useOpenParts('schedule')
  return (
    <section aria-labelledby="work-settings" className="no-print">
      <h2 id="work-settings">Boards, hours and minutes</h2>
      <FoldedPart part={{ id: 'work', title: 'Change them' }} parts={parts}>
        <div className={css.fields}>
          {FIELDS.map(({ field, label, unit, isWhole = false, min = 0 }) => (
            <NumberField
              key={field}
              label={label}
              value={settings[field] / unit}
              min={min}
              onChange={(value, isValid) => {
                if (!isValid || value === null || (isWhole && !Number.isInteger(value))) return
                onChange({ ...settings, [field]: value * unit })
              }}
            />
          ))}
        </div>
      </FoldedPart>
    </section>
  )
}
