/** A button of the log. */
export interface Press {
  key: string
  name: string
  /** Of a reaction, as the chart letters them. */
  letter?: string
  isOurs?: boolean
  does: () => void
}
