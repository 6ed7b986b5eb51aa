import { type Style, style as styleSchema } from '@fleam/core/style'
import { zodResolver } from '@hookform/resolvers/zod'
import { useState } from 'react'
import { type Resolver, type UseFormReturn, useForm, useWatch } from 'react-hook-form'

export interface StyleForm {
  form: UseFormReturn<Style>
  /** The style as it stands in the form. */
  style: Style
  /** Puts another style into the form, where more than one field changes at once. */
  apply: (style: Style) => void
  /** Another number whenever fields stand for something else than before: they are drawn anew. */
  revision: number
}

/** A style as a form, by the rules that the server keeps it by. */
export function useStyleForm(saved: Style): StyleForm {
  const [revision, setRevision] = useState(0)
  const form = useForm<Style>({ resolver: zodResolver(styleSchema) as Resolver<Style>, defaultValues: saved })
  const style = useWatch({ control: form.control }) as Style
  const apply = (next: Style) => {
    form.reset(next, { keepDefaultValues: true, keepErrors: true, keepIsSubmitted: true })
    setRevision((before) => before + 1)
  }
  return { form, style, apply, revision }
}
