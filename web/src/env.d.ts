/// <reference types="vite/client" />
declare module 'element-plus/es/components/*/style/css'
declare module '@fontsource-variable/*'
