import type { EditProblem } from '@/core/edit'
import type { SiteRecord } from '@/core/site'
import { fileStore, isWoff2, mediaTypeOf } from '../storage'

/**
 * Why the file of a picture or font may not be referred to: it is not in the file store, or its
 * bytes are of another kind than the record says. Looked at only where the file or its kind changed.
 */
export async function fileFaultOf(
  record: SiteRecord,
  before?: SiteRecord,
): Promise<EditProblem | undefined> {
  if (!('file' in record)) return undefined
  const kindOf = (each: SiteRecord) => ('mediaType' in each ? each.mediaType : 'font')
  const isSame =
    before && 'file' in before && before.file === record.file && kindOf(before) === kindOf(record)
  if (isSame) return undefined
  const data = await fileStore().get(record.file)
  if (!data) return 'file-gone'
  if (!('mediaType' in record)) return isWoff2(data) ? undefined : 'file-other-kind'
  return (await mediaTypeOf(data)) === record.mediaType ? undefined : 'file-other-kind'
}
