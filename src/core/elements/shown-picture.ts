/** A picture as a page shows it. */
export interface ShownPicture {
  readonly url: string
  readonly width: number
  readonly height: number
  readonly alt: string
  /** The point that stays in sight where it is cut, in hundredths of width and height. */
  readonly focus?: { readonly x: number; readonly y: number }
  /** The same in narrower widths, in pixels. */
  readonly narrower: ReadonlyArray<{ readonly url: string; readonly width: number }>
}
