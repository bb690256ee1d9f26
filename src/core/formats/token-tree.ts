import * as z from 'zod'
import { isObject, type Json, type JsonObject } from './json'

/**
 * Design tokens, Design Tokens Community Group format 2025.10: groups of
 * tokens, a token being an object with `$value` (or `$ref`). What belongs to
 * the format is modelled; every other `$…` property is kept as it is, so that a
 * file is written back without loss.
 */
export type TokenValue =
  | { readonly form: 'alias'; readonly path: readonly string[] }
  /** `$ref`, a JSON pointer into the file (RFC 6901). */
  | { readonly form: 'pointer'; readonly path: readonly string[]; readonly text: string }
  | { readonly form: 'string'; readonly text: string }
  | {
      readonly form: 'object'
      readonly colorSpace: string
      readonly components: ReadonlyArray<number | 'none'>
      readonly alpha?: number
      readonly hex?: string
      readonly rest: JsonObject
    }
  /** Values of other types, and colours that are none. */
  | { readonly form: 'other'; readonly json: Json }

interface Node {
  readonly name: string
  readonly path: readonly string[]
  /** `$type`, its own. */
  readonly type?: string
  readonly description?: string
  readonly extensions?: JsonObject
  /** Every other `$…` property, and in a token every other member, in the order of the file. */
  readonly rest: JsonObject
}
export interface Token extends Node {
  readonly kind: 'token'
  readonly value: TokenValue
}
export interface TokenGroup extends Node {
  readonly kind: 'group'
  readonly children: ReadonlyArray<Token | TokenGroup>
  /** Members without `$` that are neither token nor group. */
  readonly strays: JsonObject
}

const colorObject = z.looseObject({
  colorSpace: z.string(),
  components: z.array(z.union([z.number(), z.literal('none')])),
  alpha: z.number().optional(),
  hex: z.string().optional(),
})

export function pointerPath(pointer: string): string[] {
  return pointer
    .replace(/^#?\/?/, '')
    .split('/')
    .map((part) => part.replaceAll('~1', '/').replaceAll('~0', '~'))
}

function readValue(json: Json): TokenValue {
  if (typeof json === 'string') {
    const alias = /^\{([^{}]+)\}$/.exec(json)?.[1]
    return alias ? { form: 'alias', path: alias.split('.') } : { form: 'string', text: json }
  }
  const color = colorObject.safeParse(json)
  if (!color.success) return { form: 'other', json }
  const { colorSpace, components, alpha, hex, ...rest } = color.data
  return { form: 'object', colorSpace, components, alpha, hex, rest: rest as JsonObject }
}

function nodeOf(
  kind: 'token' | 'group',
  name: string,
  path: readonly string[],
  json: JsonObject,
  skip: readonly string[],
) {
  const { $type, $description, $extensions } = json
  const known = [
    ...skip,
    ...(typeof $type === 'string' ? ['$type'] : []),
    ...(typeof $description === 'string' ? ['$description'] : []),
    ...(isObject($extensions) ? ['$extensions'] : []),
  ]
  const isOwn = (key: string) => kind === 'token' || key.startsWith('$')
  const rest = Object.entries(json).filter(([key]) => isOwn(key) && !known.includes(key))
  return {
    name,
    path,
    ...(typeof $type === 'string' ? { type: $type } : {}),
    ...(typeof $description === 'string' ? { description: $description } : {}),
    ...(isObject($extensions) ? { extensions: $extensions } : {}),
    rest: Object.fromEntries(rest),
  }
}

function readNode(name: string, path: readonly string[], json: JsonObject): Token | TokenGroup {
  if ('$value' in json) {
    const node = nodeOf('token', name, path, json, ['$value'])
    return { kind: 'token', ...node, value: readValue(json.$value!) }
  }
  if (typeof json.$ref === 'string') {
    const node = nodeOf('token', name, path, json, ['$ref'])
    const value = { form: 'pointer', path: pointerPath(json.$ref), text: json.$ref } as const
    return { kind: 'token', ...node, value }
  }
  const members = Object.entries(json).filter(([key]) => key === '$root' || !key.startsWith('$'))
  const children = members.flatMap(([key, value]) =>
    isObject(value) ? [readNode(key, [...path, key], value)] : [],
  )
  const strays = Object.fromEntries(members.filter(([, value]) => !isObject(value)))
  return { kind: 'group', ...nodeOf('group', name, path, json, ['$root']), children, strays }
}

/** The tree of a file; undefined when the JSON is no object. */
export function readTokenTree(json: Json): TokenGroup | undefined {
  if (!isObject(json)) return undefined
  const node = readNode('', [], json)
  return node.kind === 'group' ? node : undefined
}

function writeValue(value: TokenValue): Json {
  switch (value.form) {
    case 'alias':
      return `{${value.path.join('.')}}`
    case 'pointer':
    case 'string':
      return value.text
    case 'object': {
      const { colorSpace, components, alpha, hex, rest } = value
      return {
        colorSpace,
        components: [...components],
        ...(alpha === undefined ? {} : { alpha }),
        ...(hex === undefined ? {} : { hex }),
        ...rest,
      }
    }
    case 'other':
      return value.json
  }
}

/** Writes a tree as the JSON that it was read from. */
export function writeTokenTree(node: Token | TokenGroup): JsonObject {
  const { type, description, extensions, rest } = node
  const own = {
    ...(type === undefined ? {} : { $type: type }),
    ...(description === undefined ? {} : { $description: description }),
    ...(extensions === undefined ? {} : { $extensions: extensions }),
    ...rest,
  }
  if (node.kind === 'token') {
    return {
      [node.value.form === 'pointer' ? '$ref' : '$value']: writeValue(node.value),
      ...own,
    }
  }
  const children = node.children.map((child) => [child.name, writeTokenTree(child)] as const)
  return { ...own, ...node.strays, ...Object.fromEntries(children) }
}
