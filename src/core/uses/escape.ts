/** `percent`: in an address that holds a picture, `#` is `%23`. */
export type Escape = 'percent'
