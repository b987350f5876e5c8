export default async function teardown() {
  await globalThis.probatumTestDatabase?.stop()
}
