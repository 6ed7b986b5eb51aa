import { appraise } from '@fleam/core/appraisal'
import { act, screen } from '@testing-library/react'
import { sixChickens } from '../../../../core/test/documents.ts'
import { answered, LARCH_HALT, renderPart } from '../../../test/render.tsx'
import { answerWith } from '../../../test/server.ts'
import { AppraisedContext } from '../../parts/appraised-context.ts'
import { JudgedBefore } from './judged-before.tsx'

async function show(judgement: object | null) {
  answerWith({ [`GET /api/kitchens/${LARCH_HALT.id}/fabrications/f/judgement`]: { body: judgement } } as never)
  const document = sixChickens()
  const record = { id: 'f', version: 2, status: 'closed', currency: 'EUR' } as never
  await act(async () => {
    renderPart(
      <AppraisedContext value={{ document, appraisal: appraise(document) } as never}>
        <JudgedBefore record={record} />
      </AppraisedContext>,
    )
  })
  await answered()
}

test('an answer of earlier formulas stands beside that of today', async () => {
  await show({ formulas: 1, isKept: true, verdict: 'buy', costPerPortion: 99, savingPerPortion: -1 })
  expect(screen.getByRole('region', { name: 'Other formulas' }).textContent).toContain('buy, a portion €99.00')
})

test('where nothing changed, nothing is said', async () => {
  await show(null)
  expect(screen.queryByRole('region')).toBeNull()
})
