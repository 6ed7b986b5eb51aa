import type { ReactNode } from 'react'
import { NavLink } from 'react-router-dom'
import css from './buying-room.module.css'

const WAYS = [
  ['Compare', '/buying'],
  ['Prices', '/buying/prices'],
  ['Price lists', '/buying/lists'],
  ['Parted', '/buying/parted'],
  ['Meals', '/buying/meals'],
  ['Receiving', '/buying/receiving'],
  ['Cold store', '/buying/cold'],
] as const

interface BuyingRoomProps {
  title: string
  /** What is done on this page, beside its title. */
  actions?: ReactNode
  children: ReactNode
}

/** The frame of every page of Buying, from the price to the cold. */
export const BuyingRoom = ({ title, actions, children }: BuyingRoomProps) => (
  <div className="room buying">
    <nav className={css.buyingWays} aria-label="Buying">
      {WAYS.map(([name, path]) => (
        <NavLink key={path} to={path} end={path === '/buying'}>
          {name}
        </NavLink>
      ))}
    </nav>
    <div className="room-heading">
      <h1>{title}</h1>
      {actions}
    </div>
    {children}
  </div>
)
