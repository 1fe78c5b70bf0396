import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'

export default defineConfig({
  plugins: [vue()],
  server: { proxy: { '/api': `http://127.0.0.1:${process.env['PORT'] ?? 8420}` } },
  build: {
    target: 'es2022',
    // the page's policy loads fonts from files, never from text
    assetsInlineLimit: 0,
    modulePreload: { polyfill: false },
    reportCompressedSize: true,
  },
})
