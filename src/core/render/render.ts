import { withinSite } from '../css'
import { escapeHtml, kindClass, kindOf, tag, type Surroundings } from '../elements'
import { liesOver, spotsOnPage, type Spot } from '../resolve'
import {
  bodyOf,
  childrenOf,
  own,
  walkSection,
  type Body,
  type ColorDecision,
  type DocId,
  type ElementId,
  type Frame,
  type Page,
  type PageId,
  type Section,
  type SiteDocs,
  type SiteElement,
} from '../site'
import { addOnParts, addOnsCss, addOnPages } from './add-ons'
import { fontCss, kindsCss, settingsCss } from './base-css'
import { paletteOfPictures } from './bound-picture'
import { writeRules } from './css-names'
import { bodyRules, sectionRules, styleRules } from './thing-rules'
import type { Whereabouts } from './whereabouts'
import { paletteCss, shadesOnPages } from './palette-css'
import { themesCss } from './theme-css'

/** Where an element is written: on which page, in which section. */
interface Around {
  readonly body: Body
  readonly page: PageId
  readonly where: Whereabouts
  readonly room: number
  readonly isFirst: boolean
  readonly section: Section
}

/** How many elements of its kind come before one in its section. */
function alikeBefore(body: Body, section: Section, { id, kind }: SiteElement): number {
  const alike: ElementId[] = []
  walkSection(body, section, (each) => {
    if (each.kind === kind) alike.push(each.id)
  })
  return Math.max(0, alike.indexOf(id))
}

function writeElement(element: SiteElement, around: Around): string {
  const { body, page, where, room, isFirst, section } = around
  const root: Record<string, string> = {
    class: [kindClass(element.kind), element.style ? `style-${element.style}` : '']
      .filter(Boolean)
      .join(' '),
    'data-el': element.id,
  }
  const surroundings: Surroundings = {
    root,
    children: writeElements(element.children, around),
    asset: (id) => {
      const asset = own(where.pictures, id)
      return asset && { ...asset, url: where.assetUrl(id), narrower: where.narrower?.(asset) ?? [] }
    },
    room,
    isFirst,
    within: {
      kind: section.kind,
      name: section.name,
      before: () => alikeBefore(body, section, element),
    },
    link: where.link,
    isCurrent: (href) => href === `page:${page}`,
    isEdited: !!where.marksWords,
    words: where.marksWords
      ? (...at) => ({ 'data-words': at.join('.') })
      : (): Record<string, string> => ({}),
  }
  return kindOf(element.kind).html(element.content, surroundings)
}

const writeElements = (ids: readonly ElementId[] | undefined, around: Around): string =>
  childrenOf(around.body, ids)
    .map((element) => writeElement(element, around))
    .join('')

const SECTION_TAG = { header: 'header', band: 'section', footer: 'footer' } as const

function writeSection(spot: Spot, page: PageId, where: Whereabouts, isFirst: boolean): string {
  const { docs, doc, section, theme } = spot
  const body = bodyOf(docs, doc)!
  const { contentWidth } = docs.frame.settings
  const room = section.layout === 'split' ? contentWidth / 2 : contentWidth
  const inner = tag(
    'div',
    { class: `inner ${section.layout}${section.centered ? ' center' : ''}` },
    writeElements(section.children, { body, page, where, room, isFirst, section }),
  )
  const hasSwitch = section.kind === 'footer' && docs.frame.edition === 'switch'
  const kind = section.kind === 'band' ? '' : ` ${section.kind}${liesOver(spot) ? ' over' : ''}`
  return tag(
    SECTION_TAG[section.kind],
    { class: `section${kind}`, 'data-theme': theme.id, 'data-section': section.id },
    hasSwitch ? inner + switchHtml(page, where) : inner,
  )
}

/**
 * Visitors change editions by a link to the same page in the other one. Nothing
 * on a page runs, and yet their choice lasts: from a dark page, links lead to
 * dark pages.
 */
function switchHtml(page: PageId, { twin }: Whereabouts): string {
  const other = twin?.edition === 'dark' ? 'Light edition' : 'Dark edition'
  return tag('a', { class: 'edition-switch', href: twin?.href(page) ?? '#' }, other)
}

/** The sections of a page by where they stand in its document: between header and footer is its main part. */
export function inParts<T extends Pick<WrittenSection, 'kind'>>(
  sections: readonly T[],
): { readonly before: readonly T[]; readonly main: readonly T[]; readonly after: readonly T[] } {
  const of = (wanted: Section['kind']) => sections.filter(({ kind }) => kind === wanted)
  return { before: of('header'), main: of('band'), after: of('footer') }
}

export interface WrittenSection {
  readonly doc: DocId
  readonly id: string
  readonly kind: Section['kind']
  readonly html: string
}

