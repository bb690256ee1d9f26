import { colorOf, opaqueKey, writeHex, type Color } from '@/core/color'
import { writeDecision } from '@/core/edit'
import { decisionColor } from '@/core/resolve'
import type { ColorDecision, Palette } from '@/core/site'
import { isKin, isNearKin, mostOfFamily, movedDecision, type LooseFrom } from '@/core/sweep'
import { useEditorState, useInventory } from '../editor'
import { Notice, Swatch } from '../kit'
import { counted } from '../words'

/** A loose colour of the site that is of a family, or may be. */
interface Member {
  readonly hex: string
  readonly color: Color
  readonly count: number
  readonly isKin: boolean
}

/** The loose colours of the site that are of the family of a head, then those that may be, the most used first. */
function membersOf(
  head: Color,
  entries: ReadonlyArray<{
    readonly slot?: unknown
    readonly color: Color
    readonly count: number
  }>,
): Member[] {
  const byHex = new Map<string, Member>()
  for (const { slot, color, count } of entries) {
    if (slot || opaqueKey(color) === opaqueKey(head)) continue
    const hex = writeHex({ ...color, alpha: 1 })
    const kin = isKin(head, color)
    if (!kin && !isNearKin(head, color)) continue
    const before = byHex.get(hex)?.count ?? 0
    byHex.set(hex, { hex, color: { ...color, alpha: 1 }, count: before + count, isKin: kin })
  }
  return [...byHex.values()].sort((a, b) => Number(b.isKin) - Number(a.isKin) || b.count - a.count)
}

const without = (list: readonly string[] = [], hex: string) => list.filter((each) => each !== hex)

/** A pair with one colour counted among its family, or not: as the rule says, nothing is kept of it. */
function withMember(from: LooseFrom, { hex, isKin: kin }: Member, counts: boolean): LooseFrom {
  const { also, except, ...rest } = from
  const lists = { also: without(also, hex), except: without(except, hex) }
  if (counts && !kin) lists.also.push(hex)
  if (!counts && kin) lists.except.push(hex)
  return {
    ...rest,
    ...(lists.also.length > 0 ? { also: lists.also } : {}),
    ...(lists.except.length > 0 ? { except: lists.except } : {}),
  }
}

interface FamilyMembersProps {
  readonly from: LooseFrom
  readonly to?: ColorDecision
  readonly onChange: (from: LooseFrom) => void
}

/** What of the site counts as tints and shades of a colour, with what each becomes; a person may say otherwise of any. */
export function FamilyMembers({ from, to, onChange }: FamilyMembersProps) {
  const palette = useEditorState((state) => state.docs.frame.palette)
  const { value, failure } = useInventory()
  const head = colorOf(from.value)
  if (failure) return <Notice>{failure}</Notice>
  if (!value || !head) return null
  const members = membersOf(head, value.entries)
  if (members.length === 0) {
    return <p className="pl-1 text-xs text-soft">The site has no tint or shade of it.</p>
  }
  const said = (from.also?.length ?? 0) + (from.except?.length ?? 0)
  return (
    <fieldset className="grid gap-1 pl-1 text-xs">
      <legend className="mb-1 text-soft">
        Ticked colours of this site move along as tints and shades of it. Correct the list where it
        is wrong.
      </legend>
      <ul className="flex max-h-28 flex-wrap gap-x-3 gap-y-1 overflow-y-auto">
        {members.map((member) => (
          <li key={member.hex}>
            <MemberTick
              {...{ member, from, palette, to }}
              isFull={said >= mostOfFamily}
              onChange={(counts) => onChange(withMember(from, member, counts))}
            />
          </li>
        ))}
      </ul>
    </fieldset>
  )
}

interface MemberTickProps {
  readonly member: Member
  readonly from: LooseFrom
  readonly palette: Palette
  readonly to?: ColorDecision
  readonly isFull: boolean
  readonly onChange: (counts: boolean) => void
}

function MemberTick({ member, from, palette, to, isFull, onChange }: MemberTickProps) {
  const { hex, color, count, isKin: kin } = member
  const counts = kin ? !from.except?.includes(hex) : !!from.also?.includes(hex)
  const head = colorOf(from.value)!
  const after = to && movedDecision(palette, to, head, color)
  return (
    <label
      className={`flex items-center gap-1 ${counts ? '' : 'text-soft'}`}
      title={after && counts ? `${hex} becomes ${writeDecision(palette, after)}` : hex}
    >
      <input
        type="checkbox"
        className="accent-(--strong)"
        checked={counts}
        disabled={isFull && counts === kin}
        onChange={(event) => onChange(event.target.checked)}
      />
      <Swatch color={hex} size={14} />
      {after && counts && (
        <>
          → <Swatch color={writeHex(decisionColor(palette, after))} size={14} />
        </>
      )}
      <span className="code">{hex}</span>
      <span className="text-soft">{counted(count, 'use')}</span>
    </label>
  )
}
