import { config } from '@vue/test-utils'
import { i18n } from '../src/words'

/* What the application gives to every component. */
config.global.plugins.push(i18n)
