import { applyChanges, ChangeUnfit, isSame, type Change } from '@/core/changes'
import { slotsInVector } from '@/core/render'
import type { Picture } from '@/core/site'
import { pathOfText } from '@/core/uses'
import { hashOf } from '../records/stored'
import { keepFile } from '../records'
import { vectorText } from '../storage'

const isInText = ({ path }: Change): boolean => isSame([...path], [...pathOfText])

function exchanged(text: string, changes: readonly Change[]): string | undefined {
  try {
    return applyChanges({ file: { text } }, changes)?.file.text
  } catch (error) {
    if (error instanceof ChangeUnfit) return undefined
    throw error
  }
}

/**
 * The changes of a vector picture as its record has them: stretches of its file become another
 * file in the place of the first, which stays where it is. Else why that cannot be: the file is
 * gone, or is not what the changes were planned on.
 */
export async function pictureChanges(
  picture: Picture,
  changes: readonly Change[],
): Promise<Change[] | 'file-gone' | 'text-changed'> {
  const inText = changes.filter(isInText)
  if (inText.length === 0) return [...changes]
  const others = changes.filter((change) => !isInText(change))
  const text = await vectorText(picture.file)
  if (text === undefined) return 'file-gone'
  const recolored = exchanged(text, inText)
  if (recolored === undefined) return 'text-changed'
  const file = hashOf(recolored)
  await keepFile(file, recolored)
  const slots = slotsInVector(recolored)
  const follows = {
    ...(picture.slots ? { from: picture.slots } : {}),
    ...(slots.length ? { to: slots } : {}),
  }
  return [
    ...others,
    { path: ['file'], from: picture.file, to: file },
    ...(isSame(picture.slots ?? [], slots) ? [] : [{ path: ['slots'], ...follows }]),
  ]
}
