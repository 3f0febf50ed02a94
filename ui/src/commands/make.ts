import { api } from '../api/client'
import type { DoStep, FinishStep, Gain, WrittenEntry, WrittenOwn } from '../api/types'
import { useOpenBuild } from '../stores/openBuild'

/** What a maker does at the bench: steps done, left out, in her order, clocked and written down. */
export function useMakeCommands() {
  const { step } = useOpenBuild()
  const ofStep = ['step', 'minutes']
  return {
    do: (name: string, more: Omit<DoStep, 'revision' | 'step'> = {}) =>
      step(
        ({ params, revision }) =>
          api.POST('/api/builds/{build_id}/make/do', { params, body: { revision, step: name, ...more } }),
        ofStep,
      ),
    undo: (name: string) =>
      step(
        ({ params, revision }) =>
          api.POST('/api/builds/{build_id}/make/undo', { params, body: { revision, step: name } }),
        ofStep,
      ),
    leaveOut: (name: string, because: string) =>
      step(
        ({ params, revision }) =>
          api.POST('/api/builds/{build_id}/make/leave-out', { params, body: { revision, step: name, because } }),
        ofStep,
      ),
    takeIn: (name: string) =>
      step(
        ({ params, revision }) =>
          api.POST('/api/builds/{build_id}/make/take-in', { params, body: { revision, step: name } }),
        ofStep,
      ),
    appoint: (name: string, on: string | null, note: string) =>
      step(
        ({ params, revision }) =>
          api.POST('/api/builds/{build_id}/make/appoint', { params, body: { revision, step: name, on, note } }),
        ['step', 'on'],
      ),
    order: (order: string[]) =>
      step(
        ({ params, revision }) => api.PUT('/api/builds/{build_id}/make/order', { params, body: { revision, order } }),
        ['order'],
      ),
    keepOwn: (own: WrittenOwn) =>
      step(
        ({ params, revision }) => api.PUT('/api/builds/{build_id}/make/own', { params, body: { revision, own } }),
        ['make', 'own', 'after'],
      ),
    takeOwn: (name: string) =>
      step(({ params, revision }) =>
        api.POST('/api/builds/{build_id}/make/own/take', { params, body: { revision, step: name } }),
      ),
    start: (name: string) =>
      step(
        ({ params, revision }) =>
          api.POST('/api/builds/{build_id}/make/start', { params, body: { revision, step: name } }),
        ofStep,
      ),
    stop: (more: Omit<FinishStep, 'revision'>) =>
      step(
        ({ params, revision }) => api.POST('/api/builds/{build_id}/make/stop', { params, body: { revision, ...more } }),
        ofStep,
      ),
    keepEntry: (entry: WrittenEntry) =>
      step(
        ({ params, revision }) => api.POST('/api/builds/{build_id}/make/log', { params, body: { revision, entry } }),
        ['make', 'entry', 'on', 'step'],
      ),
    takeEntry: (at: number) =>
      step(({ params, revision }) =>
        api.POST('/api/builds/{build_id}/make/log/take', { params, body: { revision, at } }),
      ),
    gain: ({ title, changes, leave_out }: Gain) =>
      step(({ params, revision }) =>
        api.POST('/api/builds/{build_id}/make/gains', { params, body: { revision, title, changes, leave_out } }),
      ),
  }
}
