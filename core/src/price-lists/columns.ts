import { z } from 'zod'
import { day, id, instant, name } from '../values/index.ts'
import { ARTICLE_KINDS } from './article.ts'

/** What a column of a price list may hold, with the header that the template has for it. */
export const PRICE_COLUMNS = {
  supplier: 'supplier',
  code: 'article number',
  name: 'article',
  kind: 'whole or ready',
  item: 'item',
  product: 'product',
  amount: 'price',
  per: 'unit',
  pieceWeight: 'piece weight',
  packPieces: 'pieces in a pack',
  packWeight: 'pack weight',
  usableShare: 'usable share',
  handlingMinutesPerPiece: 'handling minutes a piece',
  delivery: 'delivery charge',
  minimumOrder: 'minimum order',
  from: 'valid from',
  until: 'valid until',
} as const
export type PriceColumn = keyof typeof PRICE_COLUMNS
export const PRICE_COLUMN_NAMES = Object.keys(PRICE_COLUMNS) as PriceColumn[]

/**
 * Other words that suppliers head their columns with, in English, German, French, Italian and Spanish; as `plain`
 * leaves them, without accents and marks.
 */
const ALSO: Partial<Record<PriceColumn, readonly string[]>> = {
  supplier: [
    ...['vendor', 'seller', 'lieferant', 'lieferfirma', 'anbieter', 'fournisseur', 'fornitore'],
    ...['proveedor', 'vendedor'],
  ],
  code: [
    ...['number', 'code', 'sku', 'no', 'art no', 'article no', 'item number', 'item no'],
    ...['artikelnummer', 'artikel nr', 'artikelnr', 'art nr', 'nummer', 'nr', 'bestellnummer'],
    ...['reference', 'ref', 'numero', 'code article', 'no article', 'numero article', 'n article'],
    ...['codice', 'codice articolo', 'cod', 'riferimento', 'codigo', 'codigo articulo', 'referencia'],
  ],
  name: [
    ...['name', 'description', 'text', 'article name', 'artikel', 'bezeichnung', 'artikelbezeichnung', 'ware'],
    ...['produkt', 'beschreibung', 'designation', 'libelle', 'produit', 'denomination'],
    ...['descrizione', 'articolo', 'denominazione', 'prodotto', 'descripcion', 'articulo', 'denominacion', 'producto'],
  ],
  kind: ['kind', 'type', 'art', 'typ', 'genre', 'tipo'],
  product: ['replaces', 'ersetzt', 'remplace', 'sostituisce', 'sustituye'],
  amount: [
    ...['amount', 'net price', 'unit price', 'list price', 'preis', 'nettopreis', 'einzelpreis', 'listenpreis', 'ek'],
    ...['einkaufspreis', 'prix', 'prix net', 'prix unitaire', 'prix ht', 'tarif', 'montant'],
    ...['prezzo', 'prezzo netto', 'prezzo unitario', 'importo', 'precio', 'precio neto', 'precio unitario', 'importe'],
  ],
  per: [
    ...['per', 'price unit', 'uom', 'einheit', 'preiseinheit', 'me', 'mengeneinheit', 'pro'],
    ...['unite', 'unite de prix', 'par', 'unita', 'unita di misura', 'um', 'unidad', 'unidad de precio', 'por'],
  ],
  pieceWeight: [
    ...[
      'weight of a piece',
      'piece',
      'unit weight',
      'stuckgewicht',
      'gewicht je stuck',
      'poids piece',
      'poids unitaire',
    ],
    ...['peso unitario', 'peso al pezzo', 'peso pezzo', 'peso por pieza', 'peso pieza'],
  ],
  packPieces: [
    ...['pieces', 'pack', 'case size', 'count', 'stuck', 'stuckzahl', 'stuck je gebinde', 'inhalt', 'pieces par colis'],
    ...['nombre de pieces', 'pezzi', 'pezzi per confezione', 'numero pezzi', 'piezas', 'piezas por caja', 'unidades'],
  ],
  packWeight: [
    ...['case weight', 'weight', 'net weight', 'gewicht', 'gebindegewicht', 'kartongewicht', 'nettogewicht'],
    ...['poids', 'poids net', 'poids du colis', 'peso', 'peso netto', 'peso neto', 'peso confezione', 'peso caja'],
  ],
  usableShare: ['usable', 'verwendbar', 'ausbeute', 'utilisable', 'utilizzabile', 'aprovechable'],
  handlingMinutesPerPiece: ['handling', 'nacharbeit'],
  delivery: [
    ...[
      'delivery',
      'freight',
      'lieferkosten',
      'lieferung',
      'fracht',
      'frachtkosten',
      'livraison',
      'frais de livraison',
    ],
    ...['port', 'consegna', 'spese di consegna', 'trasporto', 'entrega', 'gastos de envio', 'porte', 'portes'],
  ],
  minimumOrder: [
    ...['minimum', 'least order', 'mindestbestellung', 'mindestbestellwert', 'mindestmenge', 'minimum de commande'],
    ...['commande minimale', 'ordine minimo', 'minimo', 'pedido minimo'],
  ],
  from: [
    ...['from', 'start', 'date', 'valid', 'gultig ab', 'gultig von', 'ab', 'von', 'datum', 'valable du', 'valable des'],
    ...['du', 'valido da', 'valido dal', 'dal', 'data', 'valido desde', 'desde', 'fecha'],
  ],
  until: [
    ...['until', 'to', 'end', 'valid to', 'gultig bis', 'bis', 'valable jusqu au', 'jusqu au', 'au'],
    ...['valido fino al', 'fino al', 'al', 'valido hasta', 'hasta'],
  ],
}

