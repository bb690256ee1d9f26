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

interface Shown {
  readonly pages: number
  readonly isEverywhere: boolean
}

/** On how many pages each picture is shown, by itself or where CSS or a snippet names its file; those that stand nowhere are left out. */
async function shownOf(
  siteId: string,
  pictures: ReadonlyArray<Pick<PictureRow, 'id' | 'fileName'>>,
): Promise<Map<string, Shown>> {
  const rows = await select<{ id: string; pages: number; everywhere: boolean }>(
    `select i.id, (count(*) filter (where r.kind = 'page'))::int as pages,
       bool_or(r.kind = 'frame') as everywhere
     from unnest($2::text[], $3::text[]) as i (id, file), records r
       join contents c on c.site_id = r.site_id and c.hash = r.hash
     where r.site_id = $1 and r.kind in ('page', 'frame')
       and (${showsPicture('i.id')} or position('assets/' || i.file in c.body) > 0)
     group by i.id`,
    [siteId, pictures.map(({ id }) => id), pictures.map(({ fileName }) => fileName)],
  )
  return new Map(rows.map(({ id, pages, everywhere }) => [id, { pages, isEverywhere: everywhere }]))
}

/** How many pages a site has. */
async function pageCount(siteId: string): Promise<number> {
  const [row] = await select<{ pages: number }>(
    `select count(*)::int as pages from records where site_id = $1 and kind = 'page'`,
    [siteId],
  )
  return row!.pages
}

/**
 * The pictures of pixels that show one of some colours in a share that is seen, the largest first.
 * One that stands nowhere (an original that was kept, say) is seen by nobody, and left out.
 */
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
  const shown = await shownOf(siteId, holding)
  const all = await pageCount(siteId)
  const seenByVisitors = holding.flatMap((each) => {
    const where = shown.get(each.id)
    return where ? [{ ...each, pages: where.isEverywhere ? all : where.pages }] : []
  })
  return done({
    pictures: seenByVisitors.slice(0, MOST),
    more: Math.max(0, seenByVisitors.length - MOST),
    waiting: Math.max(0, unseen.length - MOST_LOOKED),
  })
}
