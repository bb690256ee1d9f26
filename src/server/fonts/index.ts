export { ownFontsOf } from './font-files'
export { readFontFile, takeFont } from './take-font'
