import '@fontsource-variable/ysabeau-office/wght.css'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './App.vue'
import './house.css'
import { createWebHistory } from 'vue-router'
import { makeRouter } from './router'
import vuetify from './theme'

createApp(App).use(createPinia()).use(makeRouter(createWebHistory())).use(vuetify).mount('#app')
