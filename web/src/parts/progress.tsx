interface ProgressProps {
  /** What is under way, for those who listen. */
  what: string
  done: number
  of: number
}

/** How far something is. */
export const Progress = ({ what, done, of }: ProgressProps) => (
  <progress className="progress-line" aria-label={what} value={done} max={of} />
)
