import { config } from 'zod'

/** The editor’s policy lets no text become a script; Zod would try to. */
config({ jitless: true })
