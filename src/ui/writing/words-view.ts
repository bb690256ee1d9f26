import { baseKeymap, toggleMark } from 'prosemirror-commands'
import { keymap } from 'prosemirror-keymap'
import { Fragment } from 'prosemirror-model'
import { EditorState, Plugin, TextSelection, type Command } from 'prosemirror-state'
import { EditorView } from 'prosemirror-view'
import { mostWords, plainText, type Run, type Runs, type WordColor } from '@/core/elements'
import type { WordsPlace } from '../editor'
import { cleanPaste, plainPaste } from './clean-paste'
import { othersWords } from './others-words'
import { docOfRuns, nodesOfRuns, runsOfDoc, wordSchema } from './word-schema'

const { strong, em, link, words } = wordSchema.marks as Record<
  'strong' | 'em' | 'link' | 'words',
  NonNullable<(typeof wordSchema.marks)[string]>
>

/** The marks of what is chosen, and whether anything is. */
export interface WordsState {
  readonly isChosen: boolean
  readonly strong: boolean
  readonly em: boolean
  readonly href?: string
  readonly color?: WordColor
}

interface WordsViewOptions {
  readonly node: HTMLElement
  readonly runs: Runs
  /** Whether words can be marked and lines broken. */
  readonly rich: boolean
  readonly onChange: () => void
  readonly onState: (state: WordsState) => void
  /** Takes what a key asks for that is not about the words alone; true where it was that. */
  readonly onKey: (event: KeyboardEvent) => boolean
  /** What is pasted comes in paragraphs; those after the first, and what stood behind, want places of their own. */
  readonly onParagraphs?: (here: Runs, after: readonly Runs[]) => void
  /** Joins the words to those before them, or those behind to these; true where there are such. */
  readonly onJoin?: (by: 1 | -1) => boolean
  readonly onTooLong: (length: number) => void
}

/** The marks of what is chosen. */
function stateOf({ selection, doc, storedMarks }: EditorState): WordsState {
  const { from, to, empty, $from } = selection
  const here = storedMarks ?? $from.marks()
  const has = (mark: typeof strong) =>
    empty ? !!mark.isInSet(here) : doc.rangeHasMark(from, to, mark)
  const at = (mark: typeof strong) =>
    mark.isInSet($from.marks()) ?? mark.isInSet(doc.nodeAt(from)?.marks ?? []) ?? undefined
  return {
    isChosen: !empty,
    strong: has(strong),
    em: has(em),
    href: at(link)?.attrs.href as string | undefined,
    color: at(words)?.attrs.color as WordColor | undefined,
  }
}

/** What is chosen in a field just now: the browser tells the view of it in a task of its own, behind a quick key. */
function chosenIn(view: EditorView): { readonly from: number; readonly to: number } {
  const { from, to } = view.state.selection
  const seen = view.dom.ownerDocument.getSelection()
  if (!seen?.anchorNode || !seen.focusNode || !view.dom.contains(seen.focusNode))
    return { from, to }
  const ends = [
    view.posAtDOM(seen.anchorNode, seen.anchorOffset),
    view.posAtDOM(seen.focusNode, seen.focusOffset),
  ]
  return { from: Math.min(...ends), to: Math.max(...ends) }
}

