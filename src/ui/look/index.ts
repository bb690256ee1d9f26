export { assetUrlOf, decisionHex, distinctFan, paintBackground, themeLook } from './look'
