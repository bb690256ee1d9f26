export { assetUrlOf, decisionHex, paintBackground, themeLook } from './look'
