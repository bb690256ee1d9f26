import { readFile } from 'node:fs/promises'
import path from 'node:path'
import { zipSync } from 'fflate'
import { done, refused, type Publication, type Result } from '@/core/payloads'
import {
  fontsOf,
  renderDocument,
  renderPageCss,
  renderSiteCss,
  type Whereabouts,
} from '@/core/render'
import { own, type Asset, type SiteDocs } from '@/core/site'
import type { Actor } from './actor'
import { readAsset } from './assets'
import { models } from './database/models'
import { loadDocs, siteFor } from './sites'
import { fileStore } from './storage'

type Files = Map<string, Uint8Array | string>

/** Where the fonts that ship with us lie. */
const fontFolder = () => path.join(process.cwd(), 'public', 'fonts')

/** The folder of the dark pages, where visitors switch between two editions. */
const DARK = 'dark/'

/** Where things lie, seen from a page of an edition: dark pages stand one folder down, among dark pages. */
function whereabouts(
  docs: SiteDocs,
  assets: Readonly<Record<string, Asset>>,
  edition: 'light' | 'dark' = 'light',
): Whereabouts {
  const up = edition === 'dark' ? '../' : ''
  const file = (id: string) => {
    const page = own(docs.pages, id)
    return page && `${page.path}.html`
  }
  const other = edition === 'dark' ? up : DARK
  return {
    assets,
    assetUrl: (id) => `${up}assets/${own(assets, id)?.fileName ?? id}`,
    fontUrl: (name) => `${up}fonts/${name}`,
    link: (href) => (href.startsWith('page:') ? (file(href.slice(5)) ?? '#') : href),
    ...(docs.frame.edition === 'switch'
      ? { twin: { edition, href: (page) => `${other}${file(page)}` } }
      : {}),
  }
}

/** Every text file of the published site, by name. */
export function renderSite(
  docs: SiteDocs,
  assets: Readonly<Record<string, Asset>>,
): Map<string, string> {
  const files = new Map<string, string>()
  const where = whereabouts(docs, assets)
  const fromDark = whereabouts(docs, assets, 'dark')
  const pages = Object.values(docs.pages)
  const css = renderSiteCss(docs.frame, pages, where)
  const layers = [css.fonts, css.palette, css.settings, css.themes, css.kinds, css.styles]
  files.set('site.css', layers.filter(Boolean).join('\n'))
  if (css.custom) files.set('custom.css', css.custom)
  for (const page of pages) {
    const own = renderPageCss(docs, page.id, where)
    if (own) files.set(`${page.path}.css`, own)
    const sheets = [
      'site.css',
      own ? `${page.path}.css` : '',
      css.custom ? 'custom.css' : '',
    ].filter(Boolean)
    const name = `${page.path}.html`
    files.set(name, renderDocument(docs, page, where, sheets))
    if (!where.twin) continue
    const above = sheets.map((sheet) => `../${sheet}`)
    files.set(`${DARK}${name}`, renderDocument(docs, page, fromDark, above))
  }
  return files
}

async function gatherFiles(actor: Actor, siteId: string, docs: SiteDocs): Promise<Files> {
  const rows = await models().Asset.findAll({ where: { siteId } })
  const assets = Object.fromEntries(rows.map(({ id, details }) => [id, details]))
  const files: Files = new Map(renderSite(docs, assets))
  for (const { id, details } of rows) {
    const data = await readAsset(actor, siteId, id)
    if (data) files.set(`assets/${details.fileName}`, data.data)
  }
  const { heading, body } = docs.frame.type
  for (const { file } of fontsOf([heading.family, body.family])) {
    files.set(`fonts/${file}`, await readFile(path.join(fontFolder(), file)))
  }
  return files
}

/**
 * Publishes a site as static files. They are written beside those that are
 * served and take their place in one step, so a visitor never meets a mixture.
 */
export async function publish(actor: Actor, siteId: string): Promise<Result<Publication>> {
  const found = await siteFor(actor, 'publish', siteId)
  if (!found.ok) return found
  const site = found.value
  const docs = await loadDocs(site, 'all')
  const files = await gatherFiles(actor, siteId, docs)
  const { Publication } = models()
  const before = await Publication.findByPk(siteId)
  const storageKey = `published/${siteId}/${site.revision}-${Date.now()}`
  const store = fileStore()
  for (const [name, data] of files) await store.put(`${storageKey}/${name}`, data)
  const createdAt = new Date()
  await Publication.upsert({
    siteId,
    revision: site.revision,
    storageKey,
    files: [...files.keys()],
    createdAt,
  })
  if (before) await store.removeAll(before.storageKey)
  return done({
    address: `/published/${siteId}/`,
    revision: site.revision,
    files: files.size,
    at: createdAt.toISOString(),
  })
}

export async function publicationOf(
  actor: Actor,
  siteId: string,
): Promise<Result<Publication | null>> {
  const found = await siteFor(actor, 'read', siteId)
  if (!found.ok) return found
  const row = await models().Publication.findByPk(siteId)
  if (!row) return done(null)
  return done({
    address: `/published/${siteId}/`,
    revision: row.revision,
    files: row.files.length,
    at: row.createdAt.toISOString(),
  })
}

/** The published site as one archive. */
export async function publishedZip(actor: Actor, siteId: string): Promise<Result<Uint8Array>> {
  const found = await siteFor(actor, 'read', siteId)
  if (!found.ok) return found
  const row = await models().Publication.findByPk(siteId)
  if (!row) return refused({ code: 'not-published' })
  const store = fileStore()
  const entries: Record<string, Uint8Array> = {}
  for (const name of row.files) {
    const data = await store.get(`${row.storageKey}/${name}`)
    if (data) entries[`${siteId}/${name}`] = new Uint8Array(data)
  }
  return done(zipSync(entries, { level: 6 }))
}

/** One file of a published site, for anybody who asks: published is public. */
export async function publishedFile(siteId: string, name: string): Promise<Uint8Array | undefined> {
  const row = await models().Publication.findByPk(siteId)
  const wanted = name === '' ? 'index.html' : name
  if (!row?.files.includes(wanted)) return undefined
  return fileStore().get(`${row.storageKey}/${wanted}`)
}
