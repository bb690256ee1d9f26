export { brandSheetPdf, copyPalette, sitesToCarryTo } from './palettes'
export { listShares, readShare, revokeShare, sharePalette } from './shares'