/** The sections of a page as HTML, top to bottom, add-ons among them. */
export function renderSections(docs: SiteDocs, page: PageId, where: Whereabouts): WrittenSection[] {
  const spots = spotsOnPage(docs, page)
  const first = spots.findIndex(({ section }) => section.kind === 'band')
  const written = spots.map((spot, i) => ({
    doc: spot.doc,
    id: spot.section.id,
    kind: spot.section.kind,
    html: writeSection(spot, page, where, i <= first),
  }))
  const { above, below, corner } = addOnParts(docs.frame)
  const footer = written.findIndex(({ kind }) => kind === 'footer')
  const foot = footer < 0 ? written.length : footer
  const as = (kind: Section['kind'], parts: typeof above) =>
    parts.map((part) => ({ ...part, kind, doc: 'frame' as const }))
  return [
    ...as('header', above),
    ...written.slice(0, foot),
    ...as('footer', below),
    ...written.slice(foot),
    ...as('footer', corner),
  ]
}

/** Where a file of the site lies, by its name. */
const placeOf = ({ pictures, assetUrl }: Whereabouts) => {
  const ids = new Map(Object.values(pictures).map(({ id, fileName }) => [fileName, id]))
  return (file: string) => {
    const id = ids.get(file)
    return id === undefined ? undefined : assetUrl(id)
  }
}

/** The stylesheet of a site in its layers, each by a name, in the order in which they count. */
export interface SiteCss {
  readonly fonts: string
  readonly palette: string
  readonly settings: string
  readonly themes: string
  readonly kinds: string
  readonly styles: string
  readonly addOns: string
  readonly custom: string
}

/** One layer that all pages share, by its name. `onPages` are the shades that pages refer to. */
const siteLayers: {
  readonly [L in keyof SiteCss]: (
    frame: Frame,
    onPages: readonly ColorDecision[],
    where: Whereabouts,
  ) => string
} = {
  fonts: (frame, _shades, where) => fontCss(frame, where),
  palette: (frame, onPages) => paletteCss(frame, onPages),
  settings: (frame) => settingsCss(frame),
  themes: (frame) => themesCss(frame),
  kinds: () => kindsCss(),
  styles: (frame, _shades, where) =>
    writeRules([...styleRules(frame, where), ...bodyRules(frame.body, frame, where)]),
  addOns: (frame) => addOnsCss(frame),
  custom: (frame, _shades, where) => withinSite(frame.customCss, placeOf(where)),
}

/** `onPages` are the shades that pages refer to: `shadesOnPages` tells them. */
export function renderSiteCss(
  frame: Frame,
  onPages: readonly ColorDecision[],
  where: Whereabouts,
): SiteCss {
  return Object.fromEntries(
    Object.entries(siteLayers).map(([name, write]) => [name, write(frame, onPages, where)]),
  ) as unknown as SiteCss
}

/** What only one page needs: colours set on its elements and sections. */
export function renderPageCss(docs: SiteDocs, page: PageId, where: Whereabouts): string {
  const body = bodyOf(docs, page)
  return writeRules([
    ...sectionRules(docs, page, where),
    ...(body ? bodyRules(body, docs.frame, where) : []),
  ])
}

/** Nothing on a page may run or come from elsewhere. */
export const pagePolicy =
  "default-src 'none'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; font-src 'self'; form-action 'none'; base-uri 'none'"

/** The same for a page that the editor shows in a frame of its own, drawn into from outside or as it comes. */
export const framedPolicy = `${pagePolicy}; frame-ancestors 'self'; sandbox allow-same-origin`

/** What could end a stylesheet inside of a page is written otherwise; CSS reads it the same. */
const withinStyle = (css: string) => css.replaceAll('</', '<\\/')

/** The layers of a page's stylesheet in the order in which they count: those of the site, and the page's own. */
export const pageCssLayers = [
  'fonts',
  'palette',
  'settings',
  'themes',
  'kinds',
  'styles',
  'page',
  'addOns',
  'custom',
] as const

export type PageCssLayer = (typeof pageCssLayers)[number]

/** One layer of a page's stylesheet. */
export const pageCssLayer = (
  layer: PageCssLayer,
  docs: SiteDocs,
  page: Page,
  where: Whereabouts,
): string =>
  layer === 'page'
    ? renderPageCss(docs, page.id, where)
    : siteLayers[layer](docs.frame, shadesOnPages([page]), where)

