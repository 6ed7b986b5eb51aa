import { cautionsFor, DEFERS_TO, type Species } from '@fleam/catalogue'

/** The cautions that belong to what lies on the board, where the hand is. */
export function BenchCautions({ species }: { species: Species | null }) {
  if (species === null) return null
  return (
    <aside className="cautions" aria-label="Cautions">
      <ul>
        {cautionsFor(species, 'board').map((caution) => (
          <li key={caution.id}>{caution.text}</li>
        ))}
      </ul>
      <p>{DEFERS_TO}</p>
    </aside>
  )
}
