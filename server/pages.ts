import { readFile } from 'node:fs/promises'
import { resolve } from 'node:path'
import type Router from '@koa/router'
import type { Context } from 'koa'
import { queues } from '#contract/desk'
import { pages } from '#contract/pages'
import type { Organisation } from '#core/organisation/organisation'
import { languages } from '#core/words/say'
import { currentOrganisation, depsNow } from './platform/clock'
import type { Deps, Fixed } from './platform/deps'
import { escapeHtml } from './platform/outside/html'
import { keptLogo, shownLogo } from './records/organisation/shown'
import type { Vacancy } from './records/vacancies/model'
import { allVacancies, isOpen, vacancyBySlug } from './records/vacancies/vacancies'
import { jobPosting } from './vacancies/jobPosting'

type Ours = Fixed

/** The web client at each of its places, what search engines read there, and 404 everywhere else. */
export function servePages(router: Router, deps: Ours) {
  const index = () => readFile(resolve(deps.config.webFolder, 'index.html'), 'utf8')
  const give = async (ctx: Context, status: number, head = '') => {
    ctx.status = status
    ctx.type = 'html'
    ctx.set('Cache-Control', 'no-cache')
    ctx.body = (await index()).replace('</head>', `${head}</head>`)
  }
  router.get('/robots.txt', (ctx) => {
    ctx.type = 'text'
    ctx.body = robots(deps)
  })
  router.get('/sitemap.xml', async (ctx) => {
    ctx.type = 'application/xml'
    ctx.body = sitemap(deps, await openVacancies(deps))
  })
  router.get('/', async (ctx) => give(ctx, 200, listHead(deps, await currentOrganisation())))
  for (const place of ['/vacancies/:slug', '/vacancies/:slug/fit', '/vacancies/:slug/begin'])
    router.get(place, async (ctx) => {
      const vacancy = await vacancyBySlug(ctx.params.slug as string).catch(() => undefined)
      if (!vacancy || vacancy.state === 'draft') return give(ctx, 404)
      const now = await depsNow(deps)
      const open = isOpen(vacancy, now.clock.now())
      return give(ctx, 200, open && place.endsWith(':slug') ? await vacancyHead(now, vacancy) : '')
    })
  // What may be missing is written in another way here.
  for (const place of pages)
    router.get(place.replace(/\/(:\w+)\?/g, '{/$1}'), (ctx) => {
      const { queue } = ctx.params as { queue?: string }
      const head = place === '/reply/:token' ? withoutScript(ctx) : ''
      return give(ctx, queue === undefined || queues.some((one) => one === queue) ? 200 : 404, head)
    })
  // The page says so itself; what is no page is told so.
  return (ctx: Context) => {
    if (ctx.method !== 'GET' && ctx.method !== 'HEAD') return
    if (ctx.accepts('html') && !/\.\w+$/.test(ctx.path)) return give(ctx, 404)
    ctx.status = 404
    ctx.body = 'There is nothing at this address.'
  }
}

/** Whoever has no script, or a browser too old for ours, goes on to the same page as a form. */
function withoutScript({ path, querystring }: Context): string {
  const address = escapeHtml(`${path}/plain${querystring ? `?${querystring}` : ''}`)
  return `<noscript><meta http-equiv="refresh" content="0; url=${address}"></noscript><script nomodule src="/old-browser.js"></script>`
}

async function openVacancies(deps: Ours): Promise<Vacancy[]> {
  const now = (await depsNow(deps)).clock.now()
  return (await allVacancies()).filter((vacancy) => isOpen(vacancy, now))
}

const robots = ({ config }: Ours) =>
  [
    'User-agent: *',
    'Allow: /api/organisation/logo.png',
    ...['/api/', '/desk', '/me', '/account', '/apply/', '/applications/', '/reply/', '/vouch/', '/notices/'].map(
      (path) => `Disallow: ${path}`,
    ),
    `Sitemap: ${config.publicUrl}/sitemap.xml`,
    '',
  ].join('\n')

/** Open vacancies for search engines (sitemaps.org, 0.9). */
function sitemap({ config }: Ours, vacancies: readonly Vacancy[]): string {
  const addresses = [config.publicUrl, ...vacancies.map(({ slug }) => `${config.publicUrl}/vacancies/${slug}`)]
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    '<urlset xmlns="http://www.sitemaps.org/schemas/sitemap/0.9">',
    ...addresses.map((address) => `<url><loc>${escapeHtml(address)}</loc></url>`),
    '</urlset>',
    '',
  ].join('\n')
}

const listHead = ({ config: { publicUrl } }: Ours, { name }: Organisation) =>
  headOf(`${publicUrl}/`, {
    title: `Vacancies at ${name}`,
    description: `Open vacancies at ${name}: what each asks for, and the way to apply.`,
    kind: 'website',
  })

async function vacancyHead({ config, organisation }: Pick<Deps, 'config' | 'organisation'>, vacancy: Vacancy) {
  const { publicUrl } = config
  const logo = shownLogo(await keptLogo())
  const posting = jobPosting(vacancy, {
    ...{ ...organisation, publicUrl },
    ...(logo ? { logo: `${publicUrl}${logo.address}` } : {}),
  })
  const data = JSON.stringify(posting).replace(/</g, '\\u003c')
  const address = `${config.publicUrl}/vacancies/${vacancy.slug}`
  const { title, summary: description } = vacancy
  return `${headOf(address, { title: `${title}, ${organisation.name}`, description, kind: 'article' })}<script type="application/ld+json">${data}</script>`
}

type About = { title: string; description: string; kind: string }

/** What search engines and messengers read (HTML; Open Graph protocol). */
function headOf(address: string, { title, description, kind }: About): string {
  const short = description.length > 160 ? `${description.slice(0, 159).replace(/\s+\S*$/, '')}…` : description
  const meta = (key: string, name: string, content: string) =>
    `<meta ${key}="${name}" content="${escapeHtml(content)}">`
  return [
    meta('name', 'description', short),
    `<link rel="canonical" href="${escapeHtml(address)}">`,
    ...languages.map(
      (language) => `<link rel="alternate" hreflang="${language}" href="${escapeHtml(`${address}?lang=${language}`)}">`,
    ),
    `<link rel="alternate" hreflang="x-default" href="${escapeHtml(address)}">`,
    meta('property', 'og:title', title),
    meta('property', 'og:description', short),
    meta('property', 'og:type', kind),
    meta('property', 'og:url', address),
  ].join('')
}
