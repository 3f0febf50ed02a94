import { api } from '../api/client'
import type { OrderWritten, WrittenStock } from '../api/types'

const ofPiece = (stock: string) => ({ params: { path: { stock } } })
const ofOrder = (order_id: string) => ({ params: { path: { order_id } } })

/** What a maker does to the shelf: each is asked of the shelf as it was seen, by its revision. */
export const onShelf = {
  put: (pieces: WrittenStock[]) => (revision: number) => api.POST('/api/shelf/pieces', { body: { revision, pieces } }),
  rewrite: (id: string, piece: WrittenStock) => (revision: number) =>
    api.PUT('/api/shelf/pieces/{stock}', { ...ofPiece(id), body: { revision, piece } }),
  takeOff: (id: string) => (revision: number) =>
    api.POST('/api/shelf/pieces/{stock}/take-off', { ...ofPiece(id), body: { revision } }),
  /** Kept for a build: so much, all where nothing is said, none at 0. */
  reserve: (id: string, build: string, amount: string | number | null) => (revision: number) =>
    api.POST('/api/shelf/pieces/{stock}/reserve', { ...ofPiece(id), body: { revision, build, amount } }),
  order: (order: OrderWritten) => (revision: number) => api.POST('/api/orders', { body: { revision, ...order } }),
  arrive: (id: string, came: number[]) => (revision: number) =>
    api.POST('/api/orders/{order_id}/arrive', { ...ofOrder(id), body: { revision, came } }),
  cancel: (id: string) => (revision: number) =>
    api.POST('/api/orders/{order_id}/cancel', { ...ofOrder(id), body: { revision } }),
  undo: (revision: number) => api.POST('/api/shelf/undo', { body: { revision } }),
  redo: (revision: number) => api.POST('/api/shelf/redo', { body: { revision } }),
}
