/**
 * How a colour is written that does not stand there as CSS reads it. In a picture that an
 * address holds, `percent`: `#` is `%23`; `base64`: three bytes are four letters, so that
 * it cannot be exchanged by itself.
 * `channels`: the three numbers of a colour alone, which a colour function takes from a
 * custom property.
 */
export type Escape = 'percent' | 'base64' | 'channels'
