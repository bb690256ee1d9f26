import type { SiteSync } from '@/core/sync'
import type { EditorState, ViewState, Watched } from './state'

/** What a window shows that a step back brings again: the page, and what is chosen on it. */
type View = Pick<ViewState, 'pageId' | 'selection'>

/** Steps whose views are remembered; more than anybody goes back in one go. */
const MOST = 200

type Deeds = Pick<SiteSync, 'dispatch' | 'carryOut' | 'wide' | 'step'>

/**
 * What changes the site, with the view as it was before each change: who takes one of their own
 * back sees the page and the thing that it was about, as it was.
 */
export function rememberViews(
  sync: Deeds,
  store: Watched<EditorState>,
  bring: (view: View) => Promise<void>,
): Deeds {
  const views = new Map<string, View>()
  const nextStep = () => store.getState().undo?.id
  const viewNow = (): View => {
    const { pageId, selection } = store.getState()
    return { pageId, selection }
  }
  function note(before: View, stepBefore: string | undefined): void {
    const step = nextStep()
    if (!step || step === stepBefore) return
    views.set(step, before)
    if (views.size > MOST) views.delete(views.keys().next().value!)
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
      const view = kind === 'undo' ? views.get(nextStep() ?? '') : undefined
      const problem = await sync.step(kind)
      if (!problem && view) await bring(view)
      return problem
    },
  }
}
