import { config } from '@vue/test-utils'
import { ElButton, ElCheckbox, ElInput } from 'element-plus'
import { defineComponent, h } from 'vue'
import { i18n } from '../src/words'

interface Entry {
  value: string | number
  label: string
}

/** A list to pick from as the browser has it: the library's own draws itself only where there is room. */
const ElSelectV2 = defineComponent({
  props: { modelValue: { type: [String, Number] }, options: { type: Array<Entry>, required: true } },
  emits: ['update:modelValue'],
  setup: (props, { emit }) => {
    const pick = (event: Event) => emit('update:modelValue', (event.target as HTMLSelectElement).value)
    return () =>
      h(
        'select',
        { value: props.modelValue, onChange: pick },
        props.options.map(({ value, label }) => h('option', { value }, label)),
      )
  },
})

/* What the application, and its build, give to every component. */
config.global.plugins.push(i18n)
config.global.components = { ...config.global.components, ElButton, ElCheckbox, ElInput, ElSelectV2 }
