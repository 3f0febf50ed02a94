import { createRouter, type RouterHistory } from 'vue-router'
import WorkshopPage from './stages/workshop/WorkshopPage.vue'

/** The places of the interface. */
export const makeRouter = (history: RouterHistory) =>
  createRouter({
    history,
    routes: [
      { path: '/', component: WorkshopPage, name: 'workshop' },
      { path: '/today', component: () => import('./stages/today/TodayPage.vue'), name: 'today' },
      { path: '/cards', component: () => import('./stages/cards/CardsPage.vue'), name: 'cards' },
      { path: '/shelf', component: () => import('./stages/shelf/ShelfPage.vue'), name: 'shelf' },
      { path: '/shopping', component: () => import('./stages/shopping/ShoppingPage.vue'), name: 'shopping' },
      { path: '/settings', component: () => import('./stages/settings/SettingsPage.vue'), name: 'settings' },
      { path: '/words', component: () => import('./stages/words/WordsPage.vue'), name: 'words' },
      { path: '/first/:id?', component: () => import('./stages/first/FirstBuild.vue'), name: 'first' },
      { path: '/how', component: () => import('./stages/how/HowPage.vue'), name: 'how' },
      { path: '/about', component: () => import('./stages/about/AboutPage.vue'), name: 'about' },
      {
        path: '/build/:id',
        component: () => import('./stages/BuildPage.vue'),
        children: [
          { path: '', redirect: { name: 'pattern' } },
          { path: 'brief', name: 'brief', component: () => import('./stages/brief/BriefPage.vue') },
          { path: 'wearer', name: 'wearer', component: () => import('./stages/wearer/WearerPage.vue') },
          { path: 'pattern', name: 'pattern', component: () => import('./stages/pattern/PatternPage.vue') },
          { path: 'mockups', name: 'mockups', component: () => import('./stages/mockups/MockupsPage.vue') },
          { path: 'bones', name: 'bones', component: () => import('./stages/bones/BonesPage.vue') },
          { path: 'front', name: 'front', component: () => import('./stages/front/FrontPage.vue') },
          { path: 'back', name: 'back', component: () => import('./stages/back/BackPage.vue') },
          { path: 'layers', name: 'layers', component: () => import('./stages/layers/LayersPage.vue') },
          { path: 'trims', name: 'trims', component: () => import('./stages/trims/TrimsPage.vue') },
          { path: 'cut', name: 'cut', component: () => import('./stages/cut/CutPage.vue') },
          { path: 'make', name: 'make', component: () => import('./stages/make/MakePage.vue') },
          { path: 'record', name: 'record', component: () => import('./stages/record/RecordPage.vue') },
          { path: 'numbers', name: 'numbers', component: () => import('./stages/numbers/HouseNumbersPage.vue') },
        ],
      },
      { path: '/:rest(.*)*', redirect: '/' },
    ],
  })
