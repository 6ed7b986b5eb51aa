import { type ReactNode, useState } from 'react'
import { readSetting, writeSetting } from '../data/settings.ts'
import css from './folded.module.css'

/** A part of a page that opens when it is wanted, and is remembered on this device. */
export interface NamedPart {
  id: string
  title: string
}

export interface OpenParts {
  isOpen: (id: string) => boolean
  set: (ids: readonly string[], isOpen: boolean) => void
}

/** Which parts of a room are open on this device. */
export function useOpenParts(room: string): OpenParts {
  const setting = `open-parts.${room}`
  const [open, setOpen] = useState<ReadonlySet<string>>(
    () => new Set((readSetting(setting) ?? '').split(' ').filter((id) => id !== '')),
  )
  const set = (ids: readonly string[], isOpen: boolean) => {
    const next = new Set(open)
    for (const id of ids) {
      if (isOpen) next.add(id)
      else next.delete(id)
    }
    setOpen(next)
    writeSetting(setting, [...next].join(' '))
  }
  return { isOpen: (id) => open.has(id), set }
}

interface FoldedPartProps {
  part: NamedPart
  parts: OpenParts
  children: ReactNode
}

/** One such part; what is in it is worked out and drawn only while it is open. */
export function FoldedPart({ part: { id, title }, parts, children }: FoldedPartProps) {
  const isOpen = parts.isOpen(id)
  return (
    <div className={isOpen ? `${css.folded} ${css.open}` : css.folded} id={`part-${id}`}>
      <button type="button" className={css.foldedTitle} aria-expanded={isOpen} onClick={() => parts.set([id], !isOpen)}>
        <span aria-hidden>{isOpen ? '−' : '+'}</span> {title}
      </button>
      {isOpen ? children : null}
    </div>
  )
}

interface JumpLinksProps {
  /** Parts that are always there, by the id of their section. */
  first: readonly NamedPart[]
  folded: readonly NamedPart[]
  parts: OpenParts
}

/** A line that stays in sight: one touch leads to a part, and opens it. */
export function JumpLinks({ first, folded, parts }: JumpLinksProps) {
  const ids = folded.map(({ id }) => id)
  const isAllOpen = ids.every(parts.isOpen)
  const goTo = (elementId: string) => {
    // Once it is drawn.
    requestAnimationFrame(() => document.getElementById(elementId)?.scrollIntoView())
  }
  return (
    <nav className={css.jumpLinks} aria-label="Parts of this page">
      {first.map(({ id, title }) => (
        <button key={id} type="button" onClick={() => goTo(id)}>
          {title}
        </button>
      ))}
      {folded.map(({ id, title }) => (
        <button
          key={id}
          type="button"
          onClick={() => {
            parts.set([id], true)
            goTo(`part-${id}`)
          }}
        >
          {title}
        </button>
      ))}
      <button type="button" onClick={() => parts.set(ids, !isAllOpen)}>
        {isAllOpen ? 'Close all' : 'Open all'}
      </button>
    </nav>
  )
}
