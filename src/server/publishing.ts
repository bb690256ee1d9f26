import { randomUUID } from 'node:crypto'
import { readFile } from 'node:fs/promises'
import path from 'node:path'
import { zipSync } from 'fflate'
import { QueryTypes, type Transaction } from 'sequelize'
import { done, refused, type Publication, type Result } from '@/core/payloads'
import {
  fontsOf,
  renderDocument,
  renderPageCss,
  renderSiteCss,
  type Whereabouts,
} from '@/core/render'
import { own, textFault, type Asset, type SiteDocs } from '@/core/site'
import type { Actor } from './actor'
import { models, type AssetRow, type PublicationRow } from './database/models'
import { readWhole, siteFor } from './sites'
import { fileStore } from './storage'
import { inTurn } from './turns'

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

/** What a publication is made from, all of one moment. */
interface Source {
  readonly revision: number
  readonly docs: SiteDocs
  readonly assets: ReadonlyArray<Pick<AssetRow, 'id' | 'details' | 'storageKey'>>
}

const sourceOf = (actor: Actor, siteId: string): Promise<Result<Source>> =>
  readWhole(actor, 'publish', siteId, async ({ revision }, docs, transaction) => {
    const assets = await models().Asset.findAll({ where: { siteId }, transaction })
    return done({ revision, docs, assets })
  })

async function gatherFiles({ docs, assets }: Source): Promise<Files> {
  const details = Object.fromEntries(assets.map((asset) => [asset.id, asset.details]))
  const files: Files = new Map(renderSite(docs, details))
  const store = fileStore()
  for (const { details: own, storageKey } of assets) {
    const data = await store.get(storageKey)
    if (data) files.set(`assets/${own.fileName}`, data)
  }
  const { heading, body } = docs.frame.type
  for (const { file } of fontsOf([heading.family, body.family])) {
    files.set(`fonts/${file}`, await readFile(path.join(fontFolder(), file)))
  }
  return files
}

const folderOf = (siteId: string) => `published/${siteId}`

/** Whoever publishes a site, or tidies up after it, does so alone, on however many servers. */
async function alone(siteId: string, transaction: Transaction, wait = true): Promise<boolean> {
  const [row] = await models().sequelize.query<{ alone: boolean | '' }>(
    `select ${wait ? 'pg_advisory_xact_lock' : 'pg_try_advisory_xact_lock'}(hashtext(:key)) as alone`,
    { replacements: { key: folderOf(siteId) }, type: QueryTypes.SELECT, transaction },
  )
  return wait || row?.alone === true
}

/** Takes away what runs that failed or were killed have left of a site, and what was published before. */
async function tidy(siteId: string, kept: string | undefined): Promise<void> {
  const store = fileStore()
  for (const name of await store.foldersIn(folderOf(siteId))) {
    const key = `${folderOf(siteId)}/${name}`
    if (key !== kept) await store.removeAll(key)
  }
}

/** Tidies up after every site, where nobody is publishing it just now; done when the application is made ready. */
export async function tidyPublications(): Promise<void> {
  for (const siteId of await fileStore().foldersIn('published')) {
    await models().sequelize.transaction(async (transaction) => {
      if (!(await alone(siteId, transaction, false))) return
      const row = await models().Publication.findByPk(siteId, { transaction })
      await tidy(siteId, row?.storageKey)
    })
  }
}

/** Writes the files of a site into a folder of their own; one that cannot be finished is taken away again. */
async function writeFiles(folder: string, files: Files): Promise<void> {
  const store = fileStore()
  try {
    for (const [name, data] of files) await store.put(`${folder}/${name}`, data)
  } catch (error) {
    await store.removeAll(folder).catch(() => undefined)
    throw error
  }
}

/**
 * Publishes a site as static files, all of one moment. They are written beside
 * those that are served and take their place in one step, so a visitor never
 * meets a mixture, and a run that fails leaves what was published before. One
 * site at a time on a server: a run holds one connection and asks for another.
 */
export function publish(actor: Actor, siteId: string): Promise<Result<Publication>> {
  return inTurn('publish', async () => {
    const allowed = await siteFor(actor, 'publish', siteId)
    if (!allowed.ok) return allowed
    const { Publication, sequelize } = models()
    const result = await sequelize.transaction(async (transaction) => {
      await alone(siteId, transaction)
      const source = await sourceOf(actor, siteId)
      if (!source.ok) return source
      const before = await Publication.findByPk(siteId, { transaction })
      await tidy(siteId, before?.storageKey)
      const files = await gatherFiles(source.value)
      const { revision } = source.value
      const storageKey = `${folderOf(siteId)}/${revision}-${randomUUID()}`
      await writeFiles(storageKey, files)
      const createdAt = new Date()
      const names = [...files.keys()]
      await Publication.upsert(
        { siteId, revision, storageKey, files: names, createdAt },
        { transaction },
      )
      return done({
        ...publicationEntry({ siteId, revision, files: names, createdAt }),
        storageKey,
      })
    })
    if (!result.ok) return result
    const { storageKey, ...publication } = result.value
    await tidy(siteId, storageKey)
    return done(publication)
  })
}

/** Where published sites are served: on an origin of their own, where the application has been given one. */
const publishedOrigin = () => process.env.EASEL_PUBLISHED ?? ''

function publicationEntry({
  siteId,
  revision,
  files,
  createdAt,
}: Pick<PublicationRow, 'siteId' | 'revision' | 'files'> & {
  readonly createdAt: Date
}): Publication {
  return {
    address: `${publishedOrigin()}/published/${siteId}/`,
    revision,
    files: files.length,
    at: createdAt.toISOString(),
  }
}

export async function publicationOf(
  actor: Actor,
  siteId: string,
): Promise<Result<Publication | null>> {
  const found = await siteFor(actor, 'read', siteId)
  if (!found.ok) return found
  const row = await models().Publication.findByPk(siteId)
  return done(row && publicationEntry(row))
}

/** The published site as one archive; none where a file of it is gone. */
export async function publishedZip(actor: Actor, siteId: string): Promise<Result<Uint8Array>> {
  const found = await siteFor(actor, 'read', siteId)
  if (!found.ok) return found
  const row = await models().Publication.findByPk(siteId)
  if (!row) return refused({ code: 'not-published' })
  const store = fileStore()
  const entries: Record<string, Uint8Array> = {}
  for (const name of row.files) {
    const data = await store.get(`${row.storageKey}/${name}`)
    if (!data) return refused({ code: 'publication-gone' })
    entries[`${siteId}/${name}`] = new Uint8Array(data)
  }
  return done(zipSync(entries, { level: 6 }))
}

/** One file of a published site, for anybody who asks: published is public. */
export async function publishedFile(siteId: string, name: string): Promise<Uint8Array | undefined> {
  if (textFault([siteId, name])) return undefined
  const wanted = name === '' ? 'index.html' : name
  const find = async () => {
    const row = await models().Publication.findByPk(siteId)
    return row?.files.includes(wanted) ? fileStore().get(`${row.storageKey}/${wanted}`) : undefined
  }
  // Between the two questions another publication may have taken this one's place.
  return (await find()) ?? find()
}
