export { ExchangeView } from './exchange-view'
