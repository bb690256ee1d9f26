import type { ReactNode } from 'react'

interface FileButtonProps {
  /** What may be chosen, as the browser takes it. */
  readonly accept: string
  /** Takes the files that were chosen: one, unless several may be. */
  readonly onTake: (file: File, all: readonly File[]) => void
  readonly several?: boolean
  readonly children: ReactNode
}

/** Chooses a file, or several; the same one can be chosen again. */
export function FileButton({ accept, onTake, several, children }: FileButtonProps) {
  return (
    <label className="grid cursor-pointer place-items-center rounded-md border border-dashed border-edge-strong px-3 py-2 text-center hover:bg-hover has-focus-visible:outline-2 has-focus-visible:outline-ink">
      {children}
      <input
        type="file"
        accept={accept}
        multiple={several}
        className="sr-only"
        onChange={(event) => {
          const files = [...(event.target.files ?? [])]
          event.target.value = ''
          if (files[0]) onTake(files[0], files)
        }}
      />
    </label>
  )
}
