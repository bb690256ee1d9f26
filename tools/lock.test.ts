import { spawnSync } from 'node:child_process'
import { existsSync, mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { lock } from './lock.mjs'

const folder = mkdtempSync(path.join(tmpdir(), 'easel-lock-'))

test('two that want the same wait for one another', async () => {
  const order: string[] = []
  const work = async (name: string) => {
    const release = await lock('setup', 'waiting …', folder)
    order.push(`${name} begins`)
    await new Promise((resolve) => setTimeout(resolve, 50))
    order.push(`${name} ends`)
    release()
  }
  await Promise.all([work('a'), work('b'), work('c')])
  for (let i = 0; i < order.length; i += 2) {
    expect(order[i + 1]).toBe(order[i]!.replace('begins', 'ends'))
  }
  expect(existsSync(path.join(folder, 'setup.lock'))).toBe(false)
})

test('a lock of a process that was killed holds nobody up', async () => {
  const { pid } = spawnSync(process.execPath, ['-e', ''])
  writeFileSync(path.join(folder, 'left.lock'), String(pid))
  const release = await lock('left', 'waiting …', folder)
  release()
})
