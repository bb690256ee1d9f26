import type * as z from 'zod'
import { mainButton, quietButton } from './button'
import { card } from './card'
import { divider } from './divider'
import { embed } from './embed'
import { form } from './form'
import { group } from './group'
import { heading } from './heading'
import { iconList } from './icon-list'
import type { ElementKind } from './kind'
import { mark } from './mark'
import { navigation } from './navigation'
import { finePrint, paragraph } from './paragraph'
import { picture } from './picture'
import { priceTable } from './price-table'
import { quote } from './quote'
import { wordmark } from './wordmark'

/** Every kind of element. A new one is a file beside this one and a line here. */
export const kinds = {
  heading,
  paragraph,
  finePrint,
  mainButton,
  quietButton,
  picture,
  iconList,
  quote,
  card,
  priceTable,
  form,
  divider,
  navigation,
  wordmark,
  mark,
  embed,
  group,
} as const

export type KindId = keyof typeof kinds

export type ContentOf<Kind extends KindId> = z.infer<(typeof kinds)[Kind]['content']>

export const kindIds = Object.keys(kinds) as KindId[]

/** The kind with its content type set aside, for code that treats all kinds alike. */
export function kindOf(id: KindId): ElementKind {
  return kinds[id] as unknown as ElementKind
}
