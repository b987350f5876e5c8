import { afterEach } from '@jest/globals'
import { cleanup } from '@testing-library/react'

/** What browsers have and jsdom has not. */
globalThis.structuredClone ??= (value: unknown) => JSON.parse(JSON.stringify(value))
Element.prototype.scrollIntoView ??= () => undefined
Element.prototype.hasPointerCapture ??= () => false
globalThis.ResizeObserver ??= class {
  observe() {}
  unobserve() {}
  disconnect() {}
}
window.matchMedia ??= (() => ({ matches: false, addEventListener() {}, removeEventListener() {} })) as never

afterEach(cleanup)
