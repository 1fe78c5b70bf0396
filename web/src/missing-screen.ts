import { ref, type Ref } from 'vue'
import { useRouter } from 'vue-router'
import { say } from './say'

/**
 * A screen that was tapped and is not to be had. Where the server was renewed since this page was opened it has other
 * parts now: the page is opened anew where it was to lead.
 * @returns what to say while the server is away
 */
export function useMissingScreen(): Ref<string | undefined> {
  const said = ref<string>()
  const router = useRouter()
  router.onError(async (_error, to) => {
    const answers = await fetch('/api/health').then(
      ({ ok }) => ok,
      () => false,
    )
    const { href } = router.resolve(to.fullPath)
    if (!answers) said.value = say('vadoseDoesNotAnswerIs')
    // the screen of the very address that this page was opened at would be missing again
    else if (href === location.pathname + location.search + location.hash) said.value = say('aPartIsMissing')
    else location.assign(href)
  })
  router.afterEach((_to, _from, failed) => {
    if (!failed) said.value = undefined
  })
  return said
}
