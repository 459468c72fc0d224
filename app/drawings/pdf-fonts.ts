import pencil from '@expo-google-fonts/kalam/300Light/Kalam_300Light.ttf?url'
import body from '@expo-google-fonts/public-sans/400Regular/PublicSans_400Regular.ttf?url'
import strong from '@expo-google-fonts/public-sans/600SemiBold/PublicSans_600SemiBold.ttf?url'
import heading from '@expo-google-fonts/bitter/500Medium/Bitter_500Medium.ttf?url'
import type { jsPDF } from 'jspdf'

export const faces = ['body', 'strong', 'heading', 'pencil'] as const
export type Face = (typeof faces)[number]
const files: Record<Face, string> = { body, strong, heading, pencil }

/** The files of the faces, read once: papers carry their letters with them. */
let read: Promise<Record<Face, string>> | null = null

async function base64(url: string): Promise<string> {
  const bytes = new Uint8Array(await (await fetch(url)).arrayBuffer())
  let text = ''
  for (let i = 0; i < bytes.length; i += 32_768) text += String.fromCharCode(...bytes.subarray(i, i + 32_768))
  return btoa(text)
}

async function readFaces(): Promise<Record<Face, string>> {
  const texts = await Promise.all(faces.map((face) => base64(files[face])))
  return Object.fromEntries(faces.map((face, i) => [face, texts[i]!])) as Record<Face, string>
}

/** Embed the room's faces in a PDF, so that it looks the same everywhere. */
export async function embedFaces(pdf: jsPDF): Promise<void> {
  read ??= readFaces()
  const known = await read.catch((error: unknown) => {
    read = null
    throw error
  })
  for (const face of faces) {
    pdf.addFileToVFS(`${face}.ttf`, known[face])
    pdf.addFont(`${face}.ttf`, face, 'normal')
  }
}

interface Metadata {
  cmap?: { unicode?: { codeMap?: Record<number, number> } }
}

/** Letters of a text that a face has no sign for, each once. */
export function lackingIn(pdf: jsPDF, face: Face, text: string): string[] {
  pdf.setFont(face, 'normal')
  const { metadata } = pdf.getFont() as unknown as { metadata: Metadata }
  const map = metadata.cmap?.unicode?.codeMap
  if (!map) return []
  return [...new Set(text)].filter((letter) => letter >= ' ' && !map[letter.codePointAt(0)!])
}
