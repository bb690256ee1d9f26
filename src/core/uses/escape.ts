/**
 * How the characters of a picture stand in an address that holds it. `percent`: `#` is `%23`.
 * `base64`: three bytes are four letters, so that a colour cannot be exchanged by itself.
 */
export type Escape = 'percent' | 'base64'
