'use client'

import type { Edit, LookSetting } from '@/core/edit'
import { Button } from '../kit'
import type { ReachOption } from './reaches'
import type { Traced } from './traced'

interface LookDeedsProps {
  readonly option: ReachOption
  readonly options: readonly ReachOption[]
  readonly trace: Traced
  readonly onRun: (edit: Edit) => void
}

/** What can be done with a decision beside changing it: taken back, or kept for one alone. */
export function LookDeeds({ option, options, trace, onRun }: LookDeedsProps) {
  const { key } = trace.property
  const { state } = trace
  const here = options.find(({ kind }) => kind === 'element')
  const isShared = option.kind === 'style' || option.kind === 'base'
  const confine = (): Edit => {
    const setting = (on: LookSetting['on'], value: LookSetting['value']): LookSetting => ({
      on,
      key,
      state,
      value,
    })
    return {
      type: 'setLooks',
      settings: [setting(option.on!, null), setting(here!.on!, option.value!)],
    }
  }
  if (!option.reset) return null
  return (
    <div className="flex flex-wrap gap-1.5">
      <Button className="h-7 px-2 text-xs" onClick={() => onRun(option.reset!)}>
        Back to inherited
      </Button>
      {isShared && here?.on && (
        <Button className="h-7 px-2 text-xs" onClick={() => onRun(confine())}>
          Only for this one
        </Button>
      )}
    </div>
  )
}
