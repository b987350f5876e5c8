/** What Vite makes of a file whose address is asked for. */
declare module '*?url' {
  const address: string
  export default address
}
