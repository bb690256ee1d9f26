'use client'

import { useMemo, useState } from 'react'
import { toast } from 'sonner'
import { leftOut, type LeftOut } from '@/core/generate'
import { roleName, type RoleId } from '@/core/roles'
import { canonicalJson } from '@/core/site'
import { useEditor, useEditorState } from '../editor'
import { Button } from '../kit'
import { counted, editProblemWords, listed } from '../words'

const roleNames = (roles: Iterable<RoleId>) =>
  listed([...new Set(roles)].map((role) => roleName(role).toLowerCase()))

/** Themes, and dark editions, that were generated without what was decided for most themes, with the way to bring it along. */
export function LeftOutOfThemes() {
  const frame = useEditorState((state) => state.docs.frame)
  const found = useMemo(() => leftOut(frame), [frame])
  return [false, true].map((dark) => {
    const own = found.filter((each) => each.dark === dark)
    return own.length > 0 && <Without key={canonicalJson(own)} found={own} dark={dark} />
  })
}

interface WithoutProps {
  readonly found: readonly LeftOut[]
  readonly dark: boolean
}

function Without({ found, dark }: WithoutProps) {
  const editor = useEditor()
  const [isLeft, setLeft] = useState(false)
  if (isLeft) return null
  const common = found.flatMap((each) => each.common)
  const count = Math.min(...common.map((each) => each.count))
  const names = listed(found.map(({ theme }) => theme.name))
  const cells = found.flatMap((each) => each.cells)
  const unreadable = found.filter((each) => each.unreadable.length > 0)
  const bring = () => {
    const told = `Brought along: ${roleNames(common.map(({ role }) => role))}`.slice(0, 160)
    const problem = editor.dispatch({ type: 'setCells', told, cells: [...cells], hand: false })
    if (problem) toast.error(`That cannot be done: ${editProblemWords[problem]}.`)
  }
  return (
    <section
      aria-label={dark ? 'Left out of the dark edition' : 'Left out of new themes'}
      className="grid gap-2 rounded-md border border-edge-strong/60 bg-raised p-2.5"
    >
      <p>
        You decided {roleNames(common.map(({ role }) => role))} alike in {counted(count, 'theme')}.{' '}
        {dark ? `The dark edition of ${names}` : names} {found.length > 1 && !dark ? 'do' : 'does'}{' '}
        not have that.
      </p>
      {unreadable.map(({ theme, unreadable: roles }) => (
        <p key={theme.id} className="text-xs text-soft">
          {theme.name}: {roleNames(roles)} could not be read there and would stay as generated.
        </p>
      ))}
      <div className="flex gap-2">
        <Button look="strong" className="h-7" disabled={cells.length === 0} onClick={bring}>
          Use it there, too
        </Button>
        <Button className="h-7" onClick={() => setLeft(true)}>
          Leave it
        </Button>
      </div>
    </section>
  )
}
