export { cleanSvg, mostSvg } from './svg'
export { readHtmlColors } from './html-reader'
export { readCss, readSvgColors } from './svg-reader'
export { cleanSnippet, losesByCleaning, withCleanSnippets } from './snippet'
