/** Scenes drawn for the demo sites, as SVG. */

/** A tern over a thistle head, in the brand's old green. */
export const ternLogo = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 64 64" width="64" height="64">
  <circle cx="32" cy="32" r="31" fill="#1c5a54"/>
  <path fill="#F7F2E7" d="M6 24c9-4 16-2 21 4 6-9 15-14 29-15-9 4-16 10-20 18 4 1 8 0 12-3-2 6-8 10-15 9-5 0-9-2-12-6-4-4-9-6-15-7z"/>
  <path fill="#d65a2a" d="M25 45l3-6 4 4 4-4 3 6c1 6-2 10-7 10s-8-4-7-10z"/>
  <path fill="none" stroke="#F7F2E7" stroke-width="1.500" d="M27 48h10M28 51.500h8"/>
</svg>
`

export function notebookScene(paper: string, spine: string, ground: string): string {
  return `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" viewBox="0 0 720 540">
  <defs>
    <filter id="soft" x="-30%" y="-30%" width="160%" height="160%"><feGaussianBlur stdDeviation="16"/></filter>
    <linearGradient id="sheen" x1="0" x2="1"><stop offset="0" stop-color="#fff" stop-opacity=".28"/><stop offset=".4" stop-color="#fff" stop-opacity="0"/><stop offset="1" stop-color="#000" stop-opacity=".14"/></linearGradient>
    <clipPath id="cover"><rect x="236" y="72" width="276" height="382" rx="5"/></clipPath>
  </defs>
  <rect width="720" height="540" fill="${ground}"/>
  <g transform="rotate(-7 360 270)">
    <rect x="226" y="104" width="308" height="376" fill="#000" opacity=".34" filter="url(#soft)"/>
    <rect x="240" y="78" width="284" height="384" rx="3" fill="#efe6d2"/>
    <path d="M518 86v370M521 86v370" stroke="#cbbfa4" stroke-width="1"/>
    <g clip-path="url(#cover)">
      <image xlink:href="${paper}" x="186" y="52" width="560" height="420" preserveAspectRatio="xMidYMid slice"/>
      <rect x="236" y="72" width="64" height="382" fill="${spine}"/>
      <path d="M300 72v382" stroke="#000" stroke-opacity=".35" stroke-width="2"/>
      <path d="M512 72l-40 0 40 44zM512 454l-40 0 40-44z" fill="${spine}"/>
      <rect x="236" y="72" width="276" height="382" fill="url(#sheen)"/>
    </g>
    <g transform="translate(352 168)"><rect width="104" height="66" rx="2" fill="#f7f2e7"/><path d="M18 26h68M18 38h68M30 50h44" stroke="${spine}" stroke-width="2" opacity=".7"/></g>
    <g stroke="#f7f2e7" stroke-width="3" stroke-linecap="round"><path d="M250 112v22M250 182v22M250 252v22M250 322v22M250 392v22"/></g>
  </g>
</svg>`
}

const windowBooks = ['#d65a2a', '#e9c9a8', '#17211f', '#f7f2e7', '#5c6866', '#c9a24b', '#8c2f16']
  .flatMap((color, i, all) => [color, all[(i * 3 + 2) % all.length]!])
  .map((color, i) => {
    const height = 62 + ((i * 37) % 40)
    return `<rect x="${168 + i * 30}" y="${470 - height}" width="24" height="${height}" fill="${color}"/><rect x="${168 + i * 30}" y="${484 - height}" width="24" height="4" fill="#fff" opacity=".4"/>`
  })
  .join('')

const cobbles = Array.from({ length: 84 }, (_, i) => {
  const row = Math.floor(i / 14)
  const x = (i % 14) * 82 - (row % 2) * 41
  const tone = ['#8b8a82', '#9a988e', '#7d7d77', '#a5a297'][(i * 7) % 4]
  return `<ellipse cx="${x + 41}" cy="${650 + row * 24}" rx="38" ry="11" fill="${tone}"/>`
}).join('')

/** The shop in evening light, its woodwork still in the old green. */
export const shopfrontScene = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 1100 760">
  <defs>
    <linearGradient id="sky" x1="0" y1="0" x2="0" y2="1"><stop offset="0" stop-color="#e8d9c2"/><stop offset="1" stop-color="#d9c3a5"/></linearGradient>
    <linearGradient id="glow" x1="0" y1="0" x2="0" y2="1"><stop offset="0" stop-color="#ffe9b8"/><stop offset="1" stop-color="#f2b866"/></linearGradient>
    <linearGradient id="shade" x1="0" x2="1"><stop offset="0" stop-color="#000" stop-opacity=".28"/><stop offset=".35" stop-color="#000" stop-opacity="0"/></linearGradient>
  </defs>
  <rect width="1100" height="760" fill="url(#sky)"/>
  <rect y="636" width="1100" height="124" fill="#6f6e68"/>${cobbles}
  <rect x="60" y="0" width="980" height="640" fill="#cdbfa9"/>
  ${Array.from({ length: 60 }, (_, i) => `<rect x="${60 + (i % 12) * 84 + (Math.floor(i / 12) % 2) * 42}" y="${Math.floor(i / 12) * 34}" width="80" height="30" fill="#fff" opacity="${0.05 + ((i * 13) % 7) / 60}"/>`).join('')}
  <rect x="110" y="168" width="880" height="472" fill="#1c5a54"/>
  <rect x="110" y="168" width="880" height="72" fill="#174b46"/>
  <text x="550" y="219" text-anchor="middle" font-family="Georgia, serif" font-size="42" letter-spacing="3" fill="#f0e2c4">TERN &amp; THISTLE</text>
  <rect x="146" y="262" width="472" height="300" fill="#123a37"/>
  <rect x="156" y="272" width="452" height="280" fill="url(#glow)"/>
  <path d="M156 412h452M307 272v280M457 272v280" stroke="#1c5a54" stroke-width="8"/>
  ${windowBooks}
  <rect x="156" y="470" width="452" height="12" fill="#7a5230"/>
  <circle cx="232" cy="352" r="34" fill="#fff6dc" opacity=".9"/><circle cx="534" cy="346" r="30" fill="#fff6dc" opacity=".85"/>
  <rect x="146" y="562" width="472" height="78" fill="#1f655e"/>
  <rect x="690" y="262" width="180" height="378" fill="#174b46"/>
  <rect x="708" y="282" width="144" height="206" fill="url(#glow)"/>
  <path d="M780 282v206M708 384h144" stroke="#1c5a54" stroke-width="7"/>
  <rect x="708" y="512" width="144" height="106" fill="#1c5a54"/><circle cx="720" cy="500" r="7" fill="#d9b35c"/>
  <rect x="744" y="316" width="72" height="34" fill="#f7f2e7"/><text x="780" y="340" text-anchor="middle" font-family="Georgia, serif" font-size="20" fill="#d65a2a">open</text>
  <g transform="translate(910 470)"><path d="M0 0h70l-10 170h-50z" fill="#b4532b"/><circle cx="12" cy="-18" r="30" fill="#5f7d63"/><circle cx="48" cy="-30" r="36" fill="#6d8d6f"/><circle cx="66" cy="-6" r="22" fill="#57745c"/><circle cx="40" cy="-58" r="9" fill="#a67fb0"/><circle cx="10" cy="-44" r="7" fill="#a67fb0"/></g>
  <g transform="translate(150 640)"><path d="M0 0l24-118h74l24 118z" fill="#3c2f25"/><rect x="24" y="-104" width="72" height="84" fill="#22302c"/><path d="M36-84h48M36-66h40M36-48h44" stroke="#f7f2e7" stroke-width="4" opacity=".8"/></g>
  <rect width="1100" height="760" fill="url(#shade)"/>
</svg>`

