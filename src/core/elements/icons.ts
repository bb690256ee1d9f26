/** Line icons for site content, drawn on a 24-unit square for this project. */
export const icons: Readonly<Record<string, string>> = {
  needle: 'M20 4 9 15M20 4a2 2 0 1 0-2.6 2.6M9 15c-2 2-2 3-5 5M9 15c1.5 3-1 4-2 5',
  book: 'M5 4h11a3 3 0 0 1 3 3v13H8a3 3 0 0 1-3-3zM5 17a3 3 0 0 1 3-3h11M9 8h6',
  clock: 'M12 3a9 9 0 1 1 0 18 9 9 0 0 1 0-18M12 7v5l3.5 2',
  leaf: 'M5 19C4 9 11 4 20 4c0 9-5 16-15 15M5 19c2-5 5-8 9-10',
  people:
    'M9 11a3.5 3.5 0 1 0 0-7 3.5 3.5 0 0 0 0 7M3 20c0-4 2.5-6 6-6s6 2 6 6M16 5a3 3 0 0 1 0 6M18 14c2 .8 3 3 3 6',
  parcel: 'M4 8l8-4 8 4v9l-8 4-8-4zM4 8l8 4 8-4M12 12v9M8 6l8 4',
  pin: 'M12 21c5-5.500 7-8.500 7-11.500a7 7 0 0 0-14 0C5 12.500 7 15.500 12 21M12 12a2.500 2.500 0 1 0 0-5 2.500 2.500 0 0 0 0 5',
  wave: 'M3 9c3-3 6 3 9 0s6 3 9 0M3 15c3-3 6 3 9 0s6 3 9 0',
  anchor:
    'M12 8v13M12 8a2.500 2.500 0 1 0 0-5 2.500 2.500 0 0 0 0 5M4 13c0 5 4 8 8 8s8-3 8-8M8.500 12h7',
  sun: 'M12 8a4 4 0 1 1 0 8 4 4 0 0 1 0-8M12 2v3M12 19v3M2 12h3M19 12h3M5 5l2 2M17 17l2 2M19 5l-2 2M7 17l-2 2',
  tick: 'M4 13l5 5L20 6',
}

export const iconNames = Object.keys(icons)
