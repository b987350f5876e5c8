import 'fake-indexeddb/auto'
import { afterEach } from '@jest/globals'
import { cleanup, configure } from '@testing-library/react'

/** What browsers have and jsdom has not. */
globalThis.structuredClone ??= (value: unknown) => JSON.parse(JSON.stringify(value))
Element.prototype.scrollIntoView ??= () => undefined
Element.prototype.hasPointerCapture ??= () => false
globalThis.ResizeObserver ??= class {
  observe() {}
  unobserve() {}
  disconnect() {}
}
window.scrollTo = () => undefined
window.matchMedia ??= (() => ({ matches: false, addEventListener() {}, removeEventListener() {} })) as never

// The whole page is too much to say that something is not on it.
configure({ getElementError: (message) => new Error(message?.split('\n\n')[0]) })

afterEach(cleanup)
