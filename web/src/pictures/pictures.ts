/** The pictures of children's keys: outlines in a square of 48, each with a body and lines on it. */
interface Drawn {
  name: string;
  body: string;
  lines?: string;
}

export const PICTURES: Readonly<Record<string, Drawn>> = {
  anchor: {
    name: "anchor",
    body: "M24 4a5 5 0 0 1 2.5 9.3V17H33v5h-6.5v15.5c5-.7 8.8-3.7 10-8.5l-3.5 1L38 21l5 9-3.3-.4C38 39 32 44 24 44S10 39 8.3 29.6L5 30l5-9 5 9-3.5-1c1.2 4.8 5 7.8 10 8.5V22H15v-5h6.5v-3.7A5 5 0 0 1 24 4Z",
    lines: "M24 7.5a1.5 1.5 0 1 1 0 3 1.5 1.5 0 0 1 0-3Z",
  },
  balloon: {
    name: "balloon",
    body: "M24 4c9 0 14 6.5 14 14 0 8-6 14-14 16-8-2-14-8-14-16C10 10.5 15 4 24 4Z",
    lines: "M24 34l-3 4h6l-3-4M24 38c-3 3 3 4 0 7M17 13c1-2.5 3-4 6-4",
  },
  bell: {
    name: "bell",
    body: "M24 6c8 0 11 6 11 13 0 8 2 12 6 16H7c4-4 6-8 6-16 0-7 3-13 11-13Z",
    lines: "M24 3v3M19 38c1 5 9 5 10 0M19 13c-2 3-2 7-2 10",
  },
  bicycle: {
    name: "bicycle",
    body: "M13 22a10 10 0 1 1 0 20 10 10 0 0 1 0-20ZM35 22a10 10 0 1 1 0 20 10 10 0 0 1 0-20Z",
    lines: "M13 32l7-16h12M20 16l6 16H13M26 32l7-18h5M33 14l2 18M16 16h8",
  },
  bird: {
    name: "bird",
    body: "M5 20c5-8 14-10 19-4 3-7 12-9 16-3l5 3-6 2c-1 12-9 19-19 19-7 0-10-3-12-7 4 1 7 0 9-2C10 28 6 25 5 20Z",
    lines: "M36 13.5v.1M20 24c4 3 9 3 13-1M20 37v7M27 36v8",
  },
  boat: { name: "boat", body: "M4 33h40l-6 10H11ZM22 5v24H7ZM26 11l13 18H26Z", lines: "M24 3v30" },
  cloud: {
    name: "cloud",
    body: "M13 38C6 38 3 33 4 28c1-4 4-6 8-6 0-8 6-13 13-12 6 .5 10 5 10 10 6-.5 10 4 9 9-1 6-5 9-10 9Z",
  },
  fish: {
    name: "fish",
    body: "M4 24c6-10 16-13 25-9l5 4 10-7c-2 8-2 16 0 24l-10-7-5 4c-9 4-19 1-25-9Z",
    lines: "M13 21v.1M21 16c3 5 3 11 0 16",
  },
  flower: {
    name: "flower",
    body: "M24 4c4 0 6 3 6 6 3-2 7-1 8 2 2 4-1 7-4 8 3 1 5 4 3 7-2 4-6 3-8 1 0 3-2 5-5 5s-5-2-5-5c-2 2-6 3-8-1-2-3 0-6 3-7-3-1-6-4-4-8 1-3 5-4 8-2 0-3 2-6 6-6Z",
    lines: "M24 14.5a4.5 4.5 0 1 1 0 9 4.5 4.5 0 0 1 0-9ZM24 33v12M24 41c3-5 7-5 9-4",
  },
  key: {
    name: "key",
    body: "M15 13a11 11 0 0 1 10.5 8H44v6h-4v6h-6v-6h-8.5A11 11 0 1 1 15 13Z",
    lines: "M13 20.5a3.5 3.5 0 1 1 0 7 3.5 3.5 0 0 1 0-7Z",
  },
  lamp: { name: "lamp", body: "M16 5h16l7 20H9ZM20 36h8v3h6v5H14v-5h6Z", lines: "M24 25v11M34 25v6" },
  moon: {
    name: "moon",
    body: "M29 4c-7 5-9 14-6 22s11 12 19 10c-4 6-11 9-18 8C13 42 6 33 7 23 8 12 18 4 29 4Z",
  },
  star: { name: "star", body: "M24 3l6.5 13.5L45 18.5 34.5 29 37 44l-13-7-13 7 2.5-15L3 18.5l14.5-2Z" },
  sun: {
    name: "sun",
    body: "M24 14a10 10 0 1 1 0 20 10 10 0 0 1 0-20Z",
    lines: "M24 3v6M24 39v6M3 24h6M39 24h6M9 9l4.5 4.5M34.5 34.5 39 39M9 39l4.5-4.5M34.5 13.5 39 9",
  },
  tree: {
    name: "tree",
    body: "M24 3c7 0 11 5 11 10 5 2 7 6 6 11-1 5-6 8-11 8h-3v12h-6V32h-3c-5 0-10-3-11-8-1-5 1-9 6-11 0-5 4-10 11-10Z",
    lines: "M24 32V20M24 26l6-5",
  },
  umbrella: {
    name: "umbrella",
    body: "M24 6c11 0 19 8 20 20-4-3-9-3-10 0-3-4-7-4-10 0-3-4-7-4-10 0-1-3-6-3-10 0C5 14 13 6 24 6Z",
    lines: "M24 3v3M24 26v13c0 6-8 6-8 0",
  },
};
