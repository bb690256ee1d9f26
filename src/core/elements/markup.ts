const ESCAPES: Record<string, string> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
  "'": '&#39;',
}

export function escapeHtml(text: string): string {
  return text.replace(/[&<>"']/g, (character) => ESCAPES[character]!)
}

type Attributes = Record<string, string | number | boolean | undefined>

function writeAttributes(attributes: Attributes): string {
  return Object.entries(attributes)
    .filter(([, value]) => value !== undefined && value !== false)
    .map(([name, value]) =>
      value === true ? ` ${name}` : ` ${name}="${escapeHtml(String(value))}"`,
    )
    .join('')
}

const VOID = new Set(['img', 'input', 'hr', 'br', 'meta', 'link'])

/** One element of HTML; attribute values are escaped, `inner` is taken as markup. */
export function tag(name: string, attributes: Attributes, inner = ''): string {
  const open = `<${name}${writeAttributes(attributes)}>`
  return VOID.has(name) ? open : `${open}${inner}</${name}>`
}

/** A link target that cannot run a script: relative, `http(s):`, `mailto:`, `tel:`; anything else becomes `#`. */
export function safeHref(href: string): string {
  const compact = [...href].filter((c) => c > ' ').join('')
  return /^(?:https?:|mailto:|tel:|[^:]*(?:$|[/?#]))/i.test(compact) ? compact : '#'
}
