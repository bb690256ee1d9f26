export { decisionHex, distinctFan, paintBackground, themeLook } from './look'
