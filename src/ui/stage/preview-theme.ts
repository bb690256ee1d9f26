import type { DocId, SectionId, ThemeId } from '@/core/site'
import { selectedNode } from './hit-test'
import { stageStore } from './stage-access'

/** Shows a section in another theme on the stage for as long as one is pointed at; without one, in its own again. */
export function previewTheme(
  at: { readonly doc: DocId; readonly section: SectionId },
  theme: ThemeId | undefined,
): void {
  const { stage } = stageStore.getState()
  const node = stage && selectedNode(stage.document, at)
  if (!node) return
  const own = node.dataset.ownTheme ?? node.dataset.theme!
  if (theme) {
    node.dataset.ownTheme = own
    node.dataset.theme = theme
  } else if (node.dataset.ownTheme) {
    node.dataset.theme = own
    delete node.dataset.ownTheme
  }
}
