import { onMounted, onUnmounted, ref, type Ref, watch } from 'vue'

/** Widths that elements had last, by what they are for: the next one most likely has the same. */
const lastWidths = new Map<string, number>()

/**
 * Width of an element in px, kept current: first what the last one had, and null before any was laid out. Asking the browser
 * sooner would have it lay out the page twice.
 * @param purpose what the element is for
 */
export function useWidth(element: Readonly<Ref<HTMLElement | null>>, purpose: string): Ref<number | null> {
  const width = ref(lastWidths.get(purpose) ?? null)
  let observer: ResizeObserver | undefined
  onMounted(() => {
    observer = new ResizeObserver(([entry]) => {
      width.value = Math.floor(entry!.contentRect.width)
      lastWidths.set(purpose, width.value)
    })
    if (element.value) observer.observe(element.value)
  })
  onUnmounted(() => observer?.disconnect())
  return width
}

/**
 * Draw once a width is known, before the browser paints the frame, and anew when the width or what is drawn changes.
 * @param purpose what the frame is for
 * @param given what is drawn
 */
export function useDrawn(
  frame: Readonly<Ref<HTMLElement | null>>,
  purpose: string,
  given: () => unknown[],
  draw: (width: number) => void,
): void {
  const width = useWidth(frame, purpose)
  const drawWhole = () => {
    if (width.value !== null) draw(width.value)
  }
  onMounted(drawWhole)
  watch(() => [width.value, ...given()], drawWhole, { flush: 'post' })
}
