import '@fontsource-variable/ysabeau-office/wght.css'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './App.vue'
import './house.css'
import router from './router'
import vuetify from './theme'

createApp(App).use(createPinia()).use(router).use(vuetify).mount('#app')
