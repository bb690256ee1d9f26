export { HistoryView } from './history-view'
