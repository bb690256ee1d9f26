'use client'

import { useState } from 'react'
import { writeDecision } from '@/core/edit'
import { disagreements } from '@/core/generate'
import { roleName } from '@/core/roles'
import type { Frame } from '@/core/site'
import { useEditor } from '../editor'
import { Button, Swatch } from '../kit'
import { decisionHex } from '../look'
import { counted } from '../words'
import { decideCells } from './use-sheet'

/** Where themes disagree without need, one line each, with the way to bring them in line. */
export function Disagreements({ frame }: { readonly frame: Frame }) {
  const editor = useEditor()
  const [left, setLeft] = useState<readonly string[]>([])
  const { palette } = frame
  const found = disagreements(frame).filter(({ role }) => !left.includes(role))
  return found.map(({ role, usual, agree, odd }) => {
    const inLine = odd.flatMap(({ theme, inLine: decision }) =>
      decision ? [{ theme: theme.id, role, decision }] : [],
    )
    const slot = 'slot' in usual ? (palette.slots[usual.slot]?.name ?? usual.slot) : ''
    return (
      <section
        key={role}
        aria-label="Themes disagree"
        className="grid gap-2 rounded-md border border-edge-strong/60 bg-raised p-2.5"
      >
        <p>
          {roleName(role)} is {slot} or a shade of it in {counted(agree, 'theme')} and a loose{' '}
          {odd.map(({ theme }, i) => (
            <span key={theme.id}>
              {i > 0 && ', '}
              <span className="code">{writeDecision(palette, theme.roles[role])}</span> in{' '}
              {theme.name}
            </span>
          ))}
          . Bring it in line?
        </p>
        <ul aria-label="What that would set" className="code grid gap-0.5 text-xs">
          {odd.map(({ theme, inLine }) => (
            <li key={theme.id} className="flex items-center gap-1.5">
              <Swatch color={decisionHex(palette, theme.roles[role])} size={12} /> →
              {inLine && <Swatch color={decisionHex(palette, inLine)} size={12} />}
              <span className="truncate">
                {theme.name}:{' '}
                {inLine ? writeDecision(palette, inLine) : `no shade of ${slot} can be read here`}
              </span>
            </li>
          ))}
        </ul>
        <div className="flex gap-2">
          <Button
            look="strong"
            className="h-7"
            disabled={inLine.length === 0}
            onClick={() => decideCells(editor, inLine)}
          >
            Bring it in line
          </Button>
          <Button className="h-7" onClick={() => setLeft([...left, role])}>
            Leave it
          </Button>
        </div>
      </section>
    )
  })
}
