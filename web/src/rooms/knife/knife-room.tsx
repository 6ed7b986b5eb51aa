import { dayIn } from '@fleam/core/calendar'
import type { ReactNode } from 'react'
import { NavLink } from 'react-router-dom'
import { useKitchen } from '../../data/kitchen-context.ts'
import { dateWords } from '../../parts/dates.ts'
import css from './knife.module.css'

const WAYS = [
  ['A piece', '/knife'],
  ['Two bonded', '/knife/bonded'],
  ['Racks', '/knife/racks'],
  ['Plates', '/knife/plates'],
] as const

interface KnifeRoomProps {
  title: string
  /** What a printed sheet says of what was asked: the fields are not on it. */
  facts: string
  children: ReactNode
}

/** The frame of every page of Knife lines. */
export function KnifeRoom({ title, facts, children }: KnifeRoomProps) {
  const { timeZone } = useKitchen()
  return (
    <div className={`room ${css.knife}`}>
      <nav className={css.knifeWays} aria-label="Knife lines">
        {WAYS.map(([name, path]) => (
          <NavLink key={path} to={path} end={path === '/knife'}>
            {name}
          </NavLink>
        ))}
      </nav>
      <h1>{title}</h1>
      <p className={css.sheetFacts}>
        {facts}; {dateWords(dayIn(timeZone, new Date()))}
      </p>
      {children}
    </div>
  )
}
