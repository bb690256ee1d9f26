import { doorOf } from './doors'

const env = {
  NODE_ENV: 'test',
  EASEL_HOSTS: 'easel.example.test, Studio.example.test:8443',
  EASEL_PUBLISHED: 'http://127.0.0.1:5173',
} as const

test.each([
  ['127.0.0.1:4173', 'editor'],
  ['localhost', 'editor'],
  ['LOCALHOST:80', 'editor'],
  ['[::1]:4173', 'editor'],
  ['easel.example.test', 'editor'],
  ['studio.example.test:8443', 'editor'],
  ['127.0.0.1:5173', 'published'],
  ['evil.test:4173', undefined],
  ['127.0.0.1.evil.test', undefined],
  ['localhost.evil.test:4173', undefined],
  ['evil.test#127.0.0.1', undefined],
  ['localhost@evil.test', undefined],
  ['2130706433:4173', undefined],
  ['', undefined],
  [null, undefined],
])('%s leads to %s', (host, door) => {
  expect(doorOf(host, env)).toBe(door)
})
