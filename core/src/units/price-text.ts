import { parseNumber, unitWritten } from './weight.ts'

export interface PriceText {
  amount: number
  /** What it is the price of, where the text says it. */
  per: 'kg' | 'lb' | 'piece' | null
}

const SIGNS = /[$€£¥]|\b[A-Z]{3}\b/gu
const PER = /^(.+?)\s*(?:\/|per\b|an?\b)\s*([a-z#]+)\.?$/i

/** Reads money as people type it: `22.50`, `$22.50`, `1.89/lb`, `€ 3,10 per kilo`. Null for anything else, and below zero. */
export function parsePriceText(text: string): PriceText | null {
  const plain = text.replace(SIGNS, '').trim()
  const match = PER.exec(plain)
  const amount = parseNumber(match ? (match[1] as string) : plain)
  if (amount === null || amount < 0) return null
  if (!match) return { amount, per: null }
  const word = (match[2] as string).toLowerCase()
  if (/^(?:pieces?|pcs?|each|ea)$/.test(word)) return { amount, per: 'piece' }
  const unit = unitWritten(`1 ${word}`)
  return unit === 'kg' || unit === 'lb' ? { amount, per: unit } : null
}
