import type { ComponentProps, ReactNode } from 'react'

const LOOKS = {
  plain: 'border border-edge-strong/60 bg-raised text-ink hover:bg-hover',
  strong: 'border border-strong bg-strong text-on-strong hover:opacity-85',
  bare: 'border border-transparent text-ink hover:bg-hover',
} as const

type ButtonProps = ComponentProps<'button'> & { readonly look?: keyof typeof LOOKS }

export function Button({ look = 'plain', className = '', type = 'button', ...rest }: ButtonProps) {
  return (
    <button
      type={type}
      className={`inline-flex h-8 items-center justify-center gap-2 rounded-md px-3 text-[13px] font-semibold whitespace-nowrap disabled:cursor-not-allowed disabled:opacity-45 aria-pressed:border-strong aria-pressed:bg-hover ${LOOKS[look]} ${className}`}
      {...rest}
    />
  )
}

/** Words of a button that only its icon stands for where the container is narrow; they are read aloud all the same. */
export function WhereWide({ children }: { readonly children: ReactNode }) {
  return (
    <span className="sr-only whitespace-nowrap @min-[800px]:not-sr-only @min-[800px]:whitespace-nowrap">
      {children}
    </span>
  )
}

type IconButtonProps = ComponentProps<'button'> & {
  readonly label: string
  /** What it would do just now, beside its name. */
  readonly told?: string
}

/** A button that shows only an icon; its name is read aloud and shown on hover. */
export function IconButton(props: IconButtonProps) {
  const { label, told, className = '', type = 'button', ...rest } = props
  return (
    <button
      type={type}
      aria-label={label}
      title={told ? `${label}\n${told}` : label}
      aria-description={told}
      className={`inline-flex size-8 shrink-0 items-center justify-center rounded-md border border-transparent text-ink hover:bg-hover disabled:cursor-not-allowed disabled:opacity-35 aria-pressed:border-edge-strong aria-pressed:bg-hover ${className}`}
      {...rest}
    />
  )
}
