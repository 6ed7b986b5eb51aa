/** What is equal for two spellings of one name: capitals make no other supplier, product, item or cook; accents do. */
export const nameKey = (name: string): string => name.trim().normalize('NFC').toLowerCase()
