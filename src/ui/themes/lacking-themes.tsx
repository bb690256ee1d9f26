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
  const cells = found.flatMap((each) => each.cells)
  const taken = cells.filter(({ hand }) => hand)
  const takeOver = () => {
    const names = found
      .filter(({ theme }) => taken.some((cell) => cell.theme === theme.id))
      .map(({ theme }) => theme.name)
    const told = `${roleNames(taken.map(({ role }) => role))} as in most themes: ${listed(names)}`
    const problem = editor.dispatch({
      type: 'setCells',
      told: told.slice(0, 160),
      cells: [...cells],
      hand: false,
    })
    if (problem) toast.error(`That cannot be done: ${editProblemWords[problem]}.`)
  }
  return (
    <section
      aria-label={dark ? 'Decisions that the dark edition lacks' : 'Decisions that new themes lack'}
      className="grid gap-2 rounded-md border border-edge-strong/60 bg-raised p-2.5"
    >
      <p>
        {dark ? 'The dark edition was generated' : 'Some themes were generated'} without colours
        that you set by hand in most themes:
      </p>
      <ul className="grid gap-1 text-xs">
        {found.map((each) => (
          <LackingLine key={each.theme.id} lacking={each} />
        ))}
      </ul>
      <div className="flex gap-2">
        <Button look="strong" className="h-7" disabled={taken.length === 0} onClick={takeOver}>
          Use them there, too
        </Button>
        <Button className="h-7" onClick={() => setLeft(true)}>
          Leave it
        </Button>
      </div>
    </section>
  )
}

/** What one theme lacks, with the number of themes that have it, and what it could not take over. */
function LackingLine({
  lacking: { theme, common, unreadable },
}: {
  readonly lacking: LackingTheme
}) {
  const words = common.map(
    ({ role, count }) => `${roleName(role).toLowerCase()} (set in ${counted(count, 'theme')})`,
  )
  return (
    <li>
      <b>{theme.name}</b>: {listed(words)}.
      {unreadable.length > 0 &&
        ` ${roleNames(unreadable)} could not be read there and would stay as generated.`}
    </li>
  )
}
