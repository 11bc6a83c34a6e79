import '@fontsource-variable/atkinson-hyperlegible-next'
import '@fontsource-variable/atkinson-hyperlegible-next/wght-italic.css'
import '@fontsource-variable/sofia-sans-condensed'
import '../styles/base.css'
import '../styles/tokens.css'
import '../styles/library.css'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import { i18n } from '../words'
import App from './App.vue'
import { router } from './router'

createApp(App).use(createPinia()).use(router).use(i18n).mount('#app')
