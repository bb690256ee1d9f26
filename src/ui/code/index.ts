export { CodeWithColors } from './code-with-colors'
export type { FaultInText } from './code-field'
