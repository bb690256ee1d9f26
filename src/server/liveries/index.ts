export { changeLivery, keepLivery } from './kept'
export { listLiveries, liveryFrom } from './sources'
