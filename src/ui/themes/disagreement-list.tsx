'use client'

import { useState } from 'react'
import { writeDecision } from '@/core/edit'
import { disagreements } from '@/core/generate'
import type { Frame } from '@/core/site'
import { roleName } from '@/core/theme'
import { useEditor } from '../editor'
import { Button } from '../kit'
import { counted } from '../words'
import { decideCells } from './use-sheet'

/** Where themes disagree without need, one line each, with the way to bring them in line. */
export function Disagreements({ frame }: { readonly frame: Frame }) {
  const editor = useEditor()
  const [left, setLeft] = useState<readonly string[]>([])
  const { palette } = frame
  const found = disagreements(frame).filter(({ role }) => !left.includes(role))
  return found.map(({ role, usual, agree, odd }) => {
    const slot = 'slot' in usual ? (palette.slots[usual.slot]?.name ?? usual.slot) : ''
    return (
      <section
        key={role}
        aria-label="Themes disagree"
        className="grid gap-2 rounded-md border border-edge-strong/60 bg-raised p-2.5"
      >
        <p>
          {roleName(role)} is {slot} or a shade of it in {counted(agree, 'theme')} and a loose{' '}
          {odd.map((theme, i) => (
            <span key={theme.id}>
              {i > 0 && ', '}
              <span className="code">{writeDecision(palette, theme.roles[role])}</span> in{' '}
              {theme.name}
            </span>
          ))}
          . Bring it in line?
        </p>
        <div className="flex gap-2">
          <Button
            look="strong"
            className="h-7"
            onClick={() =>
              decideCells(
                editor,
                odd.map((theme) => ({ theme: theme.id, role, decision: usual })),
              )
            }
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
