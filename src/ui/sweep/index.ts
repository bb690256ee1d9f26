export { SweepView } from './sweep-view'