/** The words of an element, edited where they stand: the element itself becomes the field. */
export function openWordsView(options: WordsViewOptions) {
  const { node, rich, onChange, onState, onKey, onParagraphs, onTooLong } = options

  /** Most keys change nothing of what the bar shows. */
  let told = ''
  const tellState = (state: EditorState) => {
    const next = stateOf(state)
    const text = JSON.stringify(next)
    if (text === told) return
    told = text
    onState(next)
  }

  const breakLine: Command = (state, dispatch) => {
    if (!rich) return true
    dispatch?.(state.tr.replaceSelectionWith(wordSchema.nodes.br!.create()).scrollIntoView())
    return true
  }
  /** A paragraph ends here: what stands behind goes on in one of its own. */
  const breakParagraph: Command = ({ doc }) => {
    if (!onParagraphs) return false
    const { from, to } = chosenIn(view)
    onParagraphs(runsOfDoc(doc.cut(0, from)), [runsOfDoc(doc.cut(to))])
    return true
  }
  /** At the edge of the words, what parts them from those beside them is taken away. */
  const joinAt =
    (by: 1 | -1): Command =>
    ({ doc }) => {
      const { from, to } = chosenIn(view)
      if (from !== to || from !== (by < 0 ? 0 : doc.content.size)) return false
      return options.onJoin?.(by) ?? false
    }
  const marksKeys: Record<string, Command> = rich
    ? { 'Mod-b': toggleMark(strong), 'Mod-i': toggleMark(em) }
    : {}

  function paste(paragraphs: readonly Run[][]): void {
    const { state } = view
    const { from, to } = chosenIn(view)
    const plain = (runs: Run[]) => [{ text: plainText(runs).replaceAll('\n', ' ') }]
    const taken = rich ? paragraphs : paragraphs.map(plain)
    if (onParagraphs && taken.length > 1) {
      const [first = [], ...others] = taken
      const rest = runsOfDoc(state.doc.cut(to))
      const last = others.at(-1)!
      onParagraphs(
        [...runsOfDoc(state.doc.cut(0, from)), ...first],
        [...others.slice(0, -1), [...last, ...rest]],
      )
      return
    }
    const line = taken.flatMap((runs, i) => (i ? [{ text: rich ? '\n' : ' ' }, ...runs] : runs))
    const nodes = Fragment.fromArray(nodesOfRuns(line))
    view.dispatch(state.tr.replaceWith(from, to, nodes).scrollIntoView())
  }

  const state = EditorState.create({
    doc: docOfRuns(options.runs),
    plugins: [
      keymap({
        ...marksKeys,
        'Shift-Enter': breakLine,
        Enter: breakParagraph,
        Backspace: joinAt(-1),
        Delete: joinAt(1),
      }),
      keymap(baseKeymap),
      new Plugin({
        filterTransaction: (tr) => {
          const { size } = tr.doc.content
          if (!tr.docChanged || size <= mostWords) return true
          onTooLong(size)
          return false
        },
      }),
    ],
  })
  node.style.whiteSpace = 'pre-wrap'
  const view = new EditorView(
    { mount: node },
    {
      state,
      attributes: { role: 'textbox', 'aria-label': 'Words', 'aria-multiline': String(rich) },
      dispatchTransaction(tr) {
        view.updateState(view.state.apply(tr))
        if (tr.docChanged) onChange()
        tellState(view.state)
      },
      handleKeyDown: (_view, event) => onKey(event),
      handlePaste(_view, event) {
        const html = event.clipboardData?.getData('text/html')
        const text = event.clipboardData?.getData('text/plain') ?? ''
        paste(html ? cleanPaste(html) : plainPaste(text))
        return true
      },
      handleDrop: () => true,
      handleDOMEvents: {
        // One history for words and colours: the site's.
        beforeinput(_view, event) {
          if (!event.inputType.startsWith('history')) return false
          event.preventDefault()
          return true
        },
      },
    },
  )
  view.focus()
  tellState(view.state)

  const apply = (command: Command) => {
    command(view.state, (tr) => view.dispatch(tr))
    view.focus()
  }
  /** The stretch around the caret that a mark covers, or what is chosen. */
  const setMark = (mark: typeof strong, attrs: Record<string, unknown> | undefined) => {
    const { tr, selection, doc } = view.state
    let { from, to } = selection
    if (selection.empty) {
      doc.forEach((node, at) => {
        const end = at + node.nodeSize
        if (mark.isInSet(node.marks) && at <= selection.from && selection.from <= end) {
          ;[from, to] = [at, end]
        }
      })
    }
    tr.removeMark(from, to, mark)
    if (attrs) tr.addMark(from, to, mark.create(attrs))
    view.dispatch(tr)
    view.focus()
  }
  return {
    runs: () => runsOfDoc(view.state.doc),
    setRuns(runs: Runs) {
      const tr = othersWords(view.state, chosenIn(view), runs)
      if (tr) view.dispatch(tr)
    },
    /** Puts the caret where a point of the page is, behind some characters, or at the end. */
    putCaret(caret: WordsPlace['caret']) {
      const end = view.state.doc.content.size
      const found = caret && ('behind' in caret ? caret.behind : view.posAtCoords(caret)?.pos)
      const at = Math.min(found ?? end, end)
      view.dispatch(view.state.tr.setSelection(TextSelection.create(view.state.doc, at)))
    },
    chooseAll() {
      const { doc, tr } = view.state
      view.dispatch(tr.setSelection(TextSelection.create(doc, 0, doc.content.size)))
    },
    toggle: (mark: 'strong' | 'em') => apply(toggleMark(mark === 'strong' ? strong : em)),
    setLink: (href: string | undefined) => setMark(link, href ? { href } : undefined),
    setColor: (color: WordColor | undefined) => setMark(words, color ? { color } : undefined),
    focus: () => view.focus(),
    destroy: () => view.destroy(),
  }
}

export type WordsView = ReturnType<typeof openWordsView>
