import { ref, type Ref } from 'vue'
import { START_LOCATION, useRouter } from 'vue-router'
import { say } from './say'

/**
 * A screen that was tapped and is not to be had. Where the server was renewed since this page was opened it has other
 * parts now: the page is opened anew where it was to lead.
 * @returns what to say while the server is away
 */
export function useMissingScreen(): Ref<string | undefined> {
  const said = ref<string>()
  const router = useRouter()
  router.onError(async (_error, to, from) => {
    const answers = await fetch('/api/health').then(
      ({ ok }) => ok,
      () => false,
    )
    if (!answers) said.value = say('vadoseDoesNotAnswerIs')
    // one that is missing in a page just opened would be missing again
    else if (from !== START_LOCATION) location.assign(router.resolve(to.fullPath).href)
  })
  router.afterEach((_to, _from, failed) => {
    if (!failed) said.value = undefined
  })
  return said
}
