/** The pictures that a record shows: by id, and by file name where CSS or a snippet names them. */
export interface PicturesIn {
  readonly ids: readonly string[]
  readonly fileNames: readonly string[]
}

/** Members that hold the id of a picture: an element's content, a paint. */
const REFERS = new Set(['asset', 'picture'])
const ADDRESS = /\bassets\/([A-Za-z0-9][\w.-]*)/g

/** The pictures that a record, or a part of one, shows. */
export function picturesIn(record: unknown): PicturesIn {
  const ids = new Set<string>()
  const fileNames = new Set<string>()
  const visit = (value: unknown, member: string): void => {
    if (typeof value === 'string') {
      if (REFERS.has(member)) ids.add(value)
      else if (value.includes('assets/')) {
        for (const [, name] of value.matchAll(ADDRESS)) fileNames.add(name!)
      }
    } else if (typeof value === 'object' && value !== null) {
      for (const [key, inside] of Object.entries(value)) visit(inside, key)
    }
  }
  visit(record, '')
  return { ids: [...ids], fileNames: [...fileNames] }
}
