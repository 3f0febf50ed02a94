import '@fontsource-variable/ysabeau-office/wght.css'
import './house.css' // first: what a page says of itself comes after
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import { createWebHistory } from 'vue-router'
import App from './App.vue'
import { makeRouter } from './router'
import vuetify from './theme'

createApp(App).use(createPinia()).use(makeRouter(createWebHistory())).use(vuetify).mount('#app')
