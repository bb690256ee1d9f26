import { flushSync } from 'react-dom'
import { toast } from 'sonner'
import { isSame, type Json } from '@/core/changes'
import { contentAt } from '@/core/edit'
import { kindOf, plainText, type KindId, type Run, type Runs } from '@/core/elements'
import { bodyOf, own, type SiteDocs, type SiteElement } from '@/core/site'
import { stepAndTell, type Editor, type WordsPlace } from '../editor'
import { editProblemWords } from '../words'
import { placeOfWords, selectedNode, type StageAccess } from '../stage'
import { againWith, textAfter } from './new-element'
import { openWordsView, type WordsState, type WordsView } from './words-view'

/** How long words rest before they are kept, in milliseconds. */
const REST = 600

/** What another one wrote meanwhile where words of ours are not kept yet. */
export interface Conflict {
  readonly theirs: string
  readonly keepOurs: () => void
  readonly takeTheirs: () => void
}

interface SessionOptions {
  readonly editor: Editor
  readonly stage: StageAccess
  readonly place: WordsPlace
  readonly onState: (state: WordsState) => void
  readonly onConflict: (conflict: Conflict | undefined) => void
  /** Asks for the bar that stands by the words; with the link's part where that is meant. */
  readonly onBar: (part: 'first' | 'link') => void
}

/** The tag that holds some words of the page that is drawn. */
export function wordsNode(stage: StageAccess, place: WordsPlace): HTMLElement | undefined {
  const element = selectedNode(stage.document, place)
  const isIt = `[data-words="${CSS.escape(place.at.join('.'))}"]`
  if (!element) return undefined
  return element.matches(isIt) ? element : (element.querySelector<HTMLElement>(isIt) ?? undefined)
}

/** Kinds behind whose words a new paragraph begins at Enter, and of what kind it is. */
const GOES_ON: Readonly<Partial<Record<KindId, KindId>>> = {
  heading: 'paragraph',
  paragraph: 'paragraph',
  finePrint: 'finePrint',
}

const elementAt = (docs: SiteDocs, { doc, element }: WordsPlace): SiteElement | undefined => {
  const body = bodyOf(docs, doc)
  return body && own(body.elements, element)
}

/** A button takes spaces for clicks: its words are written in a span of their own. */
function fieldIn(node: HTMLElement): HTMLElement {
  if (node.tagName !== 'BUTTON') return node
  const span = node.ownerDocument.createElement('span')
  node.replaceChildren(span)
  return span
}

/**
 * Words that are edited where they stand: kept as they rest, one history with all else,
 * and told apart from what others write in the same place. Nothing where the words are not there.
 */
