import type { ReactNode } from 'react'
import Button from 'react-bootstrap/Button'
import { isRouteErrorResponse, Link, useRouteError } from 'react-router-dom'
import { ApiProblem, isOffline } from '../data/api.ts'

export const Loading = ({ what }: { what: string }) => (
  <p className="state" role="status">
    Fetching {what} …
  </p>
)

interface FailedProps {
  error: unknown
  retry?: () => void
}

/** Says what was wrong, where, and what was kept. */
export function Failed({ error, retry }: FailedProps) {
  const { title, lines } = wordsOf(error)
  return (
    <section className="state" role="alert">
      <h2>{title}</h2>
      {lines.map((line) => (
        <p key={line}>{line}</p>
      ))}
      {retry ? <Button onClick={retry}>Try again</Button> : null}
    </section>
  )
}

export function wordsOf(error: unknown): { title: string; lines: string[] } {
  if (isOffline(error)) {
    return {
      title: 'The server does not answer',
      lines: ['What you weighed is kept on this device and is sent as soon as the server is back.'],
    }
  }
  if (error instanceof ApiProblem) {
    const { title, detail, issues, kept } = error.problem
    const fields = issues.map((issue) => `${issue.path} ${issue.message}`.trim())
    return { title, lines: [...(fields.length > 0 ? fields : [detail]), kept] }
  }
  return { title: 'Fleam made a mistake', lines: [error instanceof Error ? error.message : 'Load the page again.'] }
}

interface EmptyProps {
  title: string
  children: ReactNode
}

export const Empty = ({ title, children }: EmptyProps) => (
  <section className="state">
    <h2>{title}</h2>
    {children}
  </section>
)

export const NothingHere = () => (
  <Empty title="There is no such room">
    <p>
      <Link to="/">Go to Today</Link>
    </p>
  </Empty>
)

export function RoomFailed() {
  const error = useRouteError()
  if (isRouteErrorResponse(error) && error.status === 404) return <NothingHere />
  return <Failed error={error} retry={() => window.location.reload()} />
}
