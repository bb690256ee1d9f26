import type { RoleId } from '../roles'
import type { ButtonForm } from '../traits'
import type { Chooser } from './chooser'
import type { Footing, Ink } from './inks'

/** What a theme is made on and around. */
export interface Setting {
  readonly chooser: Chooser
  /** The ground as it is seen, and its place in OKLab. */
  readonly base: readonly [Footing]
  readonly lab: Lab
  /** The ground, let through: what is painted with it is not seen. */
  readonly clear: Ink
  /** The ground and the ground of cards, where they differ. */
  readonly grounds: readonly Footing[]
  /** What is decided already. */
  readonly known: KnownInks
  /** How buttons are told to be buttons. */
  readonly form: ButtonForm
}

export type Lab = Pick<Ink, 'l' | 'a' | 'b'>
export type KnownInks = Readonly<Partial<Record<RoleId, Ink>>>

/** A state that must be seen to change, OKLab. */
export const CHANGED = 0.035

/** What it costs to leave the slot itself for a shade of it. */
export const shading = (ink: Ink) => (ink.offset === 0 ? 0 : 0.12 + Math.abs(ink.offset) / 100)
/** Pure black and pure white are avoided where something else serves. Common practice, no source. */
export const extreme = (ink: Ink) => (ink.l < 0.08 || ink.l > 0.995 ? 0.25 : 0)
/** How far from a contrast that is wished for, in doublings. */
export const off = (ratio: number, wish: number) => Math.abs(Math.log2(ratio / wish))

/** Those of some inks that are there. */
export const those = (inks: ReadonlyArray<Ink | undefined>): Ink[] =>
  inks.filter((ink) => ink !== undefined)
