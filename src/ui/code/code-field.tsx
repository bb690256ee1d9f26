'use client'

import { autocompletion, type Completion, type CompletionContext } from '@codemirror/autocomplete'
import { css } from '@codemirror/lang-css'
import { html } from '@codemirror/lang-html'
import { HighlightStyle, syntaxHighlighting } from '@codemirror/language'
import { linter, lintGutter, type Diagnostic } from '@codemirror/lint'
import { EditorState, StateEffect, StateField, type Range } from '@codemirror/state'
import { Decoration, EditorView, WidgetType, type DecorationSet } from '@codemirror/view'
import { tags } from '@lezer/highlight'
import { basicSetup } from 'codemirror'
import { useEffect, useRef } from 'react'

/** A colour that stands in the text. Offsets count UTF-16 units. */
export interface ColorInText {
  readonly from: number
  readonly to: number
  /** What it is painted with. */
  readonly paint: string
}

/** What is wrong with a place, in words. */
export interface FaultInText {
  readonly from: number
  readonly to: number
  readonly words: string
}

/** Something that can be put where one types. */
export interface Offer {
  readonly label: string
  readonly detail: string
  readonly paint?: string
}

const LANGUAGES = { css, html } as const

export interface CodeFieldProps {
  readonly label: string
  readonly language: keyof typeof LANGUAGES
  readonly value: string
  readonly onChange: (text: string) => void
  /** The place of the cursor, as it moves. */
  readonly onCursor: (at: number) => void
  readonly colorsIn: (text: string) => readonly ColorInText[]
  readonly faultsIn: (text: string) => readonly FaultInText[]
  readonly offers: readonly Offer[]
  /** A line to go to, from 1; gone to once. */
  readonly line?: number
}

class Patch extends WidgetType {
  constructor(private readonly paint: string) {
    super()
  }
  override eq(other: Patch): boolean {
    return other.paint === this.paint
  }
  override toDOM(): HTMLElement {
    const patch = document.createElement('span')
    patch.className = 'code-patch'
    patch.setAttribute('aria-hidden', 'true')
    patch.style.background = this.paint
    return patch
  }
}

const painted = StateEffect.define<readonly ColorInText[]>()

/** A patch before every colour, in its colour. */
const patches = StateField.define<DecorationSet>({
  create: () => Decoration.none,
  update(known, transaction) {
    for (const effect of transaction.effects) {
      if (!effect.is(painted)) continue
      const marks: Range<Decoration>[] = effect.value.map(({ from, paint }) =>
        Decoration.widget({ widget: new Patch(paint), side: -1 }).range(from),
      )
      return Decoration.set(marks, true)
    }
    return known.map(transaction.changes)
  },
  provide: (field) => EditorView.decorations.from(field),
})

/** Greyscale, as the rest of the interface is: weight and slant tell the parts apart, colour is the site's alone. */
const inGreys = HighlightStyle.define([
  { tag: tags.comment, fontStyle: 'italic', color: 'var(--color-soft)' },
  { tag: [tags.propertyName, tags.attributeName], fontWeight: '600' },
  { tag: [tags.keyword, tags.tagName, tags.className], fontWeight: '700' },
  { tag: [tags.string, tags.number, tags.unit], color: 'var(--color-ink)' },
  { tag: tags.invalid, textDecoration: 'underline wavy' },
])

const theme = EditorView.theme({
  '&': { height: '100%', fontSize: '12.5px', backgroundColor: 'var(--color-raised)' },
  '.cm-scroller': { fontFamily: 'var(--font-mono)', lineHeight: '1.55' },
  '.cm-gutters': { backgroundColor: 'var(--color-panel)', color: 'var(--color-soft)', border: 0 },
  '.cm-activeLine, .cm-activeLineGutter': { backgroundColor: 'var(--color-hover)' },
  '.cm-cursor': { borderLeftColor: 'var(--color-ink)' },
  '&.cm-focused': { outline: '2px solid var(--color-ink)', outlineOffset: '-2px' },
  '.cm-selectionBackground, &.cm-focused > .cm-scroller > .cm-selectionLayer .cm-selectionBackground':
    { backgroundColor: 'var(--color-edge)' },
  '&.cm-focused .cm-matchingBracket, .cm-matchingBracket': {
    backgroundColor: 'transparent',
    outline: '1px solid var(--color-edge-strong)',
  },
  '.cm-tooltip': {
    backgroundColor: 'var(--color-raised)',
    color: 'var(--color-ink)',
    border: '1px solid var(--color-edge-strong)',
    borderRadius: '6px',
    overflow: 'hidden',
  },
  '.cm-tooltip-autocomplete ul li[aria-selected]': {
    backgroundColor: 'var(--color-strong)',
    color: 'var(--color-on-strong)',
  },
  '.cm-completionDetail': { fontStyle: 'normal', marginLeft: '1em', opacity: '0.75' },
  '.cm-completionIcon': { display: 'none' },
  '.cm-lint-marker-error': {
    content: '""',
    width: '0.65em',
    height: '0.65em',
    margin: '0.35em auto',
    borderRadius: '50%',
    backgroundColor: 'var(--color-ink)',
  },
  '.cm-lintRange-error': {
    backgroundImage: 'none',
    textDecoration: 'underline wavy var(--color-ink)',
  },
  '.cm-diagnostic-error': { borderLeft: '4px solid var(--color-ink)' },
  '.code-patch': {
    display: 'inline-block',
    width: '0.8em',
    height: '0.8em',
    marginRight: '0.25em',
    verticalAlign: '-0.05em',
    borderRadius: '2px',
    boxShadow: '0 0 0 1px var(--color-edge-strong)',
  },
})

