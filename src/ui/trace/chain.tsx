'use client'

import { useRouter } from 'next/navigation'
import { writeHex } from '@/core/color'
import { paintWords } from '@/core/edit'
import type { Decider, Trace } from '@/core/resolve'
import { baseStyle } from '@/core/elements'
import { roleName } from '@/core/roles'
import { settings } from '@/core/traits'
import { isColor, slotName, type Paint, type SiteDocs } from '@/core/site'
import { useEditor, useEditorState } from '../editor'
import { Swatch } from '../kit'
import { decisionHex } from '../look'
import type { Overrule } from '../stage'

interface ChainProps {
  readonly trace: Trace
  readonly thing: string
  readonly overrule?: Overrule
}

function paintColor(paint: Paint, docs: SiteDocs): string {
  if (isColor(paint)) return decisionHex(docs.frame.palette, paint)
  return 'transparent'
}

/** The thread of decisions, nearest first: the one that counts raised, the overruled ones struck through. */
export function Chain({ trace, thing, overrule }: ChainProps) {
  const editor = useEditor()
  const router = useRouter()
  const docs = useEditorState((state) => state.docs)
  const siteId = useEditorState((state) => state.siteId)
  const { palette, themes, styles } = docs.frame

  const told = (decider: Decider<Paint>): string => {
    const under = trace.state === 'hover' && decider.state === 'rest' ? ', at rest' : ''
    switch (decider.at) {
      case 'element':
        return `This ${thing}${under}`
      case 'section':
        return `This section${under}`
      case 'base':
        return `All of ${baseStyle(decider.style)?.label ?? decider.style}${under}`
      case 'setting':
        return `Site-wide: ${settings[decider.setting].label}`
      case 'usual':
        return `Usual for it`
      case 'style':
        return `Element style ${styles[decider.style]?.name ?? decider.style}${under}`
      case 'theme':
        return `Theme ${themes.byId[decider.theme]?.name}, role ${roleName(decider.role).toLowerCase()}${under}`
    }
  }

  const openRole = (decider: Decider<Paint>) => {
    if (decider.at !== 'theme') return
    editor.show({ sheetCells: { roles: [decider.role], themes: [decider.theme] } })
    router.push(`/sites/${siteId}/themes`)
  }

  const slotNumber = trace.slot ? palette.order.indexOf(trace.slot) + 1 : 0

  return (
    <ol className="relative grid gap-1 before:absolute before:top-5 before:bottom-6 before:left-[15px] before:w-px before:bg-edge-strong">
      {overrule && (
        <Link
          color={overrule.computed}
          kind="counts"
          told={`Custom CSS${overrule.line ? `, line ${overrule.line}` : ''} has the last word`}
          what={overrule.selector ?? 'a style of its own'}
          code={overrule.computed}
        />
      )}
      {trace.chain.map((decider, i) => {
        const counts = i === trace.decidedBy && !overrule
        const { set } = decider
        return (
          <Link
            key={i}
            color={set ? paintColor(set, docs) : undefined}
            kind={counts ? 'counts' : set ? 'overruled' : 'silent'}
            told={told(decider)}
            what={set ? paintWords(set, docs) : 'sets nothing'}
            onOpen={decider.at === 'theme' ? () => openRole(decider) : undefined}
            openLabel="Open on the theme sheet"
          />
        )
      })}
      {trace.slot && trace.color && (
        <Link
          color={writeHex(trace.color)}
          kind="source"
          told={`Slot ${slotNumber} in the palette`}
          what={slotName(palette, trace.slot)}
          code={palette.slots[trace.slot]?.value ?? 'empty'}
          onOpen={() => editor.show({ openSlot: trace.slot })}
          openLabel="Edit the slot"
        />
      )}
    </ol>
  )
}

interface LinkProps {
  readonly color?: string
  readonly kind: 'counts' | 'overruled' | 'silent' | 'source'
  readonly told: string
  readonly what: string
  readonly code?: string
  readonly onOpen?: () => void
  readonly openLabel?: string
}

function Link({ color, kind, told, what, code, onOpen, openLabel }: LinkProps) {
  const raised = kind === 'counts'
  return (
    <li
      data-link={kind}
      className={`relative flex items-start gap-2.5 rounded-md px-2 py-1 ${raised ? 'border border-edge-strong/60 bg-raised shadow-sm' : ''}`}
    >
      {color ? (
        <Swatch color={color} className="mt-0.5" />
      ) : (
        <span
          aria-hidden
          className="mt-0.5 size-4 shrink-0 rounded-[3px] border border-dashed border-edge-strong bg-panel"
        />
      )}
      <span className="min-w-0 flex-1">
        <span className="block text-xs text-soft">{told}</span>
        <span
          className={`block truncate ${kind === 'overruled' ? 'line-through' : ''} ${kind === 'silent' ? 'text-soft' : 'font-semibold'}`}
        >
          {what} {code && <span className="code font-normal">{code}</span>}
        </span>
      </span>
      {onOpen && (
        <button
          type="button"
          onClick={onOpen}
          title={openLabel}
          aria-label={`${openLabel}: ${what}`}
          className="self-center rounded border border-edge-strong/60 px-1.5 py-0.5 text-[11px] hover:bg-hover"
        >
          open
        </button>
      )}
    </li>
  )
}
