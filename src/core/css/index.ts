export { tokenize, TokenType, type CSSToken } from '@csstools/css-tokenizer'
export { readDeclarations, type FoundDeclaration } from './declarations'
export { textLines, type TextLines } from './lines'
export { isAcceptedValue, isColoredValue, longestChecked } from './grammar'
