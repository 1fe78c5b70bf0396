/** Debian's Chromium without its own windows, bars and menus: a third less work for the machine than the whole of it. */
export const browserProgram = '/usr/bin/chromium-headless-shell'
