const METHODS = new Set(['GET', 'HEAD', 'POST', 'PUT', 'PATCH', 'DELETE', 'OPTIONS'])

/** Whether the escapes of an address are those of a text in UTF-8, none of which ends it. */
function isReadable(url) {
  try {
    return !decodeURIComponent(url).includes('\0')
  } catch {
    return false
  }
}

/** Why a request is not passed to the framework, which would answer it with an error of its own; undefined where it is. */
export function refusalOf({ method = '', url = '' }) {
  if (!METHODS.has(method))
    return { status: 405, words: `${method} isn’t a method that is answered here.` }
  if (isReadable(url)) return undefined
  return {
    status: 400,
    words: 'This address has escapes that don’t make a text. Check it for a stray %.',
  }
}
