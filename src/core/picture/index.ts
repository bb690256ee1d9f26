export { canRecolor, markedArea, pixelRecolorer, type PixelBytes, type Recoloring } from './recolor'
export { shareOf, tonesOf, visibleShare, type Tones } from './tones'
