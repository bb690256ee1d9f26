/** In which states a thing can look another way; later ones count before earlier ones where several hold. */
export const states = ['rest', 'hover', 'focus', 'pressed', 'disabled'] as const
export type State = (typeof states)[number]

/**
 * The states whose decisions count in a state, the nearest first: what is pressed is pointed at,
 * and where nothing is decided for a state, things look as at rest.
 */
export const statesBehind: Readonly<Record<State, readonly State[]>> = {
  rest: ['rest'],
  hover: ['hover', 'rest'],
  focus: ['focus', 'rest'],
  pressed: ['pressed', 'hover', 'rest'],
  disabled: ['disabled', 'rest'],
}

/** A state as the interface and the history name it; nothing at rest. */
export const stateWords: Readonly<Record<State, string>> = {
  rest: '',
  hover: 'pointer over',
  focus: 'focused',
  pressed: 'pressed',
  disabled: 'disabled',
}
