import { colorOf } from '@/core/color'
import { emptySite } from '@/core/designs'
import { designNames } from '@/core/designs/names'
import { designs, designSite, type DesignSite, type Drawn } from '@/core/designs/ready'
import { drawingHeight, drawingWidth } from '@/core/designs/drawings'
import type { BeginRequest } from '@/core/payloads'
import { inEditor, renderAlone } from '@/core/render'
import { homePath, pictureSchema, pictureVersion, siteDocs, type SiteDocs } from '@/core/site'
import { hashOf } from '../records'
import { fileStore } from '../storage'

type Wanted = Extract<BeginRequest['from'], { readonly design: string }>

const nameOf = (design: string) => designNames.find(({ id }) => id === design)?.name ?? design

const colorsOf = ({ colors = [] }: Wanted) => colors.flatMap((text) => colorOf(text) ?? [])

const pictureOf = ({ drawing: { id, alt }, svg }: Drawn) =>
  pictureSchema.parse({
    schema: pictureVersion,
    id,
    file: hashOf(svg),
    fileName: `${id}.svg`,
    mediaType: 'image/svg+xml',
    width: drawingWidth,
    height: drawingHeight,
    alt,
  })

function withPictures({ docs, drawn }: DesignSite): SiteDocs {
  return siteDocs(docs.frame, Object.values(docs.pages), drawn.map(pictureOf))
}

/** A site of a design with its pictures in the file store; undefined where there is no such design. */
export async function designDocs(wanted: Wanted, name: string): Promise<SiteDocs | undefined> {
  if (wanted.design === 'empty') return emptySite(name, colorsOf(wanted)[0])
  const design = designs.find(({ id }) => id === wanted.design)
  if (!design) return undefined
  const site = designSite(design, name, colorsOf(wanted))
  const store = fileStore()
  await Promise.all(site.drawn.map(({ svg }) => store.put(hashOf(svg), svg)))
  return withPictures(site)
}

/** The home page of a design in one text, its drawings in it: as a site of it would begin. */
export function designPicture(wanted: Wanted, name?: string): string | undefined {
  const design = designs.find(({ id }) => id === wanted.design)
  if (!design && wanted.design !== 'empty') return undefined
  const site: DesignSite = design
    ? designSite(design, name ?? nameOf(design.id), colorsOf(wanted))
    : { docs: emptySite(name ?? 'Your site', colorsOf(wanted)[0]), drawn: [] }
  const docs = withPictures(site)
  const home = Object.values(docs.pages).find(({ path }) => path === homePath)
  if (!home) return undefined
  const texts = new Map<string, string>(site.drawn.map(({ drawing, svg }) => [drawing.id, svg]))
  return renderAlone(docs, home, {
    ...inEditor('design', docs.pictures),
    marksWords: false,
    assetUrl: (id) => `data:image/svg+xml,${encodeURIComponent(texts.get(id) ?? '')}`,
  })
}
