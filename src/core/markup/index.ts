export { cleanSvg, mostSvg } from './svg'
export { readHtmlColors } from './html-reader'
export { cleanSnippet, losesByCleaning, withCleanSnippets } from './snippet'