export function openWords(options: SessionOptions) {
  const { editor, stage, place, onState, onConflict, onBar } = options
  const node = wordsNode(stage, place)
  const first = elementAt(editor.store.getState().docs, place)
  const section = node?.closest('[data-section]')
  if (!node || !first || !section) return undefined
  const kind = kindOf(first.kind)
  let last = first
  /** What is stored of these words, as far as this window knows. */
  let base = contentAt(first.content, place.at) as Runs | string
  const rich = Array.isArray(base)
  let timer: ReturnType<typeof setTimeout> | undefined
  let hasEnded = false

  const runsOf = (value: unknown): Runs =>
    Array.isArray(value) ? (value as Run[]) : [{ text: String(value ?? '') }]
  const written = (): Runs | string => (rich ? view.runs() : plainText(view.runs()))
  const isKept = () => isSame(written() as Json, base as Json)
  const wordsOf = (value: unknown) => plainText(runsOf(value))

  function save(): boolean {
    clearTimeout(timer)
    if (isKept()) return true
    const [was, to] = [base, written()]
    base = to
    const { doc, element, at } = place
    const problem = editor.dispatch({ type: 'setContent', doc, element, at, was, to })
    if (!problem) return true
    base = was
    if (problem === 'text-changed') tellConflict()
    else toast.error(`These words are not kept: ${editProblemWords[problem]}.`)
    return false
  }

  function tellConflict(): void {
    const now = elementAt(editor.store.getState().docs, place)
    const theirs = contentAt(now?.content, place.at) as Runs | string
    onConflict({
      theirs: wordsOf(theirs),
      keepOurs() {
        base = theirs
        onConflict(undefined)
        save()
      },
      takeTheirs() {
        base = theirs
        view.setRuns(runsOf(theirs))
        onConflict(undefined)
      },
    })
  }

  /** What landed: others' words come in where ours are kept; where they are not, both are told. */
  function onDocs(docs: SiteDocs): void {
    const now = elementAt(docs, place)
    if (!now) return leaveGone()
    last = now
    const theirs = contentAt(now.content, place.at)
    if (theirs === undefined) return leaveGone()
    if (isSame(theirs as Json, base as Json)) return
    if (!isKept()) return tellConflict()
    base = theirs as typeof base
    clearTimeout(timer)
    view.setRuns(runsOf(theirs))
  }

  function leaveGone(): void {
    const words = wordsOf(written())
    editor.show({ words: undefined, selection: undefined })
    toast(`${kind.label} “${words.slice(0, 60)}” was taken away while you wrote in it.`, {
      duration: 20_000,
      action: {
        label: 'Put it back',
        onClick() {
          const { doc, section: at } = place
          const again = againWith(last, place.at, written())
          const problem = editor.dispatch({
            type: 'addElements',
            doc,
            to: { section: at },
            top: [again.id],
            elements: [again],
          })
          if (problem) toast.error(`It could not be put back: ${editProblemWords[problem]}.`)
        },
      },
    })
  }

  function goOn(here: Runs, after: readonly Runs[]): void {
    const { doc, element, at } = place
    const next = after.map((runs) => textAfter(last, GOES_ON[last.kind]!, runs))
    const problem = editor.dispatch({
      type: 'continueWords',
      doc,
      element,
      at,
      was: base,
      to: [...here],
      after: next,
    })
    if (problem === 'text-changed') return tellConflict()
    if (problem) return void toast.error(`Not continued: ${editProblemWords[problem]}.`)
    base = here
    hasEnded = true
    const words = { ...place, element: next.at(-1)!.id, at: ['runs'] }
    goTo(words)
  }

  /** Goes to other words before the next key comes: none may fall between. */
  function goTo(words: WordsPlace): void {
    const { doc, section, element } = words
    flushSync(() => editor.show({ words, selection: { doc, section, element } }))
  }

  /** Goes to the words beside these, in the order of the page. */
  function step(by: number): void {
    const all = [...stage.document.querySelectorAll<HTMLElement>('[data-words]')]
    const next = all[all.indexOf(node!) + by]
    const words = next && placeOfWords(editor.store.getState().pageId, next)
    if (words) goTo(words)
  }

  function onKey(event: KeyboardEvent): boolean {
    const isMod = event.ctrlKey || event.metaKey
    const key = event.key.toLowerCase()
    if (isMod && key === 'z') {
      if (save()) void stepAndTell(editor, event.shiftKey ? 'redo' : 'undo')
    } else if (key === 'escape') editor.show({ words: undefined })
    else if (key === 'enter' && !event.shiftKey && !rich) editor.show({ words: undefined })
    else if (key === 'tab') step(event.shiftKey ? -1 : 1)
    else if (key === 'f6') onBar('first')
    else if (isMod && key === 'k' && rich) onBar('link')
    else return false
    event.preventDefault()
    return true
  }

  stage.writer.hold(section)
  const view: WordsView = openWordsView({
    node: fieldIn(node),
    runs: runsOf(base),
    rich,
    onState,
    onKey,
    onChange() {
      clearTimeout(timer)
      timer = setTimeout(save, REST)
    },
    ...(rich && GOES_ON[first.kind] ? { onParagraphs: goOn } : {}),
    onTooLong: (length) =>
      toast.error(
        `That would be ${length.toLocaleString('en-GB')} characters; one text holds 20,000. Nothing was put in: part it into several.`,
      ),
  })
  const unsubscribe = editor.store.subscribe(({ docs }, before) => {
    if (docs !== before.docs) onDocs(docs)
  })

  return {
    node,
    rich,
    view,
    save,
    /** Keeps what is written and gives the place back to the page. An element without a word left goes. */
    end() {
      unsubscribe()
      clearTimeout(timer)
      const isThere = elementAt(editor.store.getState().docs, place) !== undefined
      if (!hasEnded && isThere) save()
      const isEmpty = rich && !plainText(view.runs()).trim() && GOES_ON[first.kind]
      view.destroy()
      if (isEmpty && isThere) {
        const { doc, element } = place
        const problem = editor.dispatch({ type: 'removeElement', doc, element })
        if (!problem) toast(`${kind.label} without a word taken away. Undo brings it back.`)
      }
      stage.writer.letGo()
    },
  }
}

export type WordsSession = NonNullable<ReturnType<typeof openWords>>
