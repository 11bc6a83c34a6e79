import { useRoute } from 'vue-router'

/** What the address asks for by a name; undefined where it asks for nothing. */
export function useAsked() {
  const route = useRoute()
  return (name: string): string | undefined => {
    const { [name]: asked } = route.query
    return typeof asked === 'string' ? asked : undefined
  }
}
