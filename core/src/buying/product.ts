/**
 * The animal or cut that an item is a trade form of: its name up to the first comma. So `Lamb rack, eight
 * ribs, chined, cap on` and `Lamb rack, eight ribs, chine and cap on` give the same products.
 */
export const familyOf = (item: string): string => (item.split(',')[0] ?? item).trim()

/** What a product is called wherever it is compared: `Chicken: supremes`. `pile` is the pile that is served. */
export const productOf = (item: string, pile: string): string => `${familyOf(item)}: ${pile}`
