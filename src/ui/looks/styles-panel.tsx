'use client'

import { Trash2 } from 'lucide-react'
import { useState } from 'react'
import { toast } from 'sonner'
import { propertyWords, valueWords } from '@/core/edit'
import {
  baseStyle,
  baseStyles,
  labelOf,
  propertiesOf,
  styledKinds,
  type NamedBase,
} from '@/core/elements'
import { own, type ElementStyle, type StyleId } from '@/core/site'
import { states, type State } from '@/core/traits'
import { useEditor, useEditorState, useReach } from '../editor'
import { Button, Dialog, IconButton, SelectField, TextField, Tick } from '../kit'
import { counted, editProblemWords, problemWords } from '../words'

/** What a style decides, line by line: what a variant differs in. */
function Decisions({ style }: { readonly style: ElementStyle }) {
  const editor = useEditor()
  const docs = useEditorState((state) => state.docs)
  const lines = propertiesOf(style.kind).flatMap((property) =>
    states.flatMap((state) => {
      const value = style.looks[property.key]?.[state]
      return value === undefined ? [] : [{ property, state, value }]
    }),
  )
  if (lines.length === 0) return <p className="text-soft">It sets nothing yet.</p>
  const drop = (key: string, state: State) =>
    editor.carryOut({
      type: 'setLooks',
      settings: [{ on: { style: style.id }, key, state, value: null }],
    })
  return (
    <ul className="grid">
      {lines.map(({ property, state, value }) => (
        <li key={`${property.key}/${state}`} className="flex items-center gap-2">
          <span className="min-w-0 flex-1 truncate">
            {propertyWords(property, state)}: <b>{valueWords(property, value, docs)}</b>
          </span>
          <IconButton
            label={`Inherit ${propertyWords(property, state)} again`}
            className="size-6"
            onClick={() => drop(property.key, state)}
          >
            <Trash2 size={12} />
          </IconButton>
        </li>
      ))}
    </ul>
  )
}

interface StyleEntryProps {
  readonly style: ElementStyle
  readonly count: number
  readonly others: readonly ElementStyle[]
}

/** One element style: what it sets, what it inherits from, and what can be done with it. */
function StyleEntry({ style, count, others }: StyleEntryProps) {
  const editor = useEditor()
  const [open, setOpen] = useState(false)
  const [going, setGoing] = useState(false)
  const isBase = baseStyle(style.id) !== undefined
  const heirs = others.filter(({ parent }) => parent !== style.id)
  const rename = (name: string) => {
    const problem = editor.dispatch({ type: 'changeStyle', style: style.id, name })
    return problem && `Not kept: ${editProblemWords[problem]}.`
  }
  return (
    <li className="border-b border-edge last:border-b-0">
      <button
        type="button"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
        className="flex w-full items-baseline gap-2 px-2.5 py-1.5 text-left hover:bg-hover"
      >
        <span
          className={`min-w-0 flex-1 truncate ${Object.keys(style.looks).length || !isBase ? 'font-semibold' : ''}`}
        >
          {isBase ? `Every ${style.name.toLowerCase()}` : style.name}
        </span>
        <span className="code text-[11px] text-soft">{count === 0 ? 'unused' : count}</span>
      </button>
      {open && (
        <div className="grid gap-2 px-2.5 pb-2.5">
          <Decisions style={style} />
          {!isBase && (
            <>
              <TextField label="Name" value={style.name} onCommit={rename} />
              <SelectField
                label="Inherits from"
                value={style.parent ?? ''}
                onChange={(parent) =>
                  editor.carryOut({
                    type: 'changeStyle',
                    style: style.id,
                    parent: parent ? (parent as StyleId) : null,
                  })
                }
              >
                <option value="">Every {labelOf(style.kind).toLowerCase()}</option>
                {heirs.map(({ id, name }) => (
                  <option key={id} value={id}>
                    {name}
                  </option>
                ))}
              </SelectField>
              <Button className="justify-self-start" onClick={() => setGoing(true)}>
                Remove or exchange …
              </Button>
              <Leaving
                style={style}
                count={count}
                others={others}
                open={going}
                onOpenChange={setGoing}
              />
            </>
          )}
        </div>
      )}
    </li>
  )
}

interface LeavingProps extends StyleEntryProps {
  readonly open: boolean
  readonly onOpenChange: (open: boolean) => void
}

/** What becomes of the elements that wear a style when it goes, or when another takes its place. */
function Leaving({ style, count, others, open, onOpenChange }: LeavingProps) {
  const editor = useEditor()
  const [to, setTo] = useState('')
  const [keep, setKeep] = useState(true)
  const [busy, setBusy] = useState(false)
  const run = async (remove: boolean) => {
    setBusy(true)
    const target = to ? (to as StyleId) : null
    const result = await editor.wide({
      type: 'exchangeStyle',
      style: style.id,
      to: target,
      keep,
      remove,
    })
    setBusy(false)
    if (!result.ok) return void toast.error(problemWords(result.problem))
    onOpenChange(false)
    toast(remove ? `Element style ${style.name} is removed.` : `${style.name} is exchanged.`)
  }
  return (
    <Dialog open={open} onOpenChange={onOpenChange} title={`${style.name}, remove or exchange`}>
      <div className="grid gap-3">
        <p>
          {counted(count, 'element')} on the whole site {count === 1 ? 'wears' : 'wear'} it.
        </p>
        <SelectField label="They take" value={to} onChange={setTo}>
          <option value="">no style, as every {labelOf(style.kind).toLowerCase()}</option>
          {others.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </SelectField>
        <Tick checked={keep} onChange={setKeep}>
          They keep how they look
        </Tick>
        <div className="flex justify-end gap-2">
          <Button disabled={busy} onClick={() => void run(false)}>
            Exchange, keep the style
          </Button>
          <Button look="strong" disabled={busy} onClick={() => void run(true)}>
            Remove the style
          </Button>
        </div>
      </div>
    </Dialog>
  )
}

/** A base style as it is listed: as it is kept, or with nothing decided. */
const listed = (styles: Readonly<Record<string, ElementStyle>>, base: NamedBase): ElementStyle =>
  own(styles, base.id) ??
  ({ id: base.id, name: base.label, kind: base.kind, looks: {} } as unknown as ElementStyle)

/** All element styles by what they are of: those that all of a kind have, and the site's own. */
export function StylesPanel() {
  const styles = useEditorState((state) => state.docs.frame.styles)
  const reach = useReach()
  const given = Object.values(styles).filter(({ id }) => !baseStyle(id))
  return (
    <div className="grid gap-3">
      <p className="text-soft">
        A style of your own is made on the page: click an element, then the style beside its name.
      </p>
      {styledKinds.map((kind) => {
        const own = given.filter((style) => style.kind === kind)
        const bases = baseStyles.filter((base) => base.kind === kind)
        return (
          <section key={kind} aria-label={labelOf(kind)} className="grid gap-1">
            <h3 className="text-xs font-semibold text-soft">{labelOf(kind)}</h3>
            <ul className="overflow-hidden rounded-lg border border-edge-strong/60 bg-raised">
              {[...bases.map((base) => listed(styles, base)), ...own].map((style) => (
                <StyleEntry
                  key={style.id}
                  style={style}
                  count={reach.styles[style.id] ?? 0}
                  others={own.filter(({ id }) => id !== style.id)}
                />
              ))}
            </ul>
          </section>
        )
      })}
    </div>
  )
}
