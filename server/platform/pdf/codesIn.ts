import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import type { Sharp } from 'sharp'
import { prepareZXingModule, type ReaderOptions, type ReadResult, readBarcodes } from 'zxing-wasm/reader'

const require = createRequire(import.meta.url)
const wasm = readFileSync(require.resolve('zxing-wasm/reader/zxing_reader.wasm'))
prepareZXingModule({
  overrides: { wasmBinary: wasm.buffer.slice(wasm.byteOffset, wasm.byteOffset + wasm.byteLength) as ArrayBuffer },
})

/** The square and bar codes on a grey picture, at any angle. */
export async function codesIn(grey: Sharp, formats?: ReaderOptions['formats']): Promise<ReadResult[]> {
  const { data, info } = await grey.raw().toBuffer({ resolveWithObject: true })
  const rgba = new Uint8ClampedArray(info.width * info.height * 4)
  for (let at = 0; at < info.width * info.height; at += 1) {
    const value = data[at * info.channels]!
    rgba[at * 4] = value
    rgba[at * 4 + 1] = value
    rgba[at * 4 + 2] = value
    rgba[at * 4 + 3] = 255
  }
  return readBarcodes({ data: rgba, width: info.width, height: info.height } as unknown as globalThis.ImageData, {
    ...(formats ? { formats } : {}),
    tryHarder: true,
    tryInvert: false,
  })
}
