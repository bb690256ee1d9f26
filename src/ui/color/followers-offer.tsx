'use client'

import { useDeferredValue, useMemo } from 'react'
import { writeRatio } from '@/core/color'
import { followers } from '@/core/generate'
import { failingRoles, themeReading } from '@/core/resolve'
import { roleName, roles, type RoleId } from '@/core/roles'
import type { ColorDecision, Palette, Theme } from '@/core/site'
import { useEditor, useEditorState } from '../editor'
import { Notice, Tick } from '../kit'
import { decisionHex } from '../look'
import { counted } from '../words'

interface FollowersOfferProps {
  readonly palette: Palette
  readonly theme: Theme
  readonly role: RoleId
  /** What would be decided: what is pointed at, or else what is there. */
  readonly decision: ColorDecision | undefined
}

/** Whether what belongs to a colour goes along with it, and what that would become, before it is decided. */
export function FollowersOffer({ palette, theme, role, decision }: FollowersOfferProps) {
  const editor = useEditor()
  const along = useEditorState((state) => state.goAlong)
  const settings = useEditorState((state) => state.docs.frame.settings)
  // What is pointed at changes quickly; what would follow is worked out behind.
  const told = useDeferredValue(decision)
  const made = useMemo(
    () => (told ? Object.entries(followers({ palette, settings }, theme, role, told)) : []),
    [palette, settings, theme, role, told],
  )
  const after = told && {
    ...theme,
    roles: { ...theme.roles, [role]: told, ...Object.fromEntries(made) },
  }
  const more = after
    ? failingRoles(palette, [after]).length - failingRoles(palette, [theme]).length
    : 0
  return (
    <div className="grid gap-1.5">
      {along && more > 0 && (
        <Notice look="caution">
          {counted(more, 'more pair')} would be hard to read, whatever goes along. Take a colour
          nearer to what it stands in, or another theme.
        </Notice>
      )}
      <Tick checked={along} onChange={(goAlong) => editor.show({ goAlong })}>
        What belongs to it goes along
      </Tick>
      {along && after && made.length > 0 && (
        <ul aria-label="What would go along" className="grid gap-px pl-6">
          {made.map(([id, own]) => (
            <Follower
              key={id}
              palette={palette}
              theme={after}
              role={id as RoleId}
              decision={own!}
            />
          ))}
        </ul>
      )}
    </div>
  )
}

type FollowerProps = Omit<FollowersOfferProps, 'decision'> & { readonly decision: ColorDecision }

/** One colour that goes along, on what it would read worst on, with its contrast there. */
function Follower({ palette, theme, role, decision }: FollowerProps) {
  const reading = themeReading(palette, theme, role)
  const on = reading?.on ?? 'ground'
  const { paints } = roles[role]
  const color = decisionHex(palette, decision)
  const style =
    paints === 'text'
      ? { color, background: decisionHex(palette, theme.roles[on]) }
      : paints === 'fill'
        ? { background: color }
        : {
            background: decisionHex(palette, theme.roles.ground),
            borderColor: color,
            borderWidth: 2,
          }
  return (
    <li className="flex items-center gap-2 text-xs">
      <span
        aria-hidden
        className="grid h-5 w-7 shrink-0 place-items-center rounded border border-black/15 font-bold"
        style={style}
      >
        {paints === 'text' ? 'Aa' : ''}
      </span>
      <span className="min-w-0 flex-1 truncate text-soft">{roleName(role)}</span>
      {reading && (
        <span className="code">
          {reading.passes ? '✓' : '×'} {writeRatio(reading.ratio)}
        </span>
      )}
    </li>
  )
}
