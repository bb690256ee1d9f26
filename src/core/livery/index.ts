export { clearLivery, type Lack, type Stock } from './clear'
export { fitLivery, type Fitting } from './fit'
export {
  liveryOf,
  liveryParts,
  liverySchema,
  partLabels,
  picturesOfStyles,
  readLivery,
  type Livery,
  type LiveryPart,
} from './livery'
