export { readHtmlColors } from './html-reader'
export { cleanSnippet, withCleanSnippets } from './snippet'
