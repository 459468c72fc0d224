import { onMounted, onUnmounted, ref, type Ref } from 'vue'

/** Width of an element in px, kept current. */
export function useResizeObserver(element: Readonly<Ref<HTMLElement | null>>, first: number): Ref<number> {
  const width = ref(first)
  let observer: ResizeObserver | undefined
  onMounted(() => {
    observer = new ResizeObserver(([entry]) => {
      width.value = Math.floor(entry!.contentRect.width)
    })
    if (element.value) observer.observe(element.value)
  })
  onUnmounted(() => observer?.disconnect())
  return width
}
