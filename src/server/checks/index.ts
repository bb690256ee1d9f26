import { refused, type Result, type SiteCheck } from '@/core/payloads'
import { sharedReading, type Actor } from '../access'
import { readApart, ReadingStopped } from '../reading'

/** Checks all pages of a site in a thread beside the one that answers requests. */
export const checkSiteApart = (actor: Actor, siteId: string): Promise<Result<SiteCheck>> =>
  sharedReading(`check ${actor.userId} ${siteId}`, async () => {
    try {
      return await readApart<Result<SiteCheck>>('check', { actor, siteId })
    } catch (error) {
      if (error instanceof ReadingStopped) return refused({ code: 'too-much-to-check' })
      throw error
    }
  })
