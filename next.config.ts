import type { NextConfig } from 'next'

const config: NextConfig = {
  serverExternalPackages: [
    'sequelize',
    'pg',
    'pdfkit',
    'fontkit',
    'subset-font',
    'fontverter',
    'piscina',
  ],
  poweredByHeader: false,
  // The server listens on this machine alone, where packing takes longer than sending; what stands before it for others packs what it sends on.
  compress: false,
  // Every answer goes through the proxy; a redirect before it would not.
  skipTrailingSlashRedirect: true,
  devIndicators: false,
  // Types are checked by `./easel test`, once, and keep nobody waiting who starts the application.
  typescript: { ignoreBuildErrors: true },
}

export default config
