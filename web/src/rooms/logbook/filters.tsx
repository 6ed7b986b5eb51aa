import Form from 'react-bootstrap/Form'
import { useSuppliers } from '../../data/buying-queries.ts'
import { useCooks, useItems } from '../../data/queries.ts'
import { DayField } from '../../parts/day-field.tsx'
import css from './logbook.module.css'
import { type LogbookView, PERIODS } from './use-view.ts'

interface Choice {
  id: string
  name: string
}

/** Which records are looked at. */
export function Filters({ view }: { view: LogbookView }) {
  const items = useItems().data ?? []
  const { filters, set } = view
  const styles = items.find((item) => item.id === filters.item)?.styles ?? []
  return (
    <search className={`${css.filters} no-print`}>
      <Form.Group controlId="logbook-period">
        <Form.Label>When</Form.Label>
        <Form.Select value={view.period} onChange={(event) => set({ period: event.target.value })}>
          {Object.entries(PERIODS).map(([period, words]) => (
            <option key={period} value={period}>
              {words}
            </option>
          ))}
        </Form.Select>
      </Form.Group>
      {view.period === 'days' ? (
        <>
          <DayField label="First day" value={filters.from ?? ''} onChange={(from) => set({ from })} />
          <DayField label="Last day" value={filters.to ?? ''} onChange={(to) => set({ to })} />
        </>
      ) : null}
      <FilterChoice label="Item" value={filters.item} choices={items} onChoose={(item) => set({ item, style: null })} />
      <FilterChoice label="Cut style" value={filters.style} choices={styles} onChoose={(style) => set({ style })} />
      <FilterChoice
        label="Cook"
        value={filters.cook}
        choices={useCooks().data ?? []}
        onChoose={(cook) => set({ cook })}
      />
      <FilterChoice
        label="Supplier"
        value={filters.supplier}
        choices={useSuppliers().data ?? []}
        onChoose={(supplier) => set({ supplier })}
      />
    </search>
  )
}

interface FilterChoiceProps {
  label: string
  value: string | string[] | undefined
  choices: readonly Choice[]
  onChoose: (id: string | null) => void
}

const FilterChoice = ({ label, value, choices, onChoose }: FilterChoiceProps) => (
  <Form.Group controlId={`logbook-${label}`}>
    <Form.Label>{label}</Form.Label>
    <Form.Select
      value={[value ?? ''].flat()[0]}
      disabled={choices.length === 0}
      onChange={(event) => onChoose(event.target.value || null)}
    >
      <option value="">all</option>
      {choices.map(({ id, name }) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </Form.Select>
  </Form.Group>
)
