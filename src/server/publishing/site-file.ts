/** One file of a published site; `source` stands for all that it was written from. */
export interface SiteFile {
  readonly name: string
  readonly hash: string
  readonly source: string | null
}
