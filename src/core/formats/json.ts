import type * as z from 'zod'

export type Json = z.infer<ReturnType<typeof z.json>>
export type JsonObject = { readonly [key: string]: Json }

export const isObject = (json: Json | undefined): json is JsonObject =>
  typeof json === 'object' && json !== null && !Array.isArray(json)
