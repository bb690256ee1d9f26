import { isBlank, TokenType, type FoundDeclaration } from '../css'

/** Which properties refer to which custom properties in a piece of CSS: what a bare word in one of those is depends on it. */
export class References {
  /** The properties that refer to each custom property. */
  private readonly by = new Map<string, Set<string>>()

  note({ property, tokens }: FoundDeclaration): void {
    tokens.forEach((token, i) => {
      if (token[0] !== TokenType.Function || token[4].value.toLowerCase() !== 'var') return
      const name = tokens.slice(i + 1).find((each) => !isBlank(each))
      if (name?.[0] !== TokenType.Ident) return
      const known = this.by.get(name[1]) ?? new Set()
      this.by.set(name[1], known.add(property))
    })
  }

  /**
   * Whether a custom property is used, and by nothing that takes colours: `rebeccapurple` is then
   * the name of a grid area or of an animation. What nothing here uses may be used elsewhere.
   */
  isNoColor(
    name: string,
    takesColors: (property: string) => boolean,
    seen = new Set<string>(),
  ): boolean {
    const users = this.by.get(name)
    if (!users || seen.has(name)) return false
    seen.add(name)
    return [...users].every((user) =>
      user.startsWith('--') ? this.isNoColor(user, takesColors, seen) : !takesColors(user),
    )
  }
}
