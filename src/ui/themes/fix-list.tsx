'use client'

import { useMemo } from 'react'
import { writeHex, writeRatio } from '@/core/color'
import { writeDecision } from '@/core/edit'
import { fixesFor, readableChoices } from '@/core/generate'
import { seenRole, themeReading } from '@/core/resolve'
import { roleIds, roleName, type RoleId } from '@/core/roles'
import type { Frame, Theme } from '@/core/site'
import { ReadableChoice } from '../color'
import { useEditor } from '../editor'
import { Button, Swatch } from '../kit'
import { decisionHex } from '../look'
import { counted } from '../words'
import { Sample } from './sheet-cell'
import { decideCells } from './use-sheet'

interface FixListProps {
  readonly frame: Frame
  readonly theme: Theme
  /** Only these roles; all where it is left out, with a way to fix them together. */
  readonly only?: readonly RoleId[]
}

/** What cannot be read in a theme, each with the nearest colours that can, drawn where they would stand. */
export function FixList({ frame, theme, only }: FixListProps) {
  const editor = useEditor()
  const { palette } = frame
  const failing = useMemo(
    () =>
      (only ?? roleIds).flatMap((role) => {
        const reading = themeReading(palette, theme, role)
        if (!reading || reading.passes) return []
        return [{ role, reading, choices: readableChoices(palette, theme, role) }]
      }),
    [palette, theme, only],
  )
  const fixes = useMemo(() => (only ? [] : fixesFor(palette, theme)), [palette, theme, only])
  const fixAll = () =>
    decideCells(
      editor,
      fixes.map(({ role, after }) => ({ theme: theme.id, role, decision: after })),
      { told: `${theme.name}: ${counted(fixes.length, 'colour')} made readable` },
    )
  if (failing.length === 0) return null
  return (
    <section
      aria-label={`To fix in ${theme.name}`}
      className="grid grid-cols-[minmax(0,1fr)] gap-2"
    >
      {!only && (
        <header className="grid grid-cols-[minmax(0,1fr)] gap-1">
          <span className="flex items-center justify-between">
            <h3 className="font-semibold">{theme.name}</h3>
            <Button className="h-7" onClick={fixAll}>
              Fix all {failing.length}
            </Button>
          </span>
          <ul aria-label="What fixing all would set" className="grid gap-0.5 text-xs">
            {fixes.map(({ role, before, after }) => (
              <li key={role} className="code flex items-start gap-1.5">
                <Swatch color={decisionHex(palette, before)} size={12} /> →
                <Swatch color={decisionHex(palette, after)} size={12} />
                <span className="min-w-0">
                  {roleName(role)}: {writeDecision(palette, after)}
                </span>
              </li>
            ))}
          </ul>
        </header>
      )}
      {failing.map(({ role, reading, choices }) => (
        <div
          key={role}
          className="grid grid-cols-[minmax(0,1fr)] gap-1 rounded-md border border-dashed border-ink p-2"
        >
          <p>
            <b>
              × {theme.name}, {roleName(role).toLowerCase()}
            </b>{' '}
            reads <span className="code">{writeRatio(reading.ratio)}</span> on{' '}
            {roleName(reading.on).toLowerCase()}, needs{' '}
            <span className="code">{reading.needs}</span>
          </p>
          {choices.map(({ decision, color, ratio }) => {
            const words = writeDecision(palette, decision)
            return (
              <ReadableChoice
                key={words}
                label={`${roleName(role)} in ${theme.name} to ${words}, ${writeRatio(ratio)}`}
                words={`${words} · ${writeRatio(ratio)}`}
                onChoose={() => decideCells(editor, [{ theme: theme.id, role, decision }])}
                sample={
                  <Sample
                    role={role}
                    color={writeHex(color)}
                    ground={writeHex(seenRole(palette, theme, reading.on))}
                  />
                }
              />
            )
          })}
        </div>
      ))}
    </section>
  )
}
