import { existsSync, readFileSync } from 'node:fs'
import { validate } from 'dockerfile-utils'
import { parse } from 'yaml'

/** What an operator takes from `deploy/`, as far as it can be read without an engine for containers. */
const containerfile = readFileSync('deploy/Containerfile', 'utf8')
const config = readFileSync('server/platform/config.ts', 'utf8')

type Service = {
  image?: string
  build?: { context: string; dockerfile: string }
  environment?: Record<string, string>
  volumes?: string[]
  depends_on?: string[] | Record<string, { condition: string }>
  healthcheck?: { test: string[] }
  command?: string
  ports?: string[]
}
const compose = parse(readFileSync('deploy/compose.yaml', 'utf8')) as {
  services: Record<string, Service>
  volumes: Record<string, unknown>
}
const services = Object.entries(compose.services)

test('the Containerfile is one, to its last instruction', () => {
  expect(validate(containerfile)).toEqual([])
  // The same reading finds what is wrong.
  expect(validate(containerfile.replace('EXPOSE 4100', 'EXPOSE fourthousand')).length).toBeGreaterThan(0)
})

test('the Containerfile runs what is built, as nobody’s administrator, with settings that there are', () => {
  const scripts = readFileSync('scripts/build.ts', 'utf8')
  expect(scripts).toContain(`'${/CMD \["node", "dist\/(server\/main)\.js"\]/.exec(containerfile)?.[1]}.ts'`)
  expect(containerfile).toMatch(/^USER probatum$/m)
  const [, settings = ''] = /^ENV (.*)$/m.exec(containerfile)!
  for (const name of settings.split(' ').map((pair) => pair.split('=')[0]!))
    expect(name === 'NODE_ENV' || config.includes(`env.${name}`)).toBe(true)
  for (const [, path] of containerfile.matchAll(/^COPY (?!--from)(.+) \.\/$/gm))
    for (const file of path!.split(' ')) expect(existsSync(file)).toBe(true)
})

test.each(services)('the service %s of the compose file is whole', (_name, service) => {
  expect([service.image !== undefined, service.build !== undefined].filter(Boolean)).toHaveLength(1)
  if (service.build) expect(existsSync(`deploy/${service.build.context}/${service.build.dockerfile}`)).toBe(true)
  for (const volume of service.volumes ?? []) expect(compose.volumes).toHaveProperty(volume.split(':')[0]!)
  const needs = service.depends_on ?? []
  for (const name of Array.isArray(needs) ? needs : Object.keys(needs)) {
    expect(compose.services).toHaveProperty(name)
    // Whoever waits until another is well needs the other to say so.
    if (!Array.isArray(needs) && needs[name]!.condition === 'service_healthy')
      expect(compose.services[name]!.healthcheck?.test.length).toBeGreaterThan(1)
  }
})

test('the compose file sets what the application reads, asks for every password, and opens nothing but the proxy', () => {
  for (const name of Object.keys(compose.services.application!.environment!)) expect(config).toContain(`env.${name}`)
  const text = readFileSync('deploy/compose.yaml', 'utf8')
  for (const [, name, rest] of text.matchAll(/\$\{(\w+)([^}]*)\}/g)) expect([name, rest]).toEqual([name, ':?'])
  expect(services.filter(([, { ports }]) => ports).map(([name]) => name)).toEqual(['proxy'])
  expect(compose.services.database!.command).toContain('--innodb-flush-log-at-trx-commit=1')
})
