/** A Markdown file of the project as a page: `import html from '…/file.md?html'`, its equations as MathML. */
import { readFileSync } from 'node:fs'
import katex from '@vscode/markdown-it-katex'
import MarkdownIt from 'markdown-it'

/** @returns {import('vite').Plugin} */
export function markdownPages() {
  const markdown = new MarkdownIt({ html: false, typographer: false }).use(katex.default ?? katex, {
    output: 'mathml',
    throwOnError: true,
  })
  // Wide tables scroll in themselves.
  markdown.renderer.rules.table_open = () => '<div class="overflow-x-auto" tabindex="0"><table>'
  markdown.renderer.rules.table_close = () => '</table></div>'
  // A heading can be linked to.
  markdown.renderer.rules.heading_open = (tokens, i) => `<${tokens[i].tag} id="${slug(tokens[i + 1].content)}">`
  return {
    name: 'vulcanum-markdown-pages',
    enforce: 'pre',
    load(id) {
      if (!id.endsWith('.md?html')) return null
      const file = id.slice(0, -'?html'.length)
      this.addWatchFile(file)
      // An equation may be wider than a phone: then it scrolls in itself, by the keyboard too.
      const html = markdown
        .render(readFileSync(file, 'utf8'))
        .replaceAll('<p class="katex-block">', '<p class="katex-block" tabindex="0">')
      return `export default ${JSON.stringify(html)}`
    },
  }
}

const slug = (text) =>
  text
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
