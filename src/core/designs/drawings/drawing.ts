import { HEIGHT, WIDTH } from './shapes'

/** The colours that a drawing is made in, as CSS colours: from the lightest to the darkest, and one that stands out. */
export interface DrawingColors {
  readonly pale: string
  readonly soft: string
  readonly mid: string
  readonly strong: string
  readonly deep: string
  readonly ink: string
}

/** A picture of ours, drawn anew in the colours of each site. */
export interface Drawing {
  readonly id: string
  /** What it shows. */
  readonly alt: string
  readonly draw: (colors: DrawingColors) => string
}

/** A drawing as a vector picture. */
export const drawingSvg = ({ draw }: Drawing, colors: DrawingColors): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${WIDTH} ${HEIGHT}" width="${WIDTH}" height="${HEIGHT}">${draw(colors)}</svg>`

export { HEIGHT as drawingHeight, WIDTH as drawingWidth }
