/** The little server that stands in for an S3-compatible service in tests; it comes without types. */
declare module 's3rver' {
  interface Options {
    readonly port: number
    readonly address: string
    readonly silent: boolean
    readonly directory: string
    readonly configureBuckets: ReadonlyArray<{
      readonly name: string
      readonly configs: readonly string[]
    }>
  }
  export default class S3rver {
    constructor(options: Options)
    run(): Promise<unknown>
    close(): Promise<void>
  }
}
