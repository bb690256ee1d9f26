import { fromChannels, writeHex, type Color } from '../color'
import { own } from '../site'
import { isObject, type Json, type JsonObject } from './json'

/** Members of a token by the names that older files give them. */
const MEMBERS: Readonly<Record<string, string>> = {
  value: '$value',
  type: '$type',
  description: '$description',
  comment: '$description',
}

const holds = (json: Json, test: (object: JsonObject) => boolean): boolean => {
  if (Array.isArray(json)) return json.some((each) => holds(each, test))
  return isObject(json) && (test(json) || Object.values(json).some((each) => holds(each, test)))
}

/** `value` of a token, not a group that goes by that name. */
const isOldToken = (object: JsonObject) =>
  'value' in object &&
  !('$value' in object) &&
  (!isObject(object.value) || !!colorOfParts(object.value))

/** Whether tokens are written without `$`, as before the format of the community group. */
export function isOldDialect(json: Json): boolean {
  return !holds(json, (object) => '$value' in object || '$ref' in object) && holds(json, isOldToken)
}

/** A file of the old dialect as one of today's: members get their `$`, aliases lose their `.value`. */
export function fromOldDialect(json: Json): Json {
  if (!isObject(json)) return json
  const isToken = isOldToken(json)
  const members = Object.entries(json).map(([key, value]): [string, Json] => {
    if (isToken && key === 'value') return ['$value', withoutValue(value)]
    const member = isToken && typeof value === 'string' ? own(MEMBERS, key) : undefined
    if (member) return [member, value]
    return [key, fromOldDialect(value)]
  })
  return Object.fromEntries(members)
}

const withoutValue = (value: Json): Json =>
  typeof value === 'string' ? value.replace(/^\{([^{}]+)\.value\}$/, '{$1}') : value

const isNumber = (json: Json | undefined): json is number => typeof json === 'number' && json >= 0

/**
 * A colour in parts, `{ r, g, b, a }`: 0…1, or 0…255 where a channel is above
 * 1; alpha 0…1 by the name of `a` or `alpha`. Undefined for any other object.
 */
export function colorOfParts(json: Json | undefined): Color | undefined {
  if (!isObject(json)) return undefined
  const { r, g, b, a = json.alpha ?? 1 } = json
  if (![r, g, b, a].every(isNumber)) return undefined
  const channels = [r, g, b] as [number, number, number]
  const most = Math.max(...channels) > 1 ? 255 : 1
  if (channels.some((channel) => channel > most) || (a as number) > 1) return undefined
  const [red, green, blue] = channels.map((channel) => channel / most) as [number, number, number]
  return fromChannels([red, green, blue], a as number)
}

/** Members whose names say nothing of the colour that they hold. */
const SAYS_NOTHING = /^(?:\$?value|\$?hex|hexcode|hex_?code|colou?rs?|code|css|rgba?|hsla?)$/i
/** Members that hold the name of what stands beside them. */
const NAMES = ['name', 'title', 'label', 'id']

export interface FoundInJson {
  readonly text: string
  readonly name?: string
}

/**
 * Every text in JSON of any kind that may be a colour, with the name that
 * stands nearest: a `name` beside it, or the nearest member that says
 * something. Colours in parts are given in hex.
 */
export function textsOfJson(json: Json): FoundInJson[] {
  const found: FoundInJson[] = []
  const visit = (
    value: Json,
    key: string,
    around: string | undefined,
    beside: string | undefined,
  ) => {
    const step = /^\d+$/.test(key)
    const own = key === '' || step || SAYS_NOTHING.test(key) ? undefined : key
    const name = beside ?? own ?? (step && around ? `${around} ${key}` : around)
    if (typeof value === 'string') found.push({ text: value, ...(name ? { name } : {}) })
    else if (Array.isArray(value)) value.forEach((each) => visit(each, '', undefined, undefined))
    else if (isObject(value)) {
      const parts = colorOfParts(value)
      if (parts) {
        found.push({ text: writeHex(parts), ...(name ? { name } : {}) })
        return
      }
      const label = NAMES.map((member) => value[member]).find((each) => typeof each === 'string')
      for (const [member, inside] of Object.entries(value)) {
        if (NAMES.includes(member) && inside === label) continue
        const isBeside = label !== undefined && SAYS_NOTHING.test(member)
        visit(
          inside,
          member,
          (label as string | undefined) ?? name,
          isBeside ? (label as string) : undefined,
        )
      }
    }
  }
  visit(json, '', undefined, undefined)
  return found
}
