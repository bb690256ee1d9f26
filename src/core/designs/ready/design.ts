import type { Color } from '../../color'
import { parseColor, toOklch, writeHex } from '../../color'
import { generateThemes } from '../../generate'
import { harmonyPalette } from '../../palette'
import {
  frameSchema,
  frameVersion,
  isBound,
  orderBetween,
  paletteSchema,
  picturesIn,
  siteDocs,
  slotsInOrder,
  type Frame,
  type Page,
  type Palette,
  type SiteDocs,
  type Theme,
} from '../../site'
import type { Settings } from '../../traits'
import { drawingColors, drawingOf, drawingSvg, type Drawing } from '../drawings'
import type { DesignId } from '../names'
import { body, page, type SectionDraft } from '../write'
import { palette, themeSet } from '../write-frame'

/** A page of a design; the first one is the home page. */
export interface PageDraft {
  readonly id: string
  readonly title: string
  readonly description: string
  readonly sections: readonly SectionDraft[]
}

/** Names the theme on the ground of a slot; where none stands on it, the one that is nearest. */
export type ThemeOn = (slot: string) => string

/** A ready-made site of ours to begin from. */
export interface Design {
  readonly id: DesignId
  /** The drawing that stands beside its name. */
  readonly logo: string
  readonly slots: ReadonlyArray<readonly [id: string, name: string, value: string]>
  readonly settings: Settings
  readonly header: (on: ThemeOn, name: string) => readonly SectionDraft[]
  readonly pages: (on: ThemeOn) => readonly PageDraft[]
}

/** A picture that is drawn for a site: what its record says but for its file, and its text. */
export interface Drawn {
  readonly drawing: Drawing
  readonly svg: string
}

/** A site as it is begun from a design. */
export interface DesignSite {
  readonly docs: SiteDocs
  readonly drawn: readonly Drawn[]
}

const lightness = (value: string) => {
  const parsed = parseColor(value)
  return parsed.ok ? toOklch(parsed.color).l : 0
}

/** As many colours as wanted: those given, and where they are fewer, what a harmony of the first has where they leave gaps. */
function completed(colors: readonly Color[], count: number): string[] {
  const made = colors.slice(0, count).map(writeHex)
  const more = harmonyPalette(colors[0]!, 'single', count).map(writeHex)
  const gap = (hex: string) =>
    Math.min(...made.map((each) => Math.abs(lightness(each) - lightness(hex))))
  while (made.length < count) {
    const next = more.reduce((best, hex) => (gap(hex) > gap(best) ? hex : best))
    made.push(next)
    more.splice(more.indexOf(next), 1)
  }
  return made
}

/** What slots are called whose colours are somebody's own, from the lightest to the darkest. */
const NAMES = ['Ground', 'Soft', 'Light', 'Middle', 'Deep', 'Ink']
const nameAt = (index: number, count: number): string =>
  NAMES[Math.round((index * (NAMES.length - 1)) / Math.max(1, count - 1))]!

/** The palette of a design, or one of somebody's own colours, which take its slots by lightness. */
function paletteOf({ slots }: Design, colors: readonly Color[]): Palette {
  if (colors.length === 0) return paletteSchema.parse(palette(slots))
  const count = slots.length
  const made = completed(colors, count).sort((a, b) => lightness(b) - lightness(a))
  const byLightness = [...slots].sort((a, b) => lightness(b[2]) - lightness(a[2]))
  const own = new Map(byLightness.map(([id], i) => [id, [nameAt(i, count), made[i]!] as const]))
  return paletteSchema.parse(palette(slots.map(([id]) => [id, ...own.get(id)!])))
}

function themeOn(own: Palette, themes: readonly Theme[]): ThemeOn {
  const value = (slot: string) => {
    const parsed = parseColor(own.slots[slot as keyof typeof own.slots]?.value ?? '')
    return parsed.ok ? toOklch(parsed.color).l : 0.5
  }
  const groundOf = ({ roles }: Theme) =>
    isBound(roles.ground) ? (roles.ground.slot as string) : ''
  return (slot) => {
    const exact = themes.find((theme) => {
      const { ground } = theme.roles
      return isBound(ground) && ground.slot === slot && !ground.shade
    })
    const nearest = [...themes].sort(
      (a, b) =>
        Math.abs(value(groundOf(a)) - value(slot)) - Math.abs(value(groundOf(b)) - value(slot)),
    )[0]!
    return (exact ?? nearest).id
  }
}

function frameOf(design: Design, name: string, own: Palette, themes: readonly Theme[]): Frame {
  const on = themeOn(own, themes)
  return frameSchema.parse({
    schema: frameVersion,
    name,
    palette: own,
    edition: 'light',
    themes: themeSet(themes),
    styles: {},
    settings: design.settings,
    body: body('frame', design.header(on, name)),
    customCss: '',
    addOns: [],
    studies: [],
  })
}

/** All of a site of a design but its name. */
interface Made {
  readonly own: Palette
  readonly themes: readonly Theme[]
  readonly pages: readonly Page[]
  readonly drawn: readonly Drawn[]
}

function make(design: Design, given: readonly Color[]): Made {
  const own = paletteOf(design, given)
  const themes = generateThemes({ palette: own, settings: design.settings })
  const colors = drawingColors(
    slotsInOrder(own).flatMap(({ value }) => {
      const parsed = value === null ? undefined : parseColor(value)
      return parsed?.ok ? [parsed.color] : []
    }),
  )
  let last: string | null = null
  const pages = design.pages(themeOn(own, themes)).map(({ id, title, description, sections }) => ({
    ...page(id, title, description, sections),
    order: (last = orderBetween(last, null)),
  }))
  const shown = new Set([design.logo, ...pages.flatMap((each) => picturesIn(each).ids)])
  const drawn = [...shown].filter(Boolean).map((id) => {
    const drawing = drawingOf(id)
    if (!drawing) throw new Error(`no drawing ${id}`)
    return { drawing, svg: drawingSvg(drawing, colors) }
  })
  return { own, themes, pages, drawn }
}

/** Designs in their own colours, made once: those are what most sites begin with. */
const made = new Map<DesignId, Made>()

function madeOf(design: Design, given: readonly Color[]): Made {
  if (given.length) return make(design, given)
  const known = made.get(design.id)
  if (known) return known
  const fresh = make(design, [])
  made.set(design.id, fresh)
  return fresh
}

/** A site of a design, in its own colours or in somebody's. Its themes are generated. */
export function designSite(design: Design, name: string, given: readonly Color[] = []): DesignSite {
  const { own, themes, pages, drawn } = madeOf(design, given)
  return { docs: siteDocs(frameOf(design, name, own, themes), pages), drawn }
}
