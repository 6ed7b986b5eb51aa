import type { LotRow } from '@fleam/contract/receiving/schemas'

/** A delivery in the cold that nothing was cut from, as far as lists look at it. */
export const lotRow = (id: string, itemId: string, useBy: string, standing = 'accepted') =>
  ({
    lot: {
      ...{ id, itemId, code: id, supplier: 'Ostravale', useBy, openedOn: null, isFinished: false, standing },
      ...{ price: { amount: 3, per: 'kg' }, cases: [{ id, invoiceWeight: 12_600, weighed: null }] },
    },
    usedWeight: 0,
  }) as unknown as LotRow
