'use client'

import { useMemo, useState } from 'react'
import { toast } from 'sonner'
import { lackingThemes, type LackingTheme } from '@/core/generate'
import { roleName, type RoleId } from '@/core/roles'
import { canonicalJson } from '@/core/site'
import { useEditor, useEditorState } from '../editor'
import { Button } from '../kit'
import { counted, editProblemWords, listed } from '../words'

const roleNames = (roles: Iterable<RoleId>) =>
  listed([...new Set(roles)].map((role) => roleName(role).toLowerCase()))

/** Themes, and dark editions, that lack what was decided for most themes, with a button that sets it there. */
export function LackingThemes() {
  const frame = useEditorState((state) => state.docs.frame)
  const found = useMemo(() => lackingThemes(frame), [frame])
  return [false, true].map((dark) => {
    const own = found.filter((each) => each.dark === dark)
    return own.length > 0 && <Without key={canonicalJson(own)} found={own} dark={dark} />
  })
}

interface WithoutProps {
  readonly found: readonly LackingTheme[]
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
    const told = `Used in all themes: ${roleNames(common.map(({ role }) => role))}`.slice(0, 160)
    const problem = editor.dispatch({ type: 'setCells', told, cells: [...cells], hand: false })
    if (problem) toast.error(`That cannot be done: ${editProblemWords[problem]}.`)
  }
  return (
    <section
      aria-label={dark ? 'Decisions that the dark edition lacks' : 'Decisions that new themes lack'}
      className="grid gap-2 rounded-md border border-edge-strong/60 bg-raised p-2.5"
    >
      <p>
        You set {roleNames(common.map(({ role }) => role))} by hand in {counted(count, 'theme')},
        each time to the same colour. {dark ? `The dark edition of ${names}` : names}{' '}
        {found.length > 1 && !dark ? 'have' : 'has'} another one.
      </p>
      {unreadable.map(({ theme, unreadable: roles }) => (
        <p key={theme.id} className="text-xs text-soft">
          {theme.name}: {roleNames(roles)} could not be read there, so that stays as it is.
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