/** What a layer is made of: where all of it is the same, so is the layer. */
export const layerSources: {
  readonly [L in PageCssLayer]: (docs: SiteDocs, page: Page) => readonly unknown[]
} = {
  fonts: ({ frame, fonts }) => [frame.settings, fonts],
  palette: ({ frame }, { body }) => [
    frame.palette,
    frame.themes,
    frame.styles,
    frame.addOns,
    frame.body,
    body,
  ],
  settings: ({ frame }) => [frame.settings],
  themes: ({ frame }) => [frame.themes, frame.edition],
  kinds: () => [],
  styles: (docs) => [docs.frame.styles, docs.frame.body, docs.pictures, paletteOfPictures(docs)],
  page: ({ frame, pictures }, { body }) => [
    body,
    pictures,
    frame.body,
    frame.themes,
    // A veil over what a header lies on depends on colours.
    frame.palette,
    frame.styles,
    frame.edition,
  ],
  addOns: ({ frame }) => [frame.addOns],
  custom: (docs) => [docs.frame.customCss, docs.pictures, paletteOfPictures(docs)],
}

/** What the sections of a page are written from: where all of it is the same, so are they. */
export function sectionSources(docs: SiteDocs, page: Page): readonly unknown[] {
  const { body, themes, edition, addOns, settings } = docs.frame
  return [
    page,
    docs.pictures,
    paletteOfPictures(docs),
    body,
    themes,
    edition,
    addOns,
    settings.contentWidth,
  ]
}

/** All that colours and shapes one page, in layers. */
export function pageCss(
  docs: SiteDocs,
  page: Page,
  where: Whereabouts,
): Readonly<Record<PageCssLayer, string>> {
  return Object.fromEntries(
    pageCssLayers.map((layer) => [layer, pageCssLayer(layer, docs, page, where)]),
  ) as Readonly<Record<PageCssLayer, string>>
}

/** A page of a site in one text, with its stylesheets in it: what lies elsewhere comes from the editor's server. */
export function renderAlone(docs: SiteDocs, page: Page, where: Whereabouts): string {
  const css = pageCss(docs, page, where)
  const styles = pageCssLayers.map((layer) => tag('style', {}, withinStyle(css[layer])))
  return renderDocument(docs, page, where, []).replace(
    '</head>',
    () => `${styles.join('\n')}\n</head>`,
  )
}

const rootTag = (isDark: boolean) =>
  isDark ? '<html lang="en" data-edition="dark">' : '<html lang="en">'

/** What every published document says of itself; nothing on it may run. */
const headOf = (
  title: string,
  stylesheets: readonly string[],
  icon: string,
  more: readonly string[] = [],
) => [
  tag('meta', { charset: 'utf-8' }),
  tag('meta', { 'http-equiv': 'Content-Security-Policy', content: pagePolicy }),
  tag('meta', { name: 'viewport', content: 'width=device-width, initial-scale=1' }),
  tag('title', {}, escapeHtml(title)),
  ...more,
  tag('link', { rel: 'icon', href: icon }),
  ...stylesheets.map((href) => tag('link', { rel: 'stylesheet', href })),
]

/** Where the icon of a site lies; nowhere, rather than where browsers would look by themselves, where it has none. */
function iconOf({ siteIcon }: Frame, { pictures, assetUrl }: Whereabouts): string {
  const picture = siteIcon && own(pictures, siteIcon.picture)
  return picture ? assetUrl(picture.id) : 'data:,'
}

const documentOf = (root: string, head: readonly string[], body: string) =>
  `<!doctype html>\n${root}\n<head>\n${head.join('\n')}\n</head>\n${body}\n</html>\n`

/** A whole page that stands by itself. */
export function renderDocument(
  docs: SiteDocs,
  page: Page,
  where: Whereabouts,
  stylesheets: readonly string[],
): string {
  const isDark = where.twin?.edition === 'dark'
  const icon = iconOf(docs.frame, where)
  const head = headOf(`${page.title} · ${docs.frame.name}`, stylesheets, icon, [
    tag('meta', { name: 'description', content: page.description }),
    ...(isDark ? [tag('link', { rel: 'canonical', href: where.twin!.href(page.id) })] : []),
  ])
  const { before, main, after } = inParts(renderSections(docs, page.id, where))
  const lines = (sections: readonly WrittenSection[]) => sections.map(({ html }) => html)
  const sections = [
    ...lines(before),
    tag('main', {}, `\n${lines(main).join('\n')}\n`),
    ...lines(after),
  ]
  return documentOf(rootTag(isDark), head, `<body>\n${sections.join('\n')}\n</body>`)
}

/** The pages that add-ons bring along, as whole documents, by their names. */
export const renderAddOnPages = (
  frame: Frame,
  stylesheets: readonly string[],
  where: Whereabouts,
): Array<[name: string, html: string]> =>
  addOnPages(frame).map(({ name, title, html }) => [
    name,
    documentOf(
      rootTag(false),
      headOf(`${title} · ${frame.name}`, stylesheets, iconOf(frame, where)),
      html,
    ),
  ])
