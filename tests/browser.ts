/** How Debian's browser without a window is started, by the browser tests and by the benchmark. */
export const BROWSER = {
  executablePath: '/usr/bin/chromium-headless-shell',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
}
