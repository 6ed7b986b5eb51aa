import type { Kitchen } from '@fleam/contract/kitchen/schemas'
import { MoonStar, Sun } from 'lucide-react'
import { lazy, Suspense, useEffect } from 'react'
import Form from 'react-bootstrap/Form'
import { NavLink, Outlet, ScrollRestoration, useLocation, useNavigate } from 'react-router-dom'
import { KitchenContext } from '../data/kitchen-context.ts'
import { useKitchens } from '../data/queries.ts'
import { KeptHere } from '../outbox/kept-here.tsx'
import { writeDatesAs } from '../parts/dates.ts'
import { DiskFull } from '../parts/disk-full.tsx'
import { Refused } from '../parts/refused.tsx'
import { Failed, Loading } from '../parts/states.tsx'
import { chosenOf } from './ask-ahead.ts'
import { ROOMS, titleOf } from './rooms.ts'
import { useChosenKitchen } from './use-chosen-kitchen.ts'
import { useRoomKeys } from './use-room-keys.ts'
import { useTheme } from './use-theme.ts'

/** Seen once in the life of a kitchen: no other page loads it. */
const SetUp = lazy(() => import('../rooms/set-up/set-up.tsx'))
const FirstRun = () => (
  <Suspense fallback={<Loading what="the set-up" />}>
    <SetUp />
  </Suspense>
)

/** A screen that is read across the kitchen has the whole of it. */
const BARE = '/wall'

/** The frame of every room: rooms in the order of the work, the kitchen, light or dark. */
export function Frame() {
  const kitchens = useKitchens()
  const [chosen, choose] = useChosenKitchen()
  useRoomKeys(useNavigate())
  const { pathname } = useLocation()
  useEffect(() => {
    document.title = titleOf(pathname)
  }, [pathname])
  if (kitchens.isPending) return <Loading what="the kitchen" />
  // Without a network, what this device read last serves.
  if (!kitchens.data) return <Failed error={kitchens.error} retry={() => void kitchens.refetch()} />
  if (kitchens.data.length === 0) return <FirstRun />
  const kitchen = chosenOf(kitchens.data, chosen)
  if (!kitchen) return <FirstRun />
  writeDatesAs(kitchen.units)
  return (
    <KitchenContext value={kitchen}>
      <a className="skip-link" href="#room">
        To the room
      </a>
      {pathname === BARE ? null : <Header kitchens={kitchens.data} kitchen={kitchen} choose={choose} />}
      <ScrollRestoration />
      <DiskFull />
      <Refused />
      <main id="room" key={kitchen.id} tabIndex={-1}>
        <Suspense fallback={<Loading what="the room" />}>
          <Outlet />
        </Suspense>
      </main>
    </KitchenContext>
  )
}

interface HeaderProps {
  kitchens: readonly Kitchen[]
  kitchen: Kitchen
  choose: (id: string) => void
}

/** The way to every room, whose kitchen it is, and the light. */
function Header({ kitchens, kitchen, choose }: HeaderProps) {
  return (
    <header className="frame">
      <span className="frame-name">Fleam</span>
      <nav aria-label="Rooms">
        {ROOMS.map((room) => (
          <NavLink key={room.path} to={room.path} end={room.path === '/'}>
            {room.name}
          </NavLink>
        ))}
      </nav>
      <KeptHere />
      {kitchens.length > 1 ? (
        <Form.Select size="sm" aria-label="Kitchen" value={kitchen.id} onChange={(event) => choose(event.target.value)}>
          {kitchens.map((kitchen) => (
            <option key={kitchen.id} value={kitchen.id}>
              {kitchen.name}
            </option>
          ))}
        </Form.Select>
      ) : (
        <span className="frame-kitchen">{kitchen.name}</span>
      )}
      <ThemeButton />
    </header>
  )
}

function ThemeButton() {
  const [theme, toggle] = useTheme()
  const label = theme === 'dark' ? 'Light screen' : 'Dark screen'
  return (
    <button type="button" className="icon-button" onClick={toggle} aria-label={label} title={label}>
      {theme === 'dark' ? <Sun size={20} aria-hidden /> : <MoonStar size={20} aria-hidden />}
    </button>
  )
}
