import { computed } from 'vue'
import { useRoute } from 'vue-router'

/** What the address asks for by a name; undefined where it asks for nothing. */
export function useAsked() {
  const route = useRoute()
  return (name: string): string | undefined => {
    const { [name]: asked } = route.query
    return typeof asked === 'string' ? asked : undefined
  }
}

/** Which of the views of a screen the address shows; `first` where it names none. */
export function useShown(views: Readonly<Record<string, unknown>>, first: string) {
  const route = useRoute()
  return computed(() => (String(route.params.what) in views ? String(route.params.what) : first))
}
