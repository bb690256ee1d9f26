import { flushSync } from 'react-dom'
import { toast } from 'sonner'
import { contentAt } from '@/core/edit'
import { kindOf, mostWords, plainText, type Runs } from '@/core/elements'
import { bodyOf, seatOf, type SiteElement } from '@/core/site'
import { stepAndTell, tellUndoable, type Editor, type WordsPlace } from '../editor'
import { placeOfWords, selectedNode, type StageAccess } from '../stage'
import { editProblemWords } from '../words'
import { textAfter } from './new-element'
import { createKeeping, type Conflict } from './words-keeping'
import { elementAt, goesOnAs, runsOf, wordsNode } from './words-place'
import { openWordsView, type WordsState, type WordsView } from './words-view'

interface SessionOptions {
  readonly editor: Editor
  readonly stage: StageAccess
  readonly place: WordsPlace
  readonly onState: (state: WordsState) => void
  readonly onConflict: (conflict: Conflict | undefined) => void
  /** Asks for the bar that stands by the words; with the link's part where that is meant. */
  readonly onBar: (part: 'first' | 'link') => void
}

/** A button takes spaces for clicks: its words are written in a span of their own. */
function fieldIn(node: HTMLElement): HTMLElement {
  if (node.tagName !== 'BUTTON') return node
  const span = node.ownerDocument.createElement('span')
  node.replaceChildren(span)
  return span
}

/** Goes to other words before the next key comes: none may fall between. */
function goTo(editor: Editor, words: WordsPlace): void {
  const { doc, section, element } = words
  flushSync(() => editor.show({ words, selection: { doc, section, element } }))
}

/** Goes to the words beside some tag that holds such, in the order of the page. */
function goBeside(editor: Editor, stage: StageAccess, node: HTMLElement, by: number): void {
  const all = [...stage.document.querySelectorAll<HTMLElement>('[data-words]')]
  const next = all[all.indexOf(node) + by]
  const words = next && placeOfWords(next)
  if (words) goTo(editor, words)
}

function tellTooLong(length: number): void {
  const [much, most] = [length, mostWords].map((each) => each.toLocaleString('en-GB'))
  toast.error(
    `That would be ${much} characters; one text holds ${most}. Nothing was put in: part it into several.`,
  )
}

/**
 * Words that are edited where they stand: one history with all else. Nothing where the words
 * are not there.
 */
