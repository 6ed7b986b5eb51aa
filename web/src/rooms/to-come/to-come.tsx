import { Link, useLocation } from 'react-router-dom'
import { ROOMS_TO_COME } from './rooms-to-come.ts'

/** A room that is not built yet says what it will be for, and what serves meanwhile. */
export function Component() {
  const { pathname } = useLocation()
  const room = ROOMS_TO_COME.find((each) => each.path === pathname)
  if (!room) return null
  return (
    <div className="room to-come">
      <h1>{room.name}</h1>
      <p className="to-come-mark">Not built yet</p>
      <p>{room.purpose}</p>
      <p>
        <strong>Until then:</strong> {room.meanwhile}
      </p>
      <p>
        <Link to="/">Go to Today</Link>
      </p>
    </div>
  )
}
