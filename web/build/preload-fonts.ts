import type { HtmlTagDescriptor, Plugin } from 'vite'

/** Asks for the fonts with the page itself: found first in its style sheet, they come late and move every line. */
export function preloadFonts(): Plugin {
  return {
    name: 'preload-fonts',
    transformIndexHtml: {
      order: 'post',
      handler: (_html, { bundle }) =>
        Object.keys(bundle ?? {})
          .filter((name) => name.endsWith('.woff2'))
          .map(
            (name): HtmlTagDescriptor => ({
              tag: 'link',
              attrs: { rel: 'preload', as: 'font', type: 'font/woff2', href: `/${name}`, crossorigin: true },
              injectTo: 'head',
            }),
          ),
    },
  }
}
