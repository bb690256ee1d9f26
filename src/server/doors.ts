/** Which part of the application a request came to, by the name it used. */
export type Door = 'editor' | 'published'

const hostsOf = (text: string | undefined) =>
  (text ?? '')
    .split(',')
    .map((host) => host.trim().toLowerCase())
    .filter(Boolean)

const LOOPBACK = /^(?:127\.0\.0\.1|localhost|\[::1\])(?::\d{1,5})?$/

/**
 * The door that a `Host` header leads to: loopback by its own names, hosts that
 * `EASEL_HOSTS` lists, and the origin of published sites that `EASEL_PUBLISHED`
 * gives. None for any other name: a page elsewhere can give this machine a name
 * of its own and would then be of the same origin.
 */
export function doorOf(
  host: string | null,
  env: NodeJS.ProcessEnv = process.env,
): Door | undefined {
  const name = (host ?? '').toLowerCase()
  const { EASEL_PUBLISHED: published, EASEL_HOSTS: hosts } = env
  if (published && new URL(published).host === name) return 'published'
  return LOOPBACK.test(name) || hostsOf(hosts).includes(name) ? 'editor' : undefined
}

/** Where a page of the editor may take what from; `nonce` names the scripts that are its own. */
export function editorPolicy(nonce: string, isDevelopment: boolean): string {
  return [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${isDevelopment ? " 'unsafe-eval'" : ''}`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self' data:",
    `connect-src 'self'${isDevelopment ? ' ws:' : ''}`,
    "worker-src 'self' blob:",
    "frame-src 'self'",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ')
}

/** An answer of data: nothing in it is to be shown as a page, or inside of one. */
export const dataPolicy = "default-src 'none'; frame-ancestors 'none'"
