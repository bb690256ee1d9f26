import type { ReactNode } from 'react'

interface FileButtonProps {
  /** What may be chosen, as the browser takes it. */
  readonly accept: string
  readonly onTake: (file: File) => void
  readonly children: ReactNode
}

/** Chooses a file; the same one can be chosen again. */
export function FileButton({ accept, onTake, children }: FileButtonProps) {
  return (
    <label className="grid cursor-pointer place-items-center rounded-md border border-dashed border-edge-strong px-3 py-2 text-center hover:bg-hover has-focus-visible:outline-2 has-focus-visible:outline-ink">
      {children}
      <input
        type="file"
        accept={accept}
        className="sr-only"
        onChange={(event) => {
          const file = event.target.files?.[0]
          event.target.value = ''
          if (file) onTake(file)
        }}
      />
    </label>
  )
}
