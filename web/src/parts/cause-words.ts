import type { LossCause } from '@fleam/core/weighing'

/** What may have gone wrong, as a cook says it. */
export const CAUSE_WORDS: Readonly<Record<LossCause, string>> = {
  'meat-on-bones': 'meat left on carcass or frame',
  'red-on-silverskin': 'red left on silverskin or fat',
  'joint-missed': 'joint missed, bone splintered',
  'skin-torn': 'skin torn',
  'too-heavy': 'portions too heavy',
  'too-light': 'portions too light',
  uneven: 'uneven thickness',
  gouged: 'gouged face',
  'dull-knife': 'sawn edges, dull knife',
  'by-product-binned': 'by-product binned',
  'not-weighed': 'not weighed',
  'liquid-loss': 'liquid lost',
  'against-grain': 'cut in the wrong direction',
  'bone-left': 'bone or pin bone left in',
  'too-warm': 'too warm on the board',
  'ran-out': 'string, bags or labels ran out',
  'wrong-item': 'wrong item for this style',
  'other-goods': 'other goods than before',
  'cut-otherwise': 'cut another way than before',
}
