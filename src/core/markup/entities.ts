/** What the document type declares as an entity of the document itself (XML 1.0 § 4.2.1): a name, and what it stands for. */
const DECLARED = /<!ENTITY\s+([\w:.-]+)\s+(?:"([^"]*)"|'([^']*)')\s*>/g
const REFERRED = /&([A-Za-z_:][\w:.-]*);/g
/** Those of XML itself (§ 4.6), which stay as they are. */
const OF_XML = new Set(['amp', 'lt', 'gt', 'quot', 'apos'])

/** How deep they may stand in one another. */
const DEEPEST = 20

class TooMuch extends Error {}

/** Puts in the places of entities what they stand for: at most so many characters in all. */
class Entities {
  private readonly known = new Map<string, string>()
  private depth = 0
  private put = 0

  constructor(
    private readonly declared: ReadonlyMap<string, string>,
    private readonly most: number,
  ) {}

  in(text: string): string {
    return text.replaceAll(REFERRED, (written, name: string) => {
      const value = OF_XML.has(name) ? undefined : this.valueOf(name)
      this.put += value?.length ?? 0
      if (this.put > this.most) throw new TooMuch()
      return value ?? written
    })
  }

  private valueOf(name: string): string | undefined {
    const written = this.declared.get(name)
    if (written === undefined || this.known.has(name)) return this.known.get(name)
    // One that stands for itself has no end, either.
    if (this.depth === DEEPEST) throw new TooMuch()
    this.depth += 1
    const value = this.in(written)
    this.depth -= 1
    this.known.set(name, value)
    return value
  }
}

/**
 * A document with what it declares as entities in their places, as drawing programs write the
 * styles of a picture; what is not declared stays as it is. Undefined where it is longer than
 * `most` characters, or where that much or more would be put into it.
 */
export function withEntities(text: string, most: number): string | undefined {
  if (text.length > most) return undefined
  const declared = new Map<string, string>()
  for (const [, name, double, single] of text.matchAll(DECLARED)) {
    // The first declaration binds.
    if (!declared.has(name!)) declared.set(name!, double ?? single!)
  }
  if (declared.size === 0) return text
  try {
    const whole = new Entities(declared, most).in(text.replaceAll(DECLARED, ''))
    return whole.length > most ? undefined : whole
  } catch (error) {
    if (error instanceof TooMuch) return undefined
    throw error
  }
}
