import type { NextConfig } from 'next'

const config: NextConfig = {
  serverExternalPackages: ['sequelize', 'pg', 'pdfkit'],
  poweredByHeader: false,
  devIndicators: false,
}

export default config