/** Which column is which, and what holds for every row where a column is missing. */
export const priceMapping = z
  .strictObject({
    /** Header of the column that holds each; null or absent for none. */
    columns: z.partialRecord(
      z.enum(PRICE_COLUMN_NAMES as [PriceColumn, ...PriceColumn[]]),
      z.string().max(200).nullable(),
    ),
    supplier: name.nullable().default(null),
    kind: z.enum(ARTICLE_KINDS).default('whole'),
    from: day,
    /** The mark before decimals; `auto` reads each number by itself. */
    decimal: z.enum(['auto', '.', ',']).default('auto'),
  })
  .meta({ id: 'PriceMapping' })
export type PriceMapping = z.infer<typeof priceMapping>

const plain = (header: string) =>
  header
    .toLowerCase()
    .replace(/ß/g, 'ss')
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .replace(/\(.*?\)/g, '')
    .replace(/[^a-z]+/g, ' ')
    .trim()

/** A mapping that a supplier's list was taken with. */
export const rememberedMapping = z
  .strictObject({ supplierId: id, supplier: name, mapping: priceMapping, usedAt: instant })
  .meta({ id: 'RememberedMapping' })
export type RememberedMapping = z.infer<typeof rememberedMapping>
export const rememberedMappings = z.array(rememberedMapping)

/** The mappings whose columns are all in a file, those that name most of them first, then the latest. */
export function fittingMappings(headers: readonly string[], known: readonly RememberedMapping[]): RememberedMapping[] {
  const columnsOf = ({ mapping }: RememberedMapping) =>
    Object.values(mapping.columns).filter((column) => column !== null)
  return known
    .filter((row) => columnsOf(row).length > 0 && columnsOf(row).every((header) => headers.includes(header)))
    .sort((a, b) => columnsOf(b).length - columnsOf(a).length || b.usedAt.localeCompare(a.usedAt))
}

/** The mapping that the headers suggest: the template's own words, then others that suppliers use. */
export function guessMapping(headers: readonly string[], from: string): PriceMapping {
  const found: Partial<Record<PriceColumn, string>> = {}
  const isFree = (header: string) => !Object.values(found).includes(header)
  const take = (column: PriceColumn, words: readonly string[]) => {
    const header = headers.find((header) => isFree(header) && words.includes(plain(header)))
    if (header !== undefined && found[column] === undefined) found[column] = header
  }
  for (const column of PRICE_COLUMN_NAMES) take(column, [PRICE_COLUMNS[column]])
  for (const column of PRICE_COLUMN_NAMES) take(column, ALSO[column] ?? [])
  return { columns: found, supplier: null, kind: 'whole', from, decimal: 'auto' }
}
