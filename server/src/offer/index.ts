export { offerOfRow, present, rowOfOffer } from './rows.ts'
