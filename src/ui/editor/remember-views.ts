import type { SiteSync } from '@/core/sync'
import type { EditorState, ViewState, Watched } from './state'

/** What a window shows that a step back brings again: the page, and what is chosen on it. */
type View = Pick<ViewState, 'pageId' | 'selection'>

/** Steps whose views are remembered; more than anybody goes back in one go. */
const MOST = 200

/** What changes a site. */
type Changing = Pick<SiteSync, 'dispatch' | 'carryOut' | 'wide' | 'step'>

/**
 * What changes the site, with the view as it was before each change: who takes one of their own
 * back sees the page and the thing that it was about, as it was; who does it again, what there was after.
 */
export function rememberViews(
  sync: Changing,
  store: Watched<EditorState>,
  bring: (view: View) => Promise<void>,
): Changing {
  const views = new Map<string, View>()
  const viewsAfter = new Map<string, View>()
  const nextStep = () => store.getState().undo?.id
  const keep = (kept: Map<string, View>, step: string, view: View) => {
    kept.set(step, view)
    if (kept.size > MOST) kept.delete(kept.keys().next().value!)
  }
  const viewNow = (): View => {
    const { pageId, selection } = store.getState()
    return { pageId, selection }
  }
  function note(before: View, stepBefore: string | undefined): void {
    const step = nextStep()
    if (!step || step === stepBefore) return
    keep(views, step, before)
  }
  return {
    dispatch(edit) {
      const [view, step] = [viewNow(), nextStep()]
      const problem = sync.dispatch(edit)
      note(view, step)
      return problem
    },
    carryOut(edit) {
      const [view, step] = [viewNow(), nextStep()]
      const isDone = sync.carryOut(edit)
      note(view, step)
      return isDone
    },
    async wide(intent) {
      const [view, step] = [viewNow(), nextStep()]
      const result = await sync.wide(intent)
      note(view, step)
      return result
    },
    async step(kind) {
      const { undo, redo } = store.getState()
      const before = viewNow()
      const view = kind === 'undo' ? views.get(undo?.id ?? '') : viewsAfter.get(redo?.id ?? '')
      const problem = await sync.step(kind)
      if (problem) return problem
      const again = store.getState().redo?.id
      if (kind === 'undo' && again && again !== redo?.id) keep(viewsAfter, again, before)
      if (kind === 'redo') note(before, undo?.id)
      if (view) await bring(view)
      return undefined
    },
  }
}
