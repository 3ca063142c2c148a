// What the pages at home know, as it comes from the clinic and as it is kept here.
/**
 * @typedef {{key: string, id: string, outBy: string[], lockedFor: string[], preparedBy: number[][], things: string[],
 *   worn: boolean}} More of an item, beside what the player knows of it; lockedFor: ids of helpers who may not do it;
 *   preparedBy: for each need the places of what meets it
 * @typedef {import('../player/score.js').Item & More} HomeItem
 * @typedef {Omit<import('../player/score.js').Score, 'items'|'stops'> & {items: HomeItem[], short: string[],
 *   waits: {what: string, why: string, for: string}[]}} List
 * @typedef {{day: string, list: string, only: string[], sittings: {at: string, minutes: number}[]}} PlanDay
 * @typedef {{lists: Record<string, List>, days: PlanDay[], stops: import('../player/score.js').StopRow[],
 *   limits: Limits, smooth: string[]}} PlanSheet
 *
 * From where on pain leaves nothing active, tiredness offers the short list, and a plan is old.
 * @typedef {{severePain: number, tired: number, oldDays: number}} Limits
 * @typedef {{hash: string, madeAt: string, sheet: PlanSheet}} Plan
 * @typedef {{id: string, secret: string}} Slot
 * @typedef {{id: string, day: string, at: string, isFinished: boolean, nth: number}} Begun
 * @typedef {{keys: string[], day: string|null, at: string}} Hold day: only then; null: until the clinic says otherwise
 * @typedef {{id: string, kind: string, at: string, body: Record<string, unknown>}} Word
 */

/**
 * @typedef {{code: string, yesNo: boolean, morning: boolean, most: number, step: number}} Factor
 * @typedef {{runs: boolean, first: string, second: string, factors: Factor[], done: string[],
 *   lately: {day: string, worst: number|null}[],
 *   trial: {words: string, until: string, bell: number|null}|null}} Diary
 * @typedef {{id: string, about: string, text: string, at: string, answer: string, by: string, on: string|null,
 *   isRead: boolean}} Message
 * @typedef {{id: string, kind: string, item: string, before: string, now: string, why: string, on: string,
 *   isSeen: boolean}} Change
 * @typedef {{on: string, by: string, parts: {title: string, lines: string[]}[]}} Letter
 * @typedef {{id: string, name: string}} Helper
 * @typedef {{on: string, lines: string[]}} Drawn lines: points of a polyline
 * @typedef {{width: number, height: number, before: Drawn, now: Drawn}} Sample both at the same scale
 * @typedef {{id: string, days: number, of: number, task: string, lookOn: string|null,
 *   sample: Sample|null}} EndedBlock days: with practice
 * @typedef {{person: string, client: string, first: string, me: string|null, asksHelper: boolean,
 *   helpers: Helper[], today: string, zone: string,
 *   now: string, clinic: {name: string, phone: string, night: string, emergency: string, whom: string},
 *   back: {days: number, isLong: boolean}|null, held: {what: string, key: string}[],
 *   asks: {medicine: boolean, hands: string[], usable: string, signs: boolean}, doctor: boolean,
 *   sittings: {id: string, day: string, at: string, isFinished: boolean}[],
 *   changes: Change[], letter: Letter|null,
 *   alerts: {id: string, sign: string, state: string, words: string, at: string}[],
 *   messages: Message[], diary: Diary|null, block: EndedBlock|null,
 *   wears: import('./worn.js').Wears, shared: number|null,
 *   use: {id: string, words: string, isDone: boolean}|null}} Day
 *   shared: minutes after which a tablet of several asks anew who it is
 * @typedef {{kind: 'held'|'nothing'|'done'|'unfinished'|'next'|'unknown', sitting?: Begun,
 *   nth?: number, at?: string, minutes?: number, later?: {at: string, minutes: number}|null, planDay?: PlanDay,
 *   doneAt?: string, waits?: boolean}} State
 */

export {};
