declare module 'html-to-pdfmake' {
  /** What pdfmake draws a page from, made of HTML. */
  export default function htmlToPdfmake(html: string, options: { window: unknown }): unknown
}
