import * as z from 'zod'
import { exchange } from './exchange'
import { giveRhythm } from './give-rhythm'
import { giveThemes } from './give-themes'
import { removeSlot } from './remove-slot'
import { removeTheme } from './remove-theme'
import { restore } from './restore'
import { exchangeStyle, liftLook } from './styles'
import { sweep } from './sweep'
import type { WideKind } from './wide'

/** Every wide edit; a new one is a file and a line here. */
export const wideKinds = {
  sweep,
  exchange,
  removeSlot,
  removeTheme,
  giveRhythm,
  giveThemes,
  exchangeStyle,
  liftLook,
  restore,
} as const

type IntentOf<Kind> = Kind extends WideKind<infer Intent, infer _Ready> ? Intent : never
export type WideIntent = IntentOf<(typeof wideKinds)[keyof typeof wideKinds]>

const schemas = Object.values(wideKinds).map(({ schema }) => schema)
type Option = z.core.$ZodTypeDiscriminable & z.ZodType<WideIntent>

export const wideIntent: z.ZodType<WideIntent> = z.discriminatedUnion(
  'type',
  schemas as unknown as [Option, ...Option[]],
)

/** The kind that plans an intent, whichever it is. */
export function kindOfWide(intent: WideIntent): WideKind<WideIntent, unknown> {
  return wideKinds[intent.type] as unknown as WideKind<WideIntent, unknown>
}
