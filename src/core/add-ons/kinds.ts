import type { AddOnKind } from './add-on'
import { announcementBar } from './announcement-bar'
import { chat } from './chat'
import { checkout } from './checkout'
import { newsletter } from './newsletter'

/** Every kind of add-on that ships with us. A new one is a file and a line here. */
export const addOnKinds = {
  chat,
  newsletter,
  checkout,
  'announcement-bar': announcementBar,
} as const satisfies Readonly<Record<string, AddOnKind>>

export type AddOnKindId = keyof typeof addOnKinds

export const addOnKindIds = Object.keys(addOnKinds) as AddOnKindId[]

export const addOnKindOf = (id: AddOnKindId): AddOnKind => addOnKinds[id]

/** Whether a setting of some kind of add-on is a colour. */
export const isColorSetting = (key: string): boolean =>
  addOnKindIds.some((id) => Object.hasOwn(addOnKinds[id].colors, key))
