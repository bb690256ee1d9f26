import JSON5 from 'json5'
import { deepestJson, jsonDepth } from './json-depth'
import type { Json } from './json'

export type ReadJson =
  | { readonly ok: true; readonly json: Json }
  | { readonly ok: false; readonly problem: 'bad-json' | 'too-deep' }

/** Reads JSON, and JSON5 (comments, single quotes, names without quotes, commas at the end) where it is no JSON. */
export function readJson(text: string): ReadJson {
  const plain = text.replace(/^\ufeff/, '')
  if (jsonDepth(plain) > deepestJson) return { ok: false, problem: 'too-deep' }
  try {
    return { ok: true, json: JSON.parse(plain) as Json }
  } catch {
    // Perhaps it is JSON5.
  }
  try {
    return { ok: true, json: JSON5.parse(plain) as Json }
  } catch {
    return { ok: false, problem: 'bad-json' }
  }
}
