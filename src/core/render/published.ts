import {
  canonicalJson,
  narrowerName,
  own,
  pagesInOrder,
  picturesIn,
  type ColorDecision,
  type Fonts,
  type Frame,
  type Page,
  type Pictures,
  type SiteDocs,
  widthsOf,
} from '../site'
import { ownFontFiles } from './fonts'
import { shadesOnPages } from './palette-css'
import { addOnParts } from './add-ons'
import { renderAddOnPages, renderDocument, renderPageCss, renderSiteCss } from './render'
import type { Whereabouts } from './whereabouts'

/** What published pages say of each other: where each lies, by its id. */
export type PagePaths = Readonly<Record<string, string>>

/** The folder of the dark pages, where visitors switch between two editions. */
const DARK = 'dark/'

/** The folder of the pages that add-ons bring along. */
const ADD_ONS = 'add-ons/'

type EditionSide = 'light' | 'dark'

/** Where things lie, seen from a page of an edition: dark pages stand one folder down, among dark pages. */
function whereabouts(
  frame: Frame,
  pictures: Pictures,
  paths: PagePaths,
  edition: EditionSide = 'light',
  fonts: Fonts = {},
): Whereabouts {
  const up = edition === 'dark' ? '../' : ''
  const file = (id: string) => {
    const path = own(paths, id)
    return path && `${path}.html`
  }
  const other = edition === 'dark' ? up : DARK
  return {
    pictures,
    assetUrl: (id) => `${up}assets/${own(pictures, id)?.fileName ?? id}`,
    fontUrl: (name) => `${up}fonts/${name}`,
    fonts,
    ownFont: (font) =>
      ownFontFiles(font).map(({ name, range }) => ({
        url: `${up}fonts/${name}`,
        ...(range ? { range } : {}),
      })),
    narrower: (picture) =>
      widthsOf(picture).map((width) => ({
        width,
        url: `${up}assets/${narrowerName(picture.fileName, width)}`,
      })),
    link(href) {
      const addOn = /^add-on:([a-z-]+)$/.exec(href)?.[1]
      if (addOn) return `${up}${ADD_ONS}${addOn}.html`
      return href.startsWith('page:') ? (file(href.slice(5)) ?? '#') : href
    },
    ...(frame.edition === 'switch'
      ? { twin: { edition, href: (page) => `${other}${file(page)}` } }
      : {}),
  }
}

/** What all pages share, by name: the stylesheets, and the pages of add-ons. `onPages` are the shades that pages refer to. */
export function sharedFiles(
  frame: Frame,
  onPages: readonly ColorDecision[],
  { pictures, fonts }: Pick<SiteDocs, 'pictures' | 'fonts'>,
  paths: PagePaths,
): Map<string, string> {
  // Pages of add-ons lie one folder down, as the dark ones do.
  const below = whereabouts(frame, pictures, paths, 'dark')
  const css = renderSiteCss(frame, onPages, whereabouts(frame, pictures, paths, 'light', fonts))
  const layers = [
    css.fonts,
    css.palette,
    css.settings,
    css.themes,
    css.kinds,
    css.styles,
    css.addOns,
  ]
  const files = new Map([['site.css', layers.filter(Boolean).join('\n')]])
  if (css.custom) files.set('custom.css', css.custom)
  for (const [name, html] of renderAddOnPages(frame, ['../site.css'], below)) {
    files.set(`${ADD_ONS}${name}.html`, html)
  }
  return files
}

/** The files of one page, by name: its HTML in one edition or two, and the stylesheet that it alone needs. */
export function pageFiles(
  docs: SiteDocs,
  page: Page,
  pictures: Pictures,
  paths: PagePaths,
): Map<string, string> {
  const { frame } = docs
  const where = whereabouts(frame, pictures, paths)
  const files = new Map<string, string>()
  const css = renderPageCss(docs, page.id, where)
  if (css) files.set(`${page.path}.css`, css)
  const sheets = [
    'site.css',
    ...(css ? [`${page.path}.css`] : []),
    ...(frame.customCss.trim() ? ['custom.css'] : []),
  ]
  const name = `${page.path}.html`
  files.set(name, renderDocument(docs, page, where, sheets))
  if (!where.twin) return files
  const fromDark = whereabouts(frame, pictures, paths, 'dark')
  const above = sheets.map((sheet) => `../${sheet}`)
  return files.set(`${DARK}${name}`, renderDocument(docs, page, fromDark, above))
}

/**
 * What the files of pages depend on beside the page itself, as text: two sites
 * with the same face write the same files for the same page. A slot's value is
 * not in it, unless a header lets a section through, which asks for colours.
 */
export function pageFace(frame: Frame, pictures: Pictures, paths: PagePaths): string {
  const { name, edition, body, palette, themes, styles, settings } = frame
  const blends = Object.values(body.sections).some(({ blend }) => blend)
  const shared = new Set(picturesIn(frame).ids)
  return canonicalJson({
    name,
    edition,
    body,
    addOns: addOnParts(frame),
    siteIcon: frame.siteIcon ?? null,
    paths,
    contentWidth: settings.contentWidth,
    styles: blends ? styles : {},
    hasCustom: frame.customCss.trim() !== '',
    themes: blends ? themes : Object.keys(themes.byId).sort(),
    palette: blends ? palette.slots : Object.keys(palette.slots).sort(),
    pictures: [...shared].map((id) => own(pictures, id) ?? id),
  })
}

/** Every text file of a published site whose records are all at hand, by name. */
export function renderSite(docs: SiteDocs): Map<string, string> {
  const pages = pagesInOrder(docs)
  const paths = Object.fromEntries(pages.map(({ id, path }) => [id, path]))
  const { frame, pictures } = docs
  const files = sharedFiles(frame, shadesOnPages(pages), docs, paths)
  for (const page of pages) {
    for (const [name, text] of pageFiles(docs, page, pictures, paths)) files.set(name, text)
  }
  return files
}
