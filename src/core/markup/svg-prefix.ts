/** The namespace of vector pictures (SVG 2 § 5.1.1). */
export const SVG = 'http://www.w3.org/2000/svg'
const DECLARED = /\sxmlns:([\w-]+)\s*=\s*["']http:\/\/www\.w3\.org\/2000\/svg["']/

/** What elements of a vector picture are called by themselves, where a document gives them a prefix. */
export function unprefixed(text: string): (tag: string) => string {
  const prefix = `${DECLARED.exec(text)?.[1] ?? 'svg'}:`
  return (tag) => (tag.startsWith(prefix) ? tag.slice(prefix.length) : tag)
}
