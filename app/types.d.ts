/** A Markdown file rendered when the application is built. */
declare module '*.md?html' {
  const html: string
  export default html
}
