import type * as z from 'zod'
import { announcement } from './announcement'
import { articleList } from './article-list'
import { mainButton, quietButton } from './button'
import { card } from './card'
import { divider } from './divider'
import { embed } from './embed'
import { form } from './form'
import { gallery } from './gallery'
import { group } from './group'
import { heading } from './heading'
import { iconList } from './icon-list'
import type { ElementKind } from './kind'
import { logoStrip } from './logo-strip'
import { mapStandIn } from './map-stand-in'
import { mark } from './mark'
import { navigation } from './navigation'
import { numbers } from './numbers'
import { finePrint, paragraph } from './paragraph'
import { picture } from './picture'
import { priceTable } from './price-table'
import { questions } from './questions'
import { quote } from './quote'
import { searchField } from './search-field'
import { sideNavigation } from './side-navigation'
import { socialLinks } from './social-links'
import { steps } from './steps'
import { timetable } from './timetable'
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
  questions,
  gallery,
  numbers,
  steps,
  timetable,
  articleList,
  sideNavigation,
  announcement,
  socialLinks,
  logoStrip,
  mapStandIn,
  searchField,
} as const

export type KindId = keyof typeof kinds

export type ContentOf<Kind extends KindId> = z.infer<(typeof kinds)[Kind]['content']>

export const kindIds = Object.keys(kinds) as KindId[]

/** The kind with its content type set aside, for code that treats all kinds alike. */
export function kindOf(id: KindId): ElementKind {
  return kinds[id] as unknown as ElementKind
}
