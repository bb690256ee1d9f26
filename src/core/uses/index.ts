export { slotDuties, type SlotDuty } from './duties'
export { unreadInPicture, unreadInSnippets, unreadInStylesheet, type Unread } from './unread'
export {
  paintsOf,
  readCssColors,
  readUnreadColors,
  readValueColors,
  type CssContext,
  type UnreadInCss,
  type UnreadReader,
} from './css-reader'
export { noPictures, type PictureReader } from './held-pictures'
export { inSource, joined, Mapping, type SourceText } from './source-text'
export { byteOf, byteOffsets, fromBase64, toBase64 } from './base64'
export type { Escape } from './escape'
export type { FoundInCss } from './found-in-css'
export { readSnippetColors, readSnippetTexts, type SnippetText } from './snippet-reader'
export { usePartsIn, usesIn, usesInFrame, usesInSite, usesOnPage, usesUnder } from './find-uses'
export {
  exchangedDecisions,
  exchangedText,
  textExchanges,
  type ExchangedDecision,
  type TextExchange,
} from './exchanged'
export { labelOfElement } from './places/body-uses'
export { writtenDecision } from './places/decision-use'
export { bandEntry, bandsOf, type BandEntry } from './bands'
export { places, type PlaceReader, type UsePart } from './places'
export { pathOfText } from './places/pictures'
export { placeIds, placeNames, type PlaceId } from './places/names'
export {
  countLooks,
  lookChanges,
  lookKey,
  looksOf,
  mergeLooks,
  reachOf,
  changedByStyle,
  settingReachOf,
  type CountedLook,
  type Look,
  type Reach,
} from './looks'
export { useKey, type Use, type UsePaints, type UsePath } from './use'
