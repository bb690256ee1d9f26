import { colorOf, type Color } from '@/core/color'
import {
  done,
  mostHeldColors,
  type HoldingPicture,
  type HoldingPictures,
  type Result,
} from '@/core/payloads'
import { shareOf, tonesOf, visibleShare, type Tones } from '@/core/picture'
import type { Picture } from '@/core/site'
import { siteFor, type Actor } from '../access'
import { insertRows, select, showsPicture } from '../database/sets'
import { fileStore } from '../storage'
import { pixelsOf } from './pixels'

/** Longest side of the small copy that tones are counted in. */
const LONGEST = 160
/** Pictures that are looked at in one answer, of those that nobody looked at before; and at the same time. */
const [MOST_LOOKED, AT_ONCE] = [60, 4]
/** Pictures in one answer. */
const MOST = 200

interface PictureRow {
  readonly id: Picture['id']
  readonly fileName: string
  readonly file: string
  readonly tones: string | null
}

const toneColumns = { file: 'text', tones: 'text' } as const

async function lookAt(file: string): Promise<Tones> {
  const bytes = await fileStore().get(file)
  const pixels = bytes && (await pixelsOf(bytes, LONGEST))
  // One whose file is gone, or is no picture, shows no colour.
  return pixels ? tonesOf(pixels.data) : []
}

/** Looks at the files that nobody looked at before, some of them; what was seen is kept. */
async function lookAtSome(files: readonly string[]): Promise<Map<string, Tones>> {
  const seen = new Map<string, Tones>()
  const wanted = files.slice(0, MOST_LOOKED)
  for (let at = 0; at < wanted.length; at += AT_ONCE) {
    const batch = wanted.slice(at, at + AT_ONCE)
    const tones = await Promise.all(batch.map(lookAt))
    batch.forEach((file, i) => seen.set(file, tones[i]!))
  }
  const rows = [...seen].map(([file, tones]) => ({ file, tones: JSON.stringify(tones) }))
  await insertRows('picture_tones', toneColumns, rows, undefined, 'on conflict (file) do nothing')
  return seen
}

/** On how many pages each picture is shown. */
async function pagesOf(siteId: string, ids: readonly string[]): Promise<Map<string, number>> {
  const rows = await select<{ id: string; pages: number }>(
    `select i.id, count(*)::int as pages
     from unnest($2::text[]) as i (id), records r
       join contents c on c.site_id = r.site_id and c.hash = r.hash
     where r.site_id = $1 and r.kind = 'page' and ${showsPicture('i.id')}
     group by i.id`,
    [siteId, ids],
  )
  return new Map(rows.map(({ id, pages }) => [id, pages]))
}

/** The pictures of pixels that show one of some colours in a share that is seen, the largest first. */
export async function picturesHolding(
  actor: Actor,
  siteId: string,
  texts: readonly string[],
): Promise<Result<HoldingPictures>> {
  const found = await siteFor(actor, 'read', siteId)
  if (!found.ok) return found
  const colors = texts.slice(0, mostHeldColors).flatMap((text): readonly Color[] => {
    const color = colorOf(text)
    return color ? [color] : []
  })
  const rows = await select<PictureRow>(
    `select r.id, r.path as "fileName", c.body::jsonb ->> 'file' as file, t.tones
     from records r join contents c on c.site_id = r.site_id and c.hash = r.hash
       left join picture_tones t on t.file = c.body::jsonb ->> 'file'
     where r.site_id = $1 and r.kind = 'picture'
       and c.body::jsonb ->> 'mediaType' <> 'image/svg+xml' order by r.path`,
    [siteId],
  )
  const unseen = [...new Set(rows.flatMap(({ file, tones }) => (tones === null ? [file] : [])))]
  const seen = await lookAtSome(unseen)
  const holding = rows.flatMap(({ id, fileName, file, tones }): HoldingPicture[] => {
    const own = tones === null ? seen.get(file) : (JSON.parse(tones) as Tones)
    if (!own) return []
    const shares = colors.map((color) => shareOf(own, color))
    const share = Math.max(0, ...shares)
    if (share < visibleShare) return []
    return [{ id, fileName, file, share, color: shares.indexOf(share), pages: 0 }]
  })
  holding.sort((a, b) => b.share - a.share)
  const told = holding.slice(0, MOST)
  const pages = await pagesOf(
    siteId,
    told.map(({ id }) => id),
  )
  return done({
    pictures: told.map((each) => ({ ...each, pages: pages.get(each.id) ?? 0 })),
    more: holding.length - told.length,
    waiting: Math.max(0, unseen.length - MOST_LOOKED),
  })
}
