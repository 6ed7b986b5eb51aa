import { PRICE_COLUMN_NAMES, PRICE_COLUMNS, type PriceMapping } from '@fleam/core/price-lists'
import Form from 'react-bootstrap/Form'
import { DayField } from '../../parts/day-field.tsx'
import css from './mapping-fields.module.css'

interface MappingFieldsProps {
  headers: readonly string[]
  mapping: PriceMapping
  onChange: (mapping: PriceMapping) => void
}

const NEEDED = new Set(['name', 'amount', 'per'])

/** Which column of the file is which; what the headers suggest is chosen already. */
export function MappingFields({ headers, mapping, onChange }: MappingFieldsProps) {
  return (
    <fieldset>
      <legend className={css.mappingLegend}>Which column is which</legend>
      <div className={css.mapping}>
        {PRICE_COLUMN_NAMES.map((column) => (
          <Form.Group key={column} controlId={`column-${column}`}>
            <Form.Label>
              {PRICE_COLUMNS[column]}
              {NEEDED.has(column) ? ' (needed)' : ''}
            </Form.Label>
            <Form.Select
              size="sm"
              value={mapping.columns[column] ?? ''}
              onChange={(event) =>
                onChange({ ...mapping, columns: { ...mapping.columns, [column]: event.target.value || null } })
              }
            >
              <option value="">none</option>
              {headers
                .filter((header) => header !== '')
                .map((header) => (
                  <option key={header}>{header}</option>
                ))}
            </Form.Select>
          </Form.Group>
        ))}
        <Form.Group controlId="list-supplier">
          <Form.Label>Supplier of every row</Form.Label>
          <Form.Control
            size="sm"
            value={mapping.supplier ?? ''}
            maxLength={120}
            placeholder="where no column says it"
            onChange={(event) =>
              onChange({ ...mapping, supplier: event.target.value.trim() === '' ? null : event.target.value })
            }
          />
        </Form.Group>
        <DayField
          label="Prices hold from"
          value={mapping.from}
          onChange={(from) => from !== null && onChange({ ...mapping, from })}
        />
        <Form.Group controlId="list-kind">
          <Form.Label>Rows are</Form.Label>
          <Form.Select
            size="sm"
            value={mapping.kind}
            onChange={(event) => onChange({ ...mapping, kind: event.target.value as PriceMapping['kind'] })}
          >
            <option value="whole">cut here</option>
            <option value="ready">bought ready</option>
          </Form.Select>
        </Form.Group>
        <Form.Group controlId="list-decimal">
          <Form.Label>Decimals after</Form.Label>
          <Form.Select
            size="sm"
            value={mapping.decimal}
            onChange={(event) => onChange({ ...mapping, decimal: event.target.value as PriceMapping['decimal'] })}
          >
            <option value="auto">as each number reads</option>
            <option value=",">a comma: 1.250,50</option>
            <option value=".">a point: 1,250.50</option>
          </Form.Select>
        </Form.Group>
      </div>
    </fieldset>
  )
}
