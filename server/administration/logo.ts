import { createHash } from 'node:crypto'
import { say } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import { dropSetting, writeSetting } from '../platform/database/settings'
import type { Account as Actor, Deps } from '../platform/deps'
import { invalidField, notFound } from '../platform/errors/problems'
import type { FileToKeep } from '../platform/http/serve'
import { type KeptLogo, keptLogo, shownLogo } from '../records/organisation/shown'

/** Twice what a masthead shows, for screens with small points. */
const largest = { width: 480, height: 120 }
const mostPixels = 40_000_000
const formats = new Set(['png', 'jpeg', 'webp'])

/** Keeps a logo, drawn anew so that nothing but its picture is left of the file. */
export async function saveLogo(deps: Deps, actor: Actor, bytes: Buffer) {
  const logo = await drawn(bytes)
  await writeSetting('logo', logo)
  await recordEvent(deps, actor, { code: 'logo-changed' })
  return shownLogo(logo)!
}

async function drawn(bytes: Buffer): Promise<KeptLogo> {
  const { default: sharp } = await import('sharp')
  try {
    const picture = sharp(bytes, { limitInputPixels: mostPixels, failOn: 'error' })
    const { format } = await picture.metadata()
    if (formats.has(format ?? '')) {
      const { data, info } = await picture
        .rotate()
        .trim()
        .resize({ ...largest, fit: 'inside', withoutEnlargement: true })
        .png({ compressionLevel: 9 })
        .toBuffer({ resolveWithObject: true })
      const { width, height } = info
      return { sha256: createHash('sha256').update(data).digest('hex'), width, height, png: data.toString('base64') }
    }
  } catch {
    // said below
  }
  throw invalidField('/body', say('problem.noPictureForALogo'))
}

export async function removeLogo(deps: Deps, actor: Actor) {
  await dropSetting('logo')
  await recordEvent(deps, actor, { code: 'logo-changed', words: 'logo-changed.removed' })
  return { done: true as const }
}

export async function readLogo(): Promise<FileToKeep> {
  const logo = await keptLogo()
  if (!logo) throw notFound()
  return { fileName: 'logo.png', mediaType: 'image/png', body: Buffer.from(logo.png, 'base64'), inline: true }
}
