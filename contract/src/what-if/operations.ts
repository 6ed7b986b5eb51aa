import { operations } from '../operation.ts'
import { whatIf, whatIfs } from './schemas.ts'

export const whatIfOperations = operations('what-ifs', {
  listWhatIfs: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/fabrications/:fabricationId/what-ifs',
    summary: 'What-ifs that were kept beside a record',
    answer: whatIfs,
  },
  createWhatIf: {
    method: 'PUT',
    path: '/api/kitchens/:kitchenId/fabrications/:fabricationId/what-ifs/:whatIfId',
    summary: 'Keeps a what-if under a name',
    body: whatIf,
    answer: whatIfs,
    refuses: ['id-taken'],
  },
  deleteWhatIf: {
    method: 'DELETE',
    path: '/api/kitchens/:kitchenId/fabrications/:fabricationId/what-ifs/:whatIfId',
    summary: 'Lets a what-if go',
    answer: whatIfs,
  },
})
