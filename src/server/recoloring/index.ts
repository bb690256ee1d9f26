export { picturesHolding } from './holding'
export { recoloredPicture } from './recolored'
