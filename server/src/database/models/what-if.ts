import type { WhatIf } from '@fleam/contract/what-if'
import type { InferAttributes, InferCreationAttributes, Model, Sequelize } from 'sequelize'
import { id, instant, json, ref, words } from './columns.ts'
import { parsedJson } from './parsed-json.ts'

export interface WhatIfModel extends Model<InferAttributes<WhatIfModel>, InferCreationAttributes<WhatIfModel>> {
  id: string
  kitchenId: string
  fabricationId: string
  name: string
  assumptions: WhatIf['assumptions']
  createdAt: Date
}

export const defineWhatIf = (database: Sequelize) =>
  database.define<WhatIfModel>(
    'WhatIf',
    {
      id: id(),
      kitchenId: ref(),
      fabricationId: ref(),
      name: words(),
      assumptions: { ...json(), ...parsedJson('assumptions') },
      createdAt: instant(),
    },
    { tableName: 'what_ifs' },
  )
