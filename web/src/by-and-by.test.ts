import { describe, expect, it, vi } from 'vitest'
import { nextTick, ref, watch } from 'vue'
import { useByAndBy } from './by-and-by'

describe('a long list shown by and by', () => {
  it('begins with a few, then one more, goes on a few at a time, and shows all that comes later', async () => {
    const length = ref(0)
    const shown = useByAndBy(length, 2)
    expect(shown.value).toBe(2)
    const seen: number[] = []
    watch(shown, (now) => seen.push(now), { flush: 'sync' })
    length.value = 5
    await vi.waitFor(() => expect(seen).toEqual([3, 5, Infinity]))
    length.value = 50
    await nextTick()
    expect(shown.value).toBe(Infinity)
  })
  it('waits for no list that is there already, nor for one that is short', async () => {
    const shown = useByAndBy(ref(3), 1)
    expect(shown.value).toBe(1)
    await vi.waitFor(() => expect(shown.value).toBe(Infinity))
    expect(useByAndBy(ref(1), 1).value).toBe(Infinity)
  })
})
