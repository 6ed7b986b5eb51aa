import { type UseComboboxState, type UseComboboxStateChangeOptions, useCombobox } from 'downshift'
import { ChevronDown } from 'lucide-react'
import { useState } from 'react'
import Form from 'react-bootstrap/Form'
import css from './search-choice.module.css'

export interface SearchedChoice {
  id: string
  name: string
}

interface SearchChoiceProps {
  label: string
  /** Id of the input, where something else points at it. */
  inputId?: string
  choices: readonly SearchedChoice[]
  /** Id of the choice; null where none is made. */
  value: string | null
  onChoose: (id: string) => void
  placeholder?: string
  /** Why what stands here cannot be taken, said by the form. */
  error?: string | undefined
}

/** One of many, found by any part of its name; with the keys, a touch or by typing. */
export function SearchChoice(props: SearchChoiceProps) {
  const { label, inputId, choices, value, onChoose, placeholder, error } = props
  const chosen = choices.find((choice) => choice.id === value) ?? null
  const [sought, setSought] = useState('')
  const found = choices.filter((choice) => isFound(choice.name, sought))
  const combobox = useCombobox<SearchedChoice>({
    items: found,
    selectedItem: chosen,
    itemToString: (choice) => choice?.name ?? '',
    itemToKey: (choice) => choice?.id,
    ...(inputId === undefined ? {} : { inputId }),
    stateReducer: (state, change) => reduced(state, change, chosen),
    onInputValueChange: ({ inputValue, type }) => {
      // Only what is typed seeks: the name of a choice that was made leaves all of them to choose from.
      setSought(type === useCombobox.stateChangeTypes.InputChange ? inputValue : '')
    },
    onIsOpenChange: ({ isOpen }) => {
      if (!isOpen) setSought('')
    },
    onSelectedItemChange: ({ selectedItem }) => {
      if (selectedItem) onChoose(selectedItem.id)
    },
  })
  const { isOpen, highlightedIndex, getLabelProps, getInputProps, getMenuProps, getItemProps } = combobox
  return (
    <div className={css.searchChoice}>
      <Form.Label {...getLabelProps()}>{label}</Form.Label>
      <div className={css.searchChoiceField}>
        <Form.Control
          {...getInputProps({ onFocus: (event) => (event.target as HTMLInputElement).select() })}
          placeholder={placeholder}
          isInvalid={error !== undefined}
        />
        <ChevronDown size={16} aria-hidden className={css.searchChoiceMark} />
      </div>
      <ul {...getMenuProps()} className={isOpen ? `${css.searchChoiceList} ${css.open}` : css.searchChoiceList}>
        {isOpen
          ? found.map((choice, index) => (
              <li
                key={choice.id}
                {...getItemProps({ item: choice, index })}
                className={index === highlightedIndex ? 'active' : undefined}
              >
                {choice.name}
              </li>
            ))
          : null}
        {isOpen && found.length === 0 ? <li className="quiet">Nothing is called that.</li> : null}
      </ul>
      {error ? <Form.Text className="refusal">{error}</Form.Text> : null}
    </div>
  )
}

const isFound = (name: string, sought: string) =>
  sought
    .toLowerCase()
    .split(/\s+/)
    .every((word) => name.toLowerCase().includes(word))

/** What was typed and not chosen leaves the choice as it was. */
function reduced(
  _state: UseComboboxState<SearchedChoice>,
  { type, changes }: UseComboboxStateChangeOptions<SearchedChoice>,
  chosen: SearchedChoice | null,
): Partial<UseComboboxState<SearchedChoice>> {
  const { InputBlur, InputKeyDownEscape, InputChange } = useCombobox.stateChangeTypes
  if (type === InputChange) return { ...changes, highlightedIndex: 0 }
  if (type !== InputBlur && type !== InputKeyDownEscape) return changes
  return { ...changes, selectedItem: chosen, inputValue: chosen?.name ?? '' }
}