export function openWords(options: SessionOptions) {
  const { editor, stage, place, onState, onConflict, onBar } = options
  const node = wordsNode(stage, place)
  const first = elementAt(editor.store.getState().docs, place)
  const section = node?.closest('[data-section]')
  if (!node || !first || !section) return undefined
  const goesOn = goesOnAs[first.kind]
  const { label } = kindOf(first.kind)
  let hasGoneOn = false
  let isJoining = false
  const keeping = createKeeping({
    editor,
    place,
    first,
    written: () => view.runs(),
    put: (runs) => view.setRuns(runs),
    onConflict,
    leavesEmpty: goesOn !== undefined,
  })
  const { rich } = keeping

  /** Ends a paragraph and goes on in those behind it. */
  function goOn(here: Runs, after: readonly Runs[]): void {
    // An empty paragraph before this one would be nothing that anybody sees.
    if (!goesOn || !plainText(here).trim() || !keeping.save()) return
    const { doc, element, at } = place
    const next = after.map((runs) => textAfter(keeping.element(), goesOn, runs))
    const what = { doc, element, at, was: keeping.stored(), to: [...here], after: next }
    const problem = editor.dispatch({ type: 'continueWords', ...what })
    if (problem === 'text-changed') return keeping.tellConflict()
    if (problem) return void toast.error(`Not continued: ${editProblemWords[problem]}.`)
    hasGoneOn = true
    goTo(editor, { ...place, element: next.at(-1)!.id, at: ['runs'], caret: undefined })
  }

  /** Words beside these that go on as these do: of the element before, or of the one behind. */
  function beside(by: 1 | -1): SiteElement | undefined {
    const body = bodyOf(editor.store.getState().docs, place.doc)
    if (!body) return undefined
    const { list, at } = seatOf(body, place.section, place.element)
    const id = list[at + by]
    const found = id && body.elements[id]
    return found && goesOnAs[found.kind] ? found : undefined
  }

  /** Joins these words to those before them, or those behind to these; the caret stays where they meet. */
  function join(by: 1 | -1): boolean {
    const other = beside(by)
    if (!other || !goesOn || !keeping.save()) return false
    const mine = keeping.element()
    const [element, behind] = by < 0 ? [other, mine] : [mine, other]
    const [was, more] = [element, behind].map(({ content }) => runsOf(contentAt(content, ['runs'])))
    const { doc } = place
    isJoining = by < 0
    const problem = editor.dispatch({
      type: 'joinWords',
      doc,
      element: element.id,
      at: ['runs'],
      was,
      to: [...was!, ...more!],
      behind: behind.id,
      behindWas: behind.content,
    })
    if (problem) {
      isJoining = false
      toast.error(`Not joined: ${editProblemWords[problem]}.`)
      return true
    }
    if (by < 0) {
      const caret = { behind: plainText(was!).length }
      goTo(editor, { ...place, element: element.id, at: ['runs'], caret })
    } else {
      // The section is left alone while one writes in it: what is gone is taken off it here.
      const { section } = place
      selectedNode(stage.document, { doc, section, element: behind.id })?.remove()
    }
    return true
  }

  function onKey(event: KeyboardEvent): boolean {
    const isMod = event.ctrlKey || event.metaKey
    const key = event.key.toLowerCase()
    if (isMod && key === 'z') {
      // Words that were only just deleted are stored still: they come back first.
      if (isLeftEmpty() && !event.shiftKey) view.setRuns(runsOf(keeping.stored()))
      else if (keeping.save()) void stepAndTell(editor, event.shiftKey ? 'redo' : 'undo')
    } else if (key === 'escape') editor.show({ words: undefined })
    else if (key === 'enter' && !event.shiftKey && !rich) editor.show({ words: undefined })
    else if (key === 'tab') goBeside(editor, stage, node!, event.shiftKey ? -1 : 1)
    else if (key === 'f6') onBar('first')
    else if (isMod && key === 'k' && rich) onBar('link')
    else return false
    event.preventDefault()
    return true
  }

  stage.writer.hold(section)
  const view: WordsView = openWordsView({
    node: fieldIn(node),
    runs: runsOf(contentAt(first.content, place.at)),
    rich,
    onState,
    onKey,
    onChange: keeping.rest,
    ...(rich && goesOn ? { onParagraphs: goOn, onJoin: join } : {}),
    onTooLong: tellTooLong,
  })
  const unsubscribe = editor.store.subscribe(({ docs }, before) => {
    if (docs !== before.docs && !isJoining) keeping.follow(docs)
  })

  /** Takes an element away that was left without a word; one step, from its words to nothing. */
  function removeEmpty(): void {
    const { doc, element } = place
    const problem = editor.dispatch({ type: 'removeElement', doc, element })
    if (!problem) tellUndoable(editor, `${label} removed: it had no text left.`)
  }

  // A window that is left at once takes nothing with it that was just typed.
  const isLeftEmpty = () => rich && goesOn !== undefined && keeping.isEmpty()
  const keepNow = () => void keeping.save()
  const keepAtLast = () => (isLeftEmpty() ? removeEmpty() : keepNow())
  window.addEventListener('beforeunload', keepNow, { capture: true })
  window.addEventListener('pagehide', keepAtLast)

  return {
    node,
    rich,
    view,
    save: keeping.save,
    /** Keeps what is written and gives the place back to the page. An element without a word left goes. */
    end() {
      unsubscribe()
      window.removeEventListener('beforeunload', keepNow, { capture: true })
      window.removeEventListener('pagehide', keepAtLast)
      keeping.stop()
      const isThere = elementAt(editor.store.getState().docs, place) !== undefined
      if (!hasGoneOn && isThere) keeping.saveAtLast()
      const isEmpty = isLeftEmpty()
      view.destroy()
      if (isEmpty && isThere) removeEmpty()
      stage.writer.letGo()
    },
  }
}

export type WordsSession = NonNullable<ReturnType<typeof openWords>>
