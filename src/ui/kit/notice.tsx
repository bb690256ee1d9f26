import type { ReactNode } from 'react'

const LOOKS = {
  /** Something went wrong, or would: it is read aloud at once. */
  alert: 'rounded-md border-2 border-ink bg-raised px-2.5 py-1.5 font-semibold',
  /** Something to know before going on. */
  caution: 'rounded-md border border-dashed border-ink px-2.5 py-1.5',
} as const

interface NoticeProps {
  readonly look?: keyof typeof LOOKS
  readonly className?: string
  readonly children: ReactNode
}

/** Words about something that went wrong, or would: the same look everywhere. */
export function Notice({ look = 'alert', className = '', children }: NoticeProps) {
  return (
    <div
      role={look === 'alert' ? 'alert' : 'note'}
      className={`flex items-start gap-1.5 ${LOOKS[look]} ${className}`}
    >
      <span aria-hidden>×</span>
      <div className="min-w-0 flex-1">{children}</div>
    </div>
  )
}