/** Puts what was chosen in the place of what was typed; a bracket that the field closed by itself is taken along. */
function putting(view: EditorView, { label }: Completion, from: number, to: number): void {
  const closed = label.endsWith(')') && view.state.sliceDoc(to, to + 1) === ')'
  view.dispatch({
    changes: { from, to: closed ? to + 1 : to, insert: label },
    selection: { anchor: from + label.length },
  })
}

/** What could follow the word that is being typed. */
function completing(offers: () => readonly Offer[]) {
  return (context: CompletionContext) => {
    const word = context.matchBefore(/(?:var\(\s*)?--?[\w-]*|\.[\w-]*/)
    if (!word || (word.text === '' && !context.explicit)) return null
    const options: Completion[] = offers().map(({ label, detail }) => ({
      label: label.startsWith('--') ? `var(${label})` : label,
      detail,
      type: label.startsWith('--') ? 'variable' : 'class',
      apply: putting,
    }))
    return { from: word.from, options, filter: true }
  }
}

/** How long a text rests before it is looked through, in milliseconds. */
const REST = 150

/** Text in code: highlighted, its faults marked, its colours shown, what fits offered while one types. */
export function CodeField(props: CodeFieldProps) {
  const room = useRef<HTMLDivElement>(null)
  const view = useRef<EditorView>(null)
  const latest = useRef(props)
  useEffect(() => {
    latest.current = props
  })
  useEffect(() => {
    const parent = room.current!
    let timer: ReturnType<typeof setTimeout> | undefined
    const paint = (editor: EditorView) =>
      editor.dispatch({ effects: painted.of(latest.current.colorsIn(editor.state.doc.toString())) })
    const lint = (editor: EditorView): Diagnostic[] =>
      latest.current
        .faultsIn(editor.state.doc.toString())
        .map(({ from, to, words }) => ({ from, to, message: words, severity: 'error' }))
    const editor = new EditorView({
      parent,
      state: EditorState.create({
        doc: latest.current.value,
        extensions: [
          basicSetup,
          LANGUAGES[latest.current.language](),
          patches,
          theme,
          syntaxHighlighting(inGreys),
          lintGutter(),
          linter(lint, { delay: REST }),
          autocompletion({ override: [completing(() => latest.current.offers)] }),
          EditorView.lineWrapping,
          EditorView.contentAttributes.of({ 'aria-label': latest.current.label }),
          EditorView.updateListener.of((update) => {
            if (update.docChanged) {
              latest.current.onChange(update.state.doc.toString())
              clearTimeout(timer)
              timer = setTimeout(() => paint(update.view), REST)
            }
            if (update.docChanged || update.selectionSet) {
              latest.current.onCursor(update.state.selection.main.head)
            }
          }),
        ],
      }),
    })
    view.current = editor
    paint(editor)
    return () => {
      clearTimeout(timer)
      editor.destroy()
      view.current = null
    }
  }, [])
  const { value, line } = props
  useEffect(() => {
    const editor = view.current
    const now = editor?.state.doc.toString()
    if (!editor || now === value) return
    editor.dispatch({ changes: { from: 0, to: now!.length, insert: value } })
  }, [value])
  useEffect(() => {
    const editor = view.current
    if (!editor || !line || line > editor.state.doc.lines) return
    const { from } = editor.state.doc.line(line)
    editor.dispatch({
      selection: { anchor: from },
      effects: EditorView.scrollIntoView(from, { y: 'center' }),
    })
    editor.focus()
  }, [line])
  return <div ref={room} className="h-full min-h-0 overflow-hidden" />
}
