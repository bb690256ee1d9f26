export { within, type Point, type Rect, type Size } from './box'
export {
  angleTowards,
  gradientCenter,
  placeAlong,
  pointAlong,
  stretchesIn,
  type GradientWay,
  type Stretch,
} from './gradient'
export { laid, shownIn, type PictureWay } from './picture'
