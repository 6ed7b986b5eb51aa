import loadHighs from 'highs'
import type { SolveProgramme } from '../src/index.ts'

/** The solver of integer programmes that the server and the page's worker use. */
export async function loadSolver(): Promise<SolveProgramme> {
  const highs = await loadHighs()
  return (programme, seconds) => {
    const answer = highs.solve(programme, { mip_rel_gap: 0, time_limit: seconds })
    const values = new Map(
      Object.entries(answer.Columns).map(([name, column]) => [name, 'Primal' in column ? column.Primal : 0]),
    )
    return { isOptimal: answer.Status === 'Optimal', values }
  }
}
