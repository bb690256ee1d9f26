import { toast } from 'sonner'
import { isSame, type Json } from '@/core/changes'
import { contentAt } from '@/core/edit'
import { kindOf, plainText, type Runs } from '@/core/elements'
import type { SiteDocs, SiteElement } from '@/core/site'
import type { Editor, WordsPlace } from '../editor'
import { editProblemWords } from '../words'
import { againWith } from './new-element'
import { elementAt, runsOf } from './words-place'

/** How long words rest before they are kept, in milliseconds. */
const REST = 600
/** How long what became of words stays to be read, in milliseconds. */
const LONG = 20_000

/** What another one wrote meanwhile where words of ours are not kept yet. */
export interface Conflict {
  readonly theirs: string
  readonly keepOurs: () => void
  readonly takeTheirs: () => void
}

interface KeepingOptions {
  readonly editor: Editor
  readonly place: WordsPlace
  readonly first: SiteElement
  /** What stands in the field. */
  readonly written: () => Runs
  /** Puts other words into the field. */
  readonly put: (runs: Runs) => void
  readonly onConflict: (conflict: Conflict | undefined) => void
  /** Whether the element goes once it is left without a word: until then its last words stay stored, for Undo to bring back. */
  readonly leavesEmpty: boolean
}

/** Keeps what is written as it rests, and tells it apart from what others write in the same place. */
export function createKeeping(options: KeepingOptions) {
  const { editor, place, first, put, onConflict, leavesEmpty } = options
  const { doc, element, at } = place
  let last = first
  /** What is stored of these words, as far as this window knows. */
  let base = contentAt(first.content, at) as Runs | string
  const rich = Array.isArray(base)
  let timer: ReturnType<typeof setTimeout> | undefined

  const written = () => (rich ? options.written() : plainText(options.written()))
  const isKept = () => isSame(written() as Json, base as Json)
  const isEmpty = () => !plainText(options.written()).trim()
  const theirsNow = () =>
    contentAt(elementAt(editor.store.getState().docs, place)?.content, at) as Runs | string

  function send(was: Runs | string, to: Runs | string) {
    return editor.dispatch({ type: 'setContent', doc, element, at, was, to })
  }

  function save(): boolean {
    clearTimeout(timer)
    if (isKept() || (leavesEmpty && rich && isEmpty())) return true
    const [was, to] = [base, written()]
    base = to
    const problem = send(was, to)
    if (!problem) return true
    base = was
    if (problem === 'text-changed') tellConflict()
    else toast.error(`These words are not kept: ${editProblemWords[problem]}.`)
    return false
  }

  function tellConflict(): void {
    const theirs = theirsNow()
    const settle = () => {
      base = theirs
      onConflict(undefined)
    }
    onConflict({
      theirs: plainText(runsOf(theirs)),
      keepOurs() {
        settle()
        save()
      },
      takeTheirs() {
        settle()
        put(runsOf(theirs))
      },
    })
  }

  /** What landed: others' words come in where ours are kept; where they are not, both are told. */
  function follow(docs: SiteDocs): void {
    const now = elementAt(docs, place)
    const theirs = contentAt(now?.content, at)
    if (!now || theirs === undefined) return leaveGone()
    last = now
    if (isSame(theirs as Json, base as Json)) return
    if (!isKept()) return tellConflict()
    base = theirs as typeof base
    clearTimeout(timer)
    put(runsOf(theirs))
  }

  function leaveGone(): void {
    const again = againWith(last, at, written())
    const { label } = kindOf(first.kind)
    const words = plainText(runsOf(written())).slice(0, 60)
    editor.show({ words: undefined, selection: undefined })
    toast(`${label} “${words}” was taken away while you wrote in it.`, {
      duration: LONG,
      action: {
        label: 'Put it back',
        onClick() {
          const to = { section: place.section }
          const both = { top: [again.id], elements: [again] }
          const problem = editor.dispatch({ type: 'addElements', doc, to, ...both })
          if (problem) toast.error(`It could not be put back: ${editProblemWords[problem]}.`)
        },
      },
    })
  }

  /** Keeps what is written as the field closes; what cannot be kept is not let go without a word. */
  function saveAtLast(): void {
    if (save()) return
    onConflict(undefined)
    const mine = written()
    toast('Somebody else wrote here meanwhile; theirs stands.', {
      duration: LONG,
      action: {
        label: 'Put mine there',
        onClick() {
          const problem = send(theirsNow(), mine)
          if (problem) toast.error(`These words are not kept: ${editProblemWords[problem]}.`)
        },
      },
    })
  }

  return {
    rich,
    isEmpty,
    save,
    saveAtLast,
    follow,
    tellConflict,
    /** The element as it was last seen, and what is stored of its words. */
    element: () => last,
    stored: () => base,
    rest() {
      clearTimeout(timer)
      timer = setTimeout(save, REST)
    },
    stop: () => clearTimeout(timer),
  }
}
