export { cleanSvg, mostSvg } from './svg'
export { readHtmlColors } from './html-reader'
export { readCss, readSvgColors, readUnreadInAddress, readUnreadInSvg } from './svg-reader'
export { cleanSnippet, losesByCleaning, withCleanSnippets } from './snippet'
