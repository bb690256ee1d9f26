import { isAbove, withWholes, type Stored, type UpgradeStep } from './upgrade-steps'

interface Face {
  readonly family: string
  readonly weight: number
}

interface OldType {
  readonly heading: Face
  readonly body: Face
  readonly size: number
}

interface OldLayout {
  readonly contentWidth: number
  readonly sectionSpace: number
  readonly sideSpace: number
  readonly buttonRadius: number
  readonly buttonLine: number
  readonly buttonPad: readonly [number, number]
  readonly cardRadius: number
  readonly cardLine: number
  readonly pictureRadius: number
  readonly fieldRadius: number
}

/** The sizes that headings had before there was a scale, on wide screens and on phones. */
const SIZES = [
  ['heading-1', 'Title', { px: 64, narrow: 36.8 }],
  ['heading-2', 'Heading', { px: 36.8, narrow: 25.6 }],
  ['heading-3', 'Small heading', { px: 20 }],
] as const

/** Headings of a site keep their sizes, as what their styles decide. */
function withSizes(styles: Stored): Stored {
  const sized = SIZES.flatMap(([id, name, size]) =>
    id in styles
      ? []
      : [[id, { id, name, kind: 'heading', looks: { size: { rest: size } } }] as const],
  )
  return { ...styles, ...Object.fromEntries(sized) }
}

const withSettings = ({ type, layout, ...frame }: Stored): Stored => {
  const { heading, body, size } = type as OldType
  const old = layout as OldLayout
  const [block, inline] = old.buttonPad
  return {
    ...frame,
    styles: withSizes(frame.styles as Stored),
    settings: {
      titleFace: heading.family,
      titleWeight: heading.weight,
      headingFace: heading.family,
      headingWeight: heading.weight,
      bodyFace: body.family,
      bodyWeight: body.weight,
      interactiveFace: body.family,
      interactiveWeight: 650,
      textSize: size,
      scale: 1.3,
      narrowScale: 1.165,
      textLeading: 1.6,
      measure: 62,
      contentWidth: old.contentWidth,
      sectionSpace: old.sectionSpace,
      sideSpace: old.sideSpace,
      density: 1,
      buttonCorner: old.buttonRadius,
      buttonLine: old.buttonLine,
      buttonPad: { block, inline },
      buttonCase: 'none',
      buttonSpacing: 0,
      cardCorner: old.cardRadius,
      cardLine: old.cardLine,
      cardPad: { block: 22.4, inline: 22.4 },
      pictureCorner: old.pictureRadius,
      fieldCorner: old.fieldRadius,
      fieldLine: 1,
    },
  }
}

/** Typefaces and shapes of a whole site lie flat, each under a name. */
export const settingsStep: UpgradeStep = {
  record: withSettings,
  change(change) {
    if (change.path.length === 0) return withWholes(change, withSettings)
    // Nothing could change them before; one that does cannot be told in today's words.
    return isAbove(change, 'type', '*', '*') || isAbove(change, 'layout', '*', '*')
      ? undefined
      : change
  },
}
