'use client'

import { useRouter } from 'next/navigation'
import { writeHex } from '@/core/color'
import { settingWords, valueWords } from '@/core/edit'
import { baseStyle, isFeature } from '@/core/elements'
import type { Decider } from '@/core/resolve'
import { roleName } from '@/core/roles'
import { slotName, type Paint } from '@/core/site'
import { settings, stateWords } from '@/core/traits'
import { useEditor, useEditorState } from '../editor'
import { Swatch } from '../kit'
import { paintBackground } from '../look'
import type { Overrule } from '../stage'
import type { Traced } from './traced'

interface ChainProps {
  readonly trace: Traced
  readonly thing: string
  readonly overrule?: Overrule
}

/** Who can say nothing is told only where it is the first that one would ask. */
const isTold = ({ set, at, state }: Decider, i: number, trace: Traced): boolean =>
  set !== undefined || i === 0 || (at === 'style' && state === trace.state)

/** The thread of decisions, nearest first: the one that counts raised, the overruled ones struck through. */
export function Chain({ trace, thing, overrule }: ChainProps) {
  const editor = useEditor()
  const router = useRouter()
  const docs = useEditorState((state) => state.docs)
  const siteId = useEditorState((state) => state.siteId)
  const { palette, themes, styles } = docs.frame
  const { property, color, state } = trace

  const told = (decider: Decider): string => {
    const words = stateWords[decider.state]
    const when = decider.state === state ? '' : words ? `, ${words}` : ', at rest'
    switch (decider.at) {
      case 'element':
        return `This ${thing}${when}`
      case 'section':
        return `This section${when}`
      case 'base':
        return `Every ${(baseStyle(decider.style)?.label ?? decider.style).toLowerCase()}${when}`
      case 'setting':
        return 'Site-wide'
      case 'usual':
        return `Usual for a ${thing}${when}`
      case 'style':
        return `Element style ${styles[decider.style]?.name ?? decider.style}${when}`
      case 'theme':
        return `Theme ${themes.byId[decider.theme]?.name}, role ${roleName(decider.role).toLowerCase()}${when}`
    }
  }

  const openRole = (decider: Decider) => {
    if (decider.at !== 'theme') return
    editor.show({ sheetCells: { roles: [decider.role], themes: [decider.theme] } })
    router.push(`/sites/${siteId}/themes`)
  }
  const openCss = (line: number) => {
    editor.show({ looksPane: 'css', cssLine: line })
    router.push(`/sites/${siteId}/looks`)
  }
  const patch = (set: Decider['set']): string | undefined => {
    if (isFeature(property) || set === undefined) return undefined
    return paintBackground(siteId, palette, set as Paint)
  }
  const slotNumber = color?.slot ? palette.order.indexOf(color.slot) + 1 : 0
  const source = trace.setting && trace.chain[trace.decidedBy]?.at !== 'setting' && trace.setting

  return (
    <ol className="grid gap-0.5">
      {overrule && (
        <Link
          kind="counts"
          color={isFeature(property) ? undefined : overrule.computed}
          told={
            overrule.selector
              ? `Custom CSS${overrule.line ? `, line ${overrule.line}` : ''} has the last word`
              : 'The snippet’s own style has the last word'
          }
          what={overrule.selector ?? ''}
          code={overrule.computed}
          onOpen={overrule.line ? () => openCss(overrule.line!) : undefined}
          openLabel="Open the custom CSS at this line"
        />
      )}
      {trace.chain.map((decider, i) => {
        if (!isTold(decider, i, trace)) return null
        const counts = i === trace.decidedBy && !overrule
        const { set } = decider
        return (
          <Link
            key={i}
            kind={counts ? 'counts' : set === undefined ? 'silent' : 'overruled'}
            color={patch(set)}
            told={told(decider)}
            what={set === undefined ? 'sets nothing' : valueWords(property, set, docs)}
            code={
              decider.at === 'setting' ? settings[decider.setting].label.toLowerCase() : undefined
            }
            onOpen={decider.at === 'theme' ? () => openRole(decider) : undefined}
            openLabel="Open on the theme sheet"
          />
        )
      })}
      {source && (
        <Link
          kind="source"
          told={settings[source].label}
          what={settingWords(docs.frame.settings, source)}
          onOpen={() => router.push(`/sites/${siteId}/looks`)}
          openLabel="Set it for the whole site"
        />
      )}
      {color?.slot && color.color && (
        <Link
          kind="source"
          color={writeHex(color.color)}
          told={`Slot ${slotNumber} in the palette`}
          what={slotName(palette, color.slot)}
          code={palette.slots[color.slot]?.value ?? 'empty'}
          onOpen={() => editor.show({ openSlot: color.slot })}
          openLabel="Edit the slot"
        />
      )}
    </ol>
  )
}

/** The decision that counts is a full square, the others are empty ones. */
const Dot = ({ full }: { readonly full: boolean }) => (
  <span
    aria-hidden
    className={`size-3 shrink-0 rounded-[3px] border-[1.5px] border-current ${full ? 'bg-current' : ''}`}
  />
)

interface LinkProps {
  readonly kind: 'counts' | 'overruled' | 'silent' | 'source'
  readonly color?: string
  readonly told: string
  readonly what: string
  readonly code?: string
  readonly onOpen?: () => void
  readonly openLabel?: string
}

function Link({ kind, color, told, what, code, onOpen, openLabel }: LinkProps) {
  const counts = kind === 'counts'
  return (
    <li
      data-link={kind}
      className={`flex items-center gap-2 rounded-md px-1.5 py-0.5 ${counts ? 'bg-well' : ''} ${kind === 'silent' ? 'text-soft' : ''}`}
    >
      {kind === 'source' ? (
        <span aria-hidden className="w-3 shrink-0 text-center text-soft">
          ↳
        </span>
      ) : (
        <Dot full={counts} />
      )}
      <span className="min-w-0 flex-1">
        <span className={counts ? 'font-semibold' : ''}>{told}</span>{' '}
        <span
          className={kind === 'overruled' ? 'text-soft line-through' : counts ? '' : 'text-soft'}
        >
          {color && <Swatch color={color} size={11} className="mr-1 translate-y-px" />}
          {what} {code && <span className="code text-[11px]">{code}</span>}
        </span>
      </span>
      {onOpen && (
        <button
          type="button"
          onClick={onOpen}
          title={openLabel}
          aria-label={`${openLabel}: ${what}`}
          className="shrink-0 rounded border border-edge-strong/60 px-1.5 text-[11px] hover:bg-hover"
        >
          open
        </button>
      )}
    </li>
  )
}
