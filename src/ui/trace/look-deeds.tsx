'use client'

import { toast } from 'sonner'
import { valueWords, type Edit, type LookSetting } from '@/core/edit'
import type { SiteElement } from '@/core/site'
import type { WideIntent } from '@/core/wide'
import { useEditor, useEditorState, tellUndoable } from '../editor'
import { Button } from '../kit'
import { counted, problemWords } from '../words'
import { roleOf, type ReachOption } from './reaches'
import type { Traced } from './traced'

interface LookDeedsProps {
  readonly option: ReachOption
  readonly options: readonly ReachOption[]
  readonly trace: Traced
  readonly element?: SiteElement
  readonly onRun: (edit: Edit) => void
}

type Lift = Extract<WideIntent, { readonly type: 'liftLook' }>

/** Where something that one element decides would be decided instead; nothing for what cannot take it up. */
function liftTo(
  { kind, on }: ReachOption,
  trace: Traced,
  element: SiteElement,
  themes: { readonly here: string; readonly all: readonly string[] },
): Lift['to'] | undefined {
  if (on && 'style' in on) return { style: on.style }
  const setting = trace.chain.find(({ at }) => at === 'setting')
  if (kind === 'setting' && setting?.at === 'setting') return { setting: setting.setting }
  if (kind !== 'role' && kind !== 'everywhere') return undefined
  const ids = kind === 'role' ? [themes.here] : [...themes.all]
  return { themes: ids as never, role: roleOf(trace, element) }
}

/** What can be done with a decision beside changing it: lifted to more, kept for one alone, taken back. */
export function LookDeeds({ option, options, trace, element, onRun }: LookDeedsProps) {
  const editor = useEditor()
  const docs = useEditorState((state) => state.docs)
  const { property, state } = trace
  const here = options.find(({ kind }) => kind === 'element')
  const isShared = option.kind === 'style' || option.kind === 'base'
  const setting = (on: LookSetting['on'], value: LookSetting['value']): LookSetting => ({
    on,
    key: property.key,
    state,
    value,
  })
  const confine = (): Edit => ({
    type: 'setLooks',
    settings: [setting(option.on!, null), setting(here!.on!, option.value!)],
  })
  const theme = trace.chain.find(({ at }) => at === 'theme')
  const to =
    element && option !== here && here?.value !== undefined
      ? liftTo(option, trace, element, {
          here: theme?.at === 'theme' ? theme.theme : '',
          all: docs.frame.themes.order,
        })
      : undefined
  const lift = async () => {
    const intent = {
      type: 'liftLook',
      kind: element!.kind,
      key: property.key,
      state,
      value: here!.value!,
      to: to!,
    } as const
    const result = await editor.wide(intent)
    if (!result.ok) return void toast.error(problemWords(result.problem))
    tellUndoable(editor, `Set for ${option.label}.`)
  }
  if (!option.reset && !to) return null
  return (
    <div className="flex flex-wrap gap-1.5 [&_button]:h-auto [&_button]:min-h-7 [&_button]:px-2 [&_button]:py-1 [&_button]:text-xs [&_button]:whitespace-normal">
      {to && (
        <Button onClick={() => void lift()}>
          Lift {valueWords(property, here!.value!, docs)} from this one to{' '}
          {counted(option.count, 'element')}
        </Button>
      )}
      {option.reset && <Button onClick={() => onRun(option.reset!)}>Back to inherited</Button>}
      {option.reset && isShared && here?.on && (
        <Button onClick={() => onRun(confine())}>Only for this one</Button>
      )}
    </div>
  )
}
