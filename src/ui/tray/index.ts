export { Tray } from './tray'
