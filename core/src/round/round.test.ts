import { describe, expect, it } from 'vitest'
import { inPlainWords } from '@vadose/words'
import { dryerJobs, dryingJobs, jarJob, storedJobs, useUpJob, type DryingLot } from './index'

const lot: DryingLot = {
  hungOn: '2026-07-12',
  lastWeighedOn: '2026-07-20',
  lastTestedOn: null,
  ready: { p10: '2026-07-30', p50: '2026-08-03' },
  readyNow: 0.05,
  testsPassed: false,
  stalledForHours: 0,
  feels: 'skins, roots, neck',
  heals: false,
  turns: null,
}
const kinds = (over: Partial<DryingLot>, today = '2026-07-24') =>
  dryingJobs({ ...lot, ...over }, today).map((j) => `${j.kind} ${j.dueOn}`)

describe('jobs of a hanging lot', () => {
  it('is weighed on the day it is hung and every four days', () => {
    expect(kinds({ lastWeighedOn: null })).toContain('weigh 2026-07-12')
    expect(kinds({})).toContain('weigh 2026-07-24')
  })
  it('is felt from the early side of its window, and again two days after', () => {
    expect(kinds({})).toContain('test 2026-07-30')
    expect(kinds({ lastTestedOn: '2026-07-31' }, '2026-08-01')).toContain('test 2026-08-02')
  })
  it('is helped along when the air stalls it, or will never dry it', () => {
    // due since it stood still for a day, and no later for being looked at a day later
    expect(kinds({ stalledForHours: 50 }, '2026-07-24')).toContain('unstall 2026-07-23')
    expect(kinds({ stalledForHours: 74 }, '2026-07-25')).toContain('unstall 2026-07-23')
    expect(kinds({ ready: { p10: null, p50: null } }).some((k) => k.startsWith('unstall'))).toBe(true)
  })
  it('is not weighed while its skin heals, but felt', () => {
    expect(kinds({ heals: true, lastWeighedOn: null })).toEqual(['test 2026-07-30'])
  })
  it('is only to be taken down once it is ready', () => {
    expect(kinds({ readyNow: 0.95 })).toEqual(['take-down 2026-07-24'])
    expect(kinds({ testsPassed: true })).toEqual(['take-down 2026-07-24'])
  })
})

describe('jobs of what is kept', () => {
  it('is looked over when the model says, and says how many', () => {
    const stored = {
      storedOn: '2026-08-04',
      lastCheckedOn: '2026-08-30',
      checkInDays: 20,
      lookAt: 18,
      pieces: 73,
      goThroughAll: false,
    }
    const [job] = storedJobs(stored, '2026-10-02')
    expect([job!.kind, job!.dueOn, inPlainWords(job!.why)]).toEqual([
      'check',
      '2026-09-19',
      'Last looked over 33 days ago. Look at 18 of 73.',
    ])
  })
  it('is used up before its days are over', () => {
    const soon = useUpJob('2026-09-19', 14, '2026-10-02')
    expect([soon.dueOn, inPlainWords(soon.why)]).toEqual(['2026-09-28', 'Will not keep: 1 day left.'])
    expect(inPlainWords(useUpJob('2026-09-19', 15, '2026-10-02', 'cut-round').why)).toBe(
      'Set aside, cut round and cook: 2 days left.',
    )
    expect(inPlainWords(useUpJob('2026-09-01', 14, '2026-10-02').why)).toMatch(/over/)
  })
})

describe('jobs of what lies, of trays and of jars', () => {
  it('turns what lies every so many days from when it was last turned', () => {
    expect(kinds({ turns: { everyDays: 7, lastOn: '2026-07-20' } })).toContain('turn 2026-07-27')
    expect(kinds({}).some((k) => k.startsWith('turn'))).toBe(false)
  })
  it('changes the trays half way, once, and takes the load out', () => {
    const load = {
      rotateOn: '2026-07-23',
      rotateAt: '18:00',
      doneOn: '2026-07-25',
      doneBetween: ['11:00', '17:00'] as const,
      targetG: 451,
    }
    const kindsOf = (rotated: boolean) => dryerJobs({ ...load, rotated }).map((j) => `${j.kind} ${j.dueOn}`)
    expect(kindsOf(false)).toEqual(['rotate 2026-07-23', 'take-out 2026-07-25'])
    expect(kindsOf(true)).toEqual(['take-out 2026-07-25'])
  })
  it('shakes the jar once a day', () => {
    expect(jarJob(3, 7, '2026-07-24').dueOn).toBe('2026-07-24')
    expect(inPlainWords(jarJob(9, 7, '2026-07-24').why)).toMatch(/Day 7 of 7/)
  })
})
