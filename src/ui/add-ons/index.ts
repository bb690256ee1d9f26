export { AddOnsView } from './add-ons-view'
