import { act, screen } from '@testing-library/react'
import { answered, LARCH_HALT, renderPart } from '../../test/render.tsx'
import { answerWith } from '../../test/server.ts'
import { type CautionWhere, useKitchenCautions } from './cautions.ts'

const own = (text: string, where: object, boardMinutes: number | null = null) => ({
  ...{ cautionId: 'cold-chain', reason: 'our plan', outMinutes: null, itemId: null, styleId: null, step: null },
  ...{ text, boardMinutes, ...where },
})
const OVERRIDES = [
  own('For everything.', {}, 25),
  own('For ducks.', { itemId: 'duck' }, 20),
  own('For duck breasts.', { styleId: 'breasts' }, 15),
  own('While the skin is scored.', { styleId: 'breasts', step: 'score-skin' }),
]

function Said({ where, step }: { where: CautionWhere; step: string | null }) {
  const { byIds, coldLimits } = useKitchenCautions(where)
  return (
    <p role="status">
      {byIds(['cold-chain'], step)[0]?.text} {coldLimits.boardMinutes}
    </p>
  )
}

test.each([
  [{}, null, 'For everything. 25'],
  [{ itemId: 'chicken' }, null, 'For everything. 25'],
  [{ itemId: 'duck' }, null, 'For ducks. 20'],
  [{ itemId: 'duck', styleId: 'breasts' }, null, 'For duck breasts. 15'],
  [{ itemId: 'duck', styleId: 'breasts' }, 'score-skin', 'While the skin is scored. 15'],
  [{ itemId: 'duck', styleId: 'legs' }, 'score-skin', 'For ducks. 20'],
])('own words hold where they were written for: %p, %p', async (where, step, words) => {
  answerWith({ [`GET /api/kitchens/${LARCH_HALT.id}/cautions`]: { body: OVERRIDES } })
  await act(async () => void renderPart(<Said where={where} step={step} />))
  await answered()
  expect(screen.getByRole('status').textContent).toBe(words)
})
