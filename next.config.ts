import type { NextConfig } from 'next'

const config: NextConfig = {
  serverExternalPackages: ['sequelize', 'pg', 'pdfkit', 'fontkit', 'subset-font', 'fontverter'],
  poweredByHeader: false,
  // Every answer goes through the proxy; a redirect before it would not.
  skipTrailingSlashRedirect: true,
  devIndicators: false,
}

export default config
