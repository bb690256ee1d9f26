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
  /** Width and height in CSS pixels; a sheet of the usual size where absent. */
  readonly size?: readonly [width: number, height: number]
  readonly draw: (colors: DrawingColors) => string
}

/** A drawing as a vector picture. */
export function drawingSvg(drawing: Drawing, colors: DrawingColors): string {
  const [width, height] = sizeOf(drawing)
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" width="${width}" height="${height}">${drawing.draw(colors)}</svg>`
}

/** Width and height of a drawing, in CSS pixels. */
export const sizeOf = ({ size = [WIDTH, HEIGHT] }: Drawing) => size
