'use client'

import { useEffect } from 'react'
import { createStore } from 'zustand/vanilla'
import type { Facet } from '@/core/elements'
import type { GradientPaint } from '@/core/site'
import type { Selection } from '../editor'

/** What on the page a gradient fills. */
export interface FilledPlace {
  readonly selection: Selection
  readonly facet: Facet
}

/** A gradient that is being edited: shown, and taken hold of, where it is on the page. */
export interface HeldGradient {
  readonly place: FilledPlace
  readonly value: GradientPaint
  /** The stop that is chosen, from 0. */
  readonly chosen: number
  readonly onPick: (stop: number) => void
  readonly onDrag: (value: GradientPaint) => void
  readonly onChoose: (value: GradientPaint) => void
}

export const heldGradient = createStore<{ readonly held?: HeldGradient }>(() => ({}))

/** Shows a gradient on the page for as long as it is edited. */
export function useHeldGradient(held: HeldGradient | undefined): void {
  // What is shown goes along with every change of it.
  useEffect(() => heldGradient.setState({ held }))
  useEffect(() => () => heldGradient.setState({ held: undefined }), [])
}
