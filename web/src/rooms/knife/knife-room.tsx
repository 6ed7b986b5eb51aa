import './knife.css'
import type { ReactNode } from 'react'
import { NavLink } from 'react-router-dom'

const WAYS = [
  ['A piece', '/knife'],
  ['Two bonded', '/knife/bonded'],
  ['Racks', '/knife/racks'],
  ['Plates', '/knife/plates'],
] as const

interface KnifeRoomProps {
  title: string
  children: ReactNode
}

/** The frame of every page of Knife lines. */
export const KnifeRoom = ({ title, children }: KnifeRoomProps) => (
  <div className="room knife">
    <nav className="knife-ways" aria-label="Knife lines">
      {WAYS.map(([name, path]) => (
        <NavLink key={path} to={path} end={path === '/knife'}>
          {name}
        </NavLink>
      ))}
    </nav>
    <h1>{title}</h1>
    {children}
  </div>
)
