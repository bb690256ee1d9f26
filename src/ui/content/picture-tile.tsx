interface PictureTileProps {
  readonly label: string
  readonly address: string
  readonly shape: 'aspect-square' | 'aspect-4/3'
  /** Whether it is the one that is chosen; absent where none can be. */
  readonly isChosen?: boolean
  readonly onChoose: () => void
}

/** A picture among others, to be chosen. */
export function PictureTile({ label, address, shape, isChosen, onChoose }: PictureTileProps) {
  return (
    <button
      type="button"
      aria-pressed={isChosen}
      aria-label={label}
      title={label}
      onClick={onChoose}
      className={`block ${shape} w-full overflow-hidden rounded-sm bg-well -outline-offset-3 outline-strong hover:outline-3 aria-pressed:outline-3`}
    >
      <img src={address} alt="" loading="lazy" className="size-full object-cover" />
    </button>
  )
}