export const ferryLogo = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 64 64" width="64" height="64">
  <path fill="#12355b" d="M6 38h52c-3 11-11 17-26 17S9 49 6 38z"/>
  <path fill="#f2a541" d="M30 8v26H12C17 24 23 15 30 8z"/>
  <path fill="#12355b" d="M34 14c7 5 11 12 13 20H34z"/>
</svg>
`

function rowingBoat(x: number, y: number, scale: number, hull: string, trim: string): string {
  return `<g transform="translate(${x} ${y}) scale(${scale})">
    <path d="M-120 0C-90 52 90 52 124-6L112-10C70 10-70 12-112-4z" fill="${hull}"/>
    <path d="M-120 0C-70 16 70 14 124-6l-4-8C70 6-70 8-116-8z" fill="${trim}"/>
    <path d="M-50 6l10-16h14l-8 18zM20 7l8-18h14l-8 17z" fill="${trim}" opacity=".75"/>
    <path d="M-20-6L-150 46M60-8L176 40" stroke="#c79a5b" stroke-width="6" stroke-linecap="round"/>
    <ellipse cx="0" cy="50" rx="130" ry="10" fill="#0b2440" opacity=".22"/>
  </g>`
}

const ripples = Array.from({ length: 46 }, (_, i) => {
  const y = 330 + i * 9.4
  const x = (i * 271) % 1100
  const length = 40 + ((i * 53) % 120)
  return `<path d="M${x} ${y}q${length / 4} -5 ${length / 2} 0t${length / 2} 0" fill="none" stroke="#fff" stroke-opacity="${0.1 + (i % 5) * 0.05}" stroke-width="${1 + i / 16}"/>`
}).join('')

/** Rowing boats below a wooded hill, early morning. */
export const boatScene = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 1100 760">
  <defs>
    <linearGradient id="dawn" x1="0" y1="0" x2="0" y2="1"><stop offset="0" stop-color="#bfd9ea"/><stop offset="1" stop-color="#fbe3bf"/></linearGradient>
    <linearGradient id="water" x1="0" y1="0" x2="0" y2="1"><stop offset="0" stop-color="#8fb9d1"/><stop offset="1" stop-color="#1f5f8b"/></linearGradient>
  </defs>
  <rect width="1100" height="330" fill="url(#dawn)"/>
  <circle cx="790" cy="208" r="64" fill="#f7c873"/>
  <path d="M0 260c150-90 260-70 380-20s210-60 330-50 250 60 390 0v150H0z" fill="#7ea39a"/>
  <path d="M0 300c120-50 260-30 420-6s300-40 680-14v60H0z" fill="#3f6f6a"/>
  <rect y="326" width="1100" height="434" fill="url(#water)"/>
  <path d="M740 330h100l60 430H640z" fill="#ffe6ad" opacity=".45"/>
  ${ripples}
  <path d="M0 700l430-70v24L0 740z" fill="#9a7246"/><path d="M60 700v60M180 680v80M300 660v100M410 644v90" stroke="#6e4f2f" stroke-width="14"/>
  ${rowingBoat(420, 430, 0.7, '#f3efe6', '#12355b')}
  ${rowingBoat(760, 500, 1, '#c8442f', '#f3efe6')}
  ${rowingBoat(560, 620, 1.35, '#12355b', '#f2a541')}
</svg>`
