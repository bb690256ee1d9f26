import type { Section } from '@/core/site'
import type { Editor } from '../editor'

/** How a header blends into the section under it; undefined for every other section. */
export function blendingOf(editor: Editor, { id, kind, blend = false }: Section) {
  if (kind !== 'header') return undefined
  const onBlend = () => void editor.carryOut({ type: 'setBlend', section: id, blend: !blend })
  return { blends: blend, onBlend }
}
