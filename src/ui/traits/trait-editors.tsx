'use client'

import type { ComponentType } from 'react'
import type { TraitId } from '@/core/traits'
import type { TraitEditorProps } from './editor-props'
import {
  CornerEditor,
  DurationEditor,
  LeadingEditor,
  LineStyleEditor,
  LineWidthEditor,
  OpacityEditor,
  PaddingEditor,
  SpaceEditor,
  SpacingEditor,
  WeightEditor,
  WidthEditor,
} from './shape-editors'
import { ShadowEditor } from './shadow-editor'
import {
  CaseEditor,
  EasingEditor,
  FaceEditor,
  HyphensEditor,
  MeasureEditor,
  SizeEditor,
  UnderlineEditor,
} from './type-editors'

/** What each trait is edited with. */
const editors: { readonly [T in TraitId]: ComponentType<TraitEditorProps<T>> } = {
  corner: CornerEditor,
  lineWidth: LineWidthEditor,
  lineStyle: LineStyleEditor,
  padding: PaddingEditor,
  space: SpaceEditor,
  width: WidthEditor,
  shadow: ShadowEditor,
  opacity: OpacityEditor,
  face: FaceEditor,
  size: SizeEditor,
  weight: WeightEditor,
  leading: LeadingEditor,
  spacing: SpacingEditor,
  case: CaseEditor,
  hyphens: HyphensEditor,
  measure: MeasureEditor,
  underline: UnderlineEditor,
  duration: DurationEditor,
  easing: EasingEditor,
}

interface TraitEditorOf extends TraitEditorProps<TraitId> {
  readonly trait: TraitId
}

/** Edits what a trait holds. */
export function TraitEditor({ trait, ...props }: TraitEditorOf) {
  const Editor = editors[trait] as ComponentType<TraitEditorProps<TraitId>>
  return <Editor {...props} />
}
