import { TestEnvironment } from 'jest-environment-jsdom'

/** A browser as far as jsdom goes, with what every browser has besides. */
export default class Browser extends TestEnvironment {
  async setup() {
    await super.setup()
    Object.assign(this.global, {
      TextEncoder,
      TextDecoder,
      structuredClone,
      Request,
      Response,
      Headers,
      ReadableStream,
      BroadcastChannel,
    })
    this.global.crypto.randomUUID ??= () => crypto.randomUUID()
  }
}
