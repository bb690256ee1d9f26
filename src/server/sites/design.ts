import sharp from 'sharp'
import { colorOf } from '@/core/color'
import { emptySite } from '@/core/designs'
import { withFonts } from '@/core/designs/font-pairs'
import { designNames } from '@/core/designs/names'
import { designs, designSite, type DesignSite, type Drawn } from '@/core/designs/ready'
import { sizeOf } from '@/core/designs/drawings'
import type { BeginRequest } from '@/core/payloads'
import { inEditor, renderAlone } from '@/core/render'
import {
  homePath,
  pictureSchema,
  pictureVersion,
  siteDocs,
  type Picture,
  type SiteDocs,
} from '@/core/site'
import { hashOf, keepReady } from '../records'
import { fileStore } from '../storage'

type Wanted = Extract<BeginRequest['from'], { readonly design: string }>

const nameOf = (design: string) => designNames.find(({ id }) => id === design)?.name ?? design

const colorsOf = ({ colors = [] }: Wanted) => colors.flatMap((text) => colorOf(text) ?? [])

function pictureOf({ drawing, svg }: Drawn): Picture {
  const [width, height] = sizeOf(drawing)
  return pictureSchema.parse({
    schema: pictureVersion,
    id: drawing.id,
    file: hashOf(svg),
    fileName: `${drawing.id}.svg`,
    mediaType: 'image/svg+xml',
    width,
    height,
    alt: drawing.alt,
  })
}

/** Side of a logo in pixels, for where no vector is taken. */
const LOGO_PIXELS = 512
/** Logos of pixels by their vector, made once: designs in their own colours are begun most. */
const logos = new Map<string, Promise<Buffer>>()
const MOST_LOGOS = 100

function logoOfPixels(svg: string): Promise<Buffer> {
  const known = logos.get(svg)
  if (known) return known
  const scaled = svg.replace(
    / width="\d+" height="\d+"/,
    ` width="${LOGO_PIXELS}" height="${LOGO_PIXELS}"`,
  )
  const made = sharp(Buffer.from(scaled)).png().toBuffer()
  if (logos.size >= MOST_LOGOS) logos.clear()
  logos.set(svg, made)
  return made
}

/** The logo of a design once more, in pixels, with its bytes. */
async function pixelLogo({ drawing, svg }: Drawn): Promise<readonly [Picture, Buffer]> {
  const data = await logoOfPixels(svg)
  const picture = pictureSchema.parse({
    schema: pictureVersion,
    id: `${drawing.id}-pixels`,
    file: hashOf(data),
    fileName: `${drawing.id}-pixels.png`,
    mediaType: 'image/png',
    width: LOGO_PIXELS,
    height: LOGO_PIXELS,
    alt: drawing.alt,
  })
  return [picture, data]
}

function withPictures({ docs, drawn }: DesignSite, { fonts }: Wanted): SiteDocs {
  const frame = { ...docs.frame, settings: withFonts(docs.frame.settings, fonts) }
  return siteDocs(frame, Object.values(docs.pages), drawn.map(pictureOf))
}

/** A site of a design with its pictures in the file store; undefined where there is no such design. */
export async function designDocs(wanted: Wanted, name: string): Promise<SiteDocs | undefined> {
  if (wanted.design === 'empty') return withPictures(emptyOf(wanted, name), wanted)
  const design = designs.find(({ id }) => id === wanted.design)
  if (!design) return undefined
  const site = designSite(design, name, colorsOf(wanted))
  // In its own colours a design has the same pages every time.
  if (!wanted.colors?.length) {
    for (const page of Object.values(site.docs.pages))
      keepReady({ kind: 'page', id: page.id }, page)
  }
  const store = fileStore()
  const logo = site.drawn.find(({ drawing }) => drawing.id === design.logo)
  const [pixels, data] = (logo && (await pixelLogo(logo))) ?? []
  await Promise.all([
    ...site.drawn.map(({ svg }) => store.put(hashOf(svg), svg)),
    ...(pixels && data ? [store.put(pixels.file, data)] : []),
  ])
  const docs = withPictures(site, wanted)
  return pixels ? { ...docs, pictures: { ...docs.pictures, [pixels.id]: pixels } } : docs
}

const emptyOf = (wanted: Wanted, name: string): DesignSite => ({
  docs: emptySite(name, colorsOf(wanted)[0]),
  drawn: [],
})

/** The home page of a design in one text, its drawings in it: as a site of it would begin. */
export function designPicture(wanted: Wanted, name?: string): string | undefined {
  const design = designs.find(({ id }) => id === wanted.design)
  if (!design && wanted.design !== 'empty') return undefined
  const site: DesignSite = design
    ? designSite(design, name ?? nameOf(design.id), colorsOf(wanted))
    : emptyOf(wanted, name ?? 'Your site')
  const docs = withPictures(site, wanted)
  const home = Object.values(docs.pages).find(({ path }) => path === homePath)
  if (!home) return undefined
  const texts = new Map<string, string>(site.drawn.map(({ drawing, svg }) => [drawing.id, svg]))
  return renderAlone(docs, home, {
    ...inEditor('design', docs),
    marksWords: false,
    assetUrl: (id) => `data:image/svg+xml,${encodeURIComponent(texts.get(id) ?? '')}`,
  })
}
