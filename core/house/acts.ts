import { book } from '../calendar/acts/book'
import { bringClosures } from '../calendar/acts/bring-closures'
import { cancelBookings } from '../calendar/acts/cancel-bookings'
import { closeRoom } from '../calendar/acts/close-room'
import { moveBookings } from '../calendar/acts/move-bookings'
import { setHours } from '../calendar/acts/set-hours'
import { withdrawClosure } from '../calendar/acts/withdraw-closure'
import { reopenStatement } from '../account/acts/reopen-statement'
import { setRoomUse } from '../account/acts/set-room-use'
import { settleStatement } from '../account/acts/settle-statement'
import { typeCharge } from '../account/acts/type-charge'
import { addLayer } from '../edition/acts/add-layer'
import { adjust } from '../edition/acts/adjust'
import { answerAsk } from '../edition/acts/answer-ask'
import { ask } from '../edition/acts/ask'
import { signOff } from '../edition/acts/sign-off'
import { withdrawSignOff } from '../edition/acts/withdraw-sign-off'
import { commentWork } from '../edition/acts/comment-work'
import { givePaper } from '../edition/acts/give-paper'
import { handIn } from '../edition/acts/hand-in'
import { amendSize } from '../edition/acts/amend-size'
import { approveProof } from '../edition/acts/approve-proof'
import { changeBlock } from '../edition/acts/change-block'
import { changeLayer } from '../edition/acts/change-layer'
import { changePlan } from '../edition/acts/change-plan'
import { close } from '../edition/acts/close'
import { correctInk } from '../edition/acts/correct-ink'
import { cutApart } from '../edition/acts/cut-apart'
import { curate } from '../edition/acts/curate'
import { curateRun } from '../edition/acts/curate-run'
import { rankPrints } from '../edition/acts/rank-prints'
import { setAside } from '../edition/acts/set-aside'
import { setPassMark } from '../edition/acts/set-pass-mark'
import { viewPrints } from '../edition/acts/view-prints'
import { sendPrint } from '../edition/acts/send-print'
import { takePrintBack } from '../edition/acts/take-print-back'
import { writeInitials } from '../edition/acts/write-initials'
import { swapNumbers } from '../edition/acts/swap-numbers'
import { notePencil } from '../edition/acts/note-pencil'
import { markOutside } from '../edition/acts/mark-outside'
import { cutFurther } from '../edition/acts/cut-further'
import { declareDry } from '../edition/acts/declare-dry'
import { destroyPrint } from '../edition/acts/destroy-print'
import { drawRegister } from '../edition/acts/draw-register'
import { finishSheets } from '../edition/acts/finish-sheets'
import { findExposure } from '../edition/acts/find-exposure'
import { giveNumbers } from '../edition/acts/give-numbers'
import { judgeProof } from '../edition/acts/judge-proof'
import { gradePull } from '../edition/acts/grade-pull'
import { judgePull } from '../edition/acts/judge-pull'
import { judgeSheet } from '../edition/acts/judge-sheet'
import { layLayer } from '../edition/acts/lay-layer'
import { layIn } from '../edition/acts/lay-in'
import { liftLayer } from '../edition/acts/lift-layer'
import { lockUp } from '../edition/acts/lock-up'
import { mendSlip } from '../edition/acts/mend-slip'
import { namePrinters } from '../edition/acts/name-printers'
import { placeFault } from '../edition/acts/place-fault'
import { planBlend } from '../edition/acts/plan-blend'
import { planFinishing } from '../edition/acts/plan-finishing'
import { planOverprint } from '../edition/acts/plan-overprint'
import { planPiece } from '../edition/acts/plan-piece'
import { printAgain } from '../edition/acts/print-again'
import { prepareBlock } from '../edition/acts/prepare-block'
import { pull } from '../edition/acts/pull'
import { recordBlockState } from '../edition/acts/record-block-state'
import { recoverSheet } from '../edition/acts/recover-sheet'
import { reopen } from '../edition/acts/reopen'
import { restorePull } from '../edition/acts/restore-pull'
import { setInkedShare } from '../edition/acts/set-inked-share'
import { setPress } from '../edition/acts/set-press'
import { setWithoutPull } from '../edition/acts/set-without-pull'
import { setRollUp } from '../edition/acts/set-roll-up'
import { setZones } from '../edition/acts/set-zones'
import { setDrying } from '../edition/acts/set-drying'
import { settleDispute } from '../edition/acts/settle-dispute'
import { settlePaper } from '../edition/acts/settle-paper'
import { sharePiece } from '../edition/acts/share-piece'
import { sign } from '../edition/acts/sign'
import { splitSheet } from '../edition/acts/split-sheet'
import { spoilSheet } from '../edition/acts/spoil-sheet'
import { startEdition } from '../edition/acts/start-edition'
import { takeBackCut } from '../edition/acts/take-back-cut'
import { takeOut } from '../edition/acts/take-out'
import { tear } from '../edition/acts/tear'
import { touchTest } from '../edition/acts/touch-test'
import { tryRemedy } from '../edition/acts/try-remedy'
import { useBlock } from '../edition/acts/use-block'
import { voidAdjustment } from '../edition/acts/void-adjustment'
import { voidPull } from '../edition/acts/void-pull'
import { withdrawNumbers } from '../edition/acts/withdraw-numbers'
import { withdrawSigning } from '../edition/acts/withdraw-signing'
import type { AnyAct, AnyEvent, DataOf } from '../ground/act'
import type { ActShape } from '../ground/shape'
import { beginCourse } from '../course/acts/begin-course'
import { describeCourse } from '../course/acts/describe-course'
import { drawPrints } from '../course/acts/draw-prints'
import { enrolStudents } from '../course/acts/enrol-students'
import { setAssignment } from '../course/acts/set-assignment'
import { startAssignment } from '../course/acts/start-assignment'
import { takeOffCourse } from '../course/acts/take-off-course'
import { closeSession } from '../station/acts/close-session'
import { openSession } from '../station/acts/open-session'
import { ownTask } from '../station/acts/own-task'
import { raiseTask } from '../station/acts/raise-task'
import { setStation } from '../station/acts/set-station'
import { solveTask } from '../station/acts/solve-task'
import { addInk } from '../stores/batch/acts/add-ink'
import { drawInk } from '../edition/acts/draw-ink'
import { keepBatch } from '../stores/batch/acts/keep-batch'
import { mixBatch } from '../stores/batch/acts/mix-batch'
import { reweighBatch } from '../stores/batch/acts/reweigh-batch'
import { seeDrawDown } from '../stores/batch/acts/see-draw-down'
import { weighRun } from '../edition/acts/weigh-run'
import { cancelBlock } from '../edition/acts/cancel-block'
import { keepBlock } from '../edition/acts/keep-block'
import { addLot } from '../stores/lot/acts/add-lot'
import { buyPaper } from '../stores/lot/acts/buy-paper'
import { countLot } from '../stores/lot/acts/count-lot'
import { describeLot } from '../stores/lot/acts/describe-lot'
import { rationPaper } from '../stores/lot/acts/ration-paper'
import { releasePaper } from '../stores/lot/acts/release-paper'
import { returnPaper } from '../stores/lot/acts/return-paper'
import { addPress } from '../stores/press/acts/add-press'
import { describePress } from '../stores/press/acts/describe-press'
import { findZero } from '../stores/press/acts/find-zero'
import { ratePress } from '../stores/press/acts/rate-press'
import { takeDown } from '../stores/press/acts/take-down'
import { senseClimate } from '../stores/climate/acts/sense-climate'
import { watchClimate } from '../stores/climate/acts/watch-climate'
import { addRack } from '../stores/rack/acts/add-rack'
import { describeRack } from '../stores/rack/acts/describe-rack'
import { addPastEditions } from '../stores/studio/acts/add-past-editions'
import { addPerson } from '../stores/studio/acts/add-person'
import { changePerson } from '../stores/studio/acts/change-person'
import { retirePacking } from '../stores/studio/acts/retire-packing'
import { retireRoller } from '../stores/studio/acts/retire-roller'
import { setCareRule } from '../stores/studio/acts/set-care-rule'
import { giveLeave } from '../stores/studio/acts/give-leave'
import { withdrawLeave } from '../stores/studio/acts/withdraw-leave'
import { readClimate } from '../stores/studio/acts/read-climate'
import { setCleaner } from '../stores/studio/acts/set-cleaner'
import { setFaultLine } from '../stores/studio/acts/set-fault-line'
import { setPacking } from '../stores/studio/acts/set-packing'
import { setRoller } from '../stores/studio/acts/set-roller'
import { setSeriesFormat } from '../stores/studio/acts/set-series-format'
import { setStudio } from '../stores/studio/acts/set-studio'
import { setUp } from '../stores/studio/acts/set-up'
import { withdrawPastEdition } from '../stores/studio/acts/withdraw-past-edition'
import { addTub } from '../stores/tub/acts/add-tub'
import { describeTub } from '../stores/tub/acts/describe-tub'
import { weighTub } from '../stores/tub/acts/weigh-tub'

/** Everything a person can do with an edition. */
const editionActs = [
  startEdition,
  printAgain,
  namePrinters,
  changePlan,
  addLayer,
  changeLayer,
  setZones,
  setPress,
  planPiece,
  tear,
  prepareBlock,
  useBlock,
  changeBlock,
  recordBlockState,
  findExposure,
  drawRegister,
  settlePaper,
  lockUp,
  setWithoutPull,
  sharePiece,
  setRollUp,
  setInkedShare,
  planOverprint,
  planBlend,
  pull,
  judgePull,
  judgeSheet,
  gradePull,
  placeFault,
  judgeProof,
  tryRemedy,
  voidPull,
  restorePull,
  settleDispute,
  mendSlip,
  correctInk,
  adjust,
  voidAdjustment,
  approveProof,
  declareDry,
  setDrying,
  layIn,
  takeOut,
  touchTest,
  cutFurther,
  takeBackCut,
  spoilSheet,
  recoverSheet,
  splitSheet,
  cutApart,
  layLayer,
  liftLayer,
  planFinishing,
  finishSheets,
  curate,
  sendPrint,
  takePrintBack,
  writeInitials,
  swapNumbers,
  notePencil,
  markOutside,
  curateRun,
  rankPrints,
  setAside,
  setPassMark,
  viewPrints,
  giveNumbers,
  withdrawNumbers,
  sign,
  withdrawSigning,
  destroyPrint,
  amendSize,
  ask,
  answerAsk,
  signOff,
  withdrawSignOff,
  givePaper,
  handIn,
  commentWork,
  close,
  reopen,
] as const

/**
 * What is given by a tap, with inky hands: kept in the browser first, shown at once, and sent when the server is there. A
 * tap may come late, and through another's session.
 */
const taps = [
  pull,
  judgePull,
  judgeSheet,
  gradePull,
  placeFault,
  voidPull,
  restorePull,
  adjust,
  voidAdjustment,
  approveProof,
  declareDry,
  spoilSheet,
  ask,
  answerAsk,
  curate,
  curateRun,
  viewPrints,
  rankPrints,
  setAside,
  setPassMark,
  markOutside,
  writeInitials,
] as const

/** Everything a person can do with what the room owns. */
const storeActs = [
  keepBlock,
  cancelBlock,
  addLot,
  describeLot,
  buyPaper,
  countLot,
  rationPaper,
  releasePaper,
  returnPaper,
  mixBatch,
  addInk,
  drawInk,
  reweighBatch,
  keepBatch,
  seeDrawDown,
  weighRun,
  addTub,
  describeTub,
  weighTub,
  addPress,
  describePress,
  findZero,
  ratePress,
  takeDown,
  addRack,
  describeRack,
  watchClimate,
  senseClimate,
  setStation,
  openSession,
  closeSession,
  raiseTask,
  ownTask,
  solveTask,
  setUp,
  setStudio,
  addPastEditions,
  withdrawPastEdition,
  setSeriesFormat,
  setRoller,
  retireRoller,
  setPacking,
  retirePacking,
  setCleaner,
  readClimate,
  setCareRule,
  setFaultLine,
  addPerson,
  changePerson,
  giveLeave,
  withdrawLeave,
] as const

/** Everything a person can do with a class. */
const courseActs = [
  beginCourse,
  describeCourse,
  enrolStudents,
  takeOffCourse,
  setAssignment,
  startAssignment,
  drawPrints,
] as const

/** Everything a person can do with the room's time, and with what people owe. */
const roomActs = [
  book,
  moveBookings,
  cancelBookings,
  setHours,
  closeRoom,
  withdrawClosure,
  bringClosures,
  typeCharge,
  settleStatement,
  reopenStatement,
  setRoomUse,
] as const

/** Everything a person can do. */
export const acts = [...editionActs, ...storeActs, ...courseActs, ...roomActs] as const

/** Events that no act causes any more, but that ledgers hold. */
const past = [] as const

type OneAct = (typeof acts)[number]

/** Every act under its type: looked up once, where `Extract` would go through all of them each time. */
type ActByType = { [One in OneAct as One['type']]: One }

export type CommandType = OneAct['type']
export type CommandData<T extends CommandType> = DataOf<ActByType[T], T>
/** The kind of stream that an act is done to. */
export type KindOf<T extends CommandType> = ActByType[T]['stream']['kind']
/** What is given with an act beside its data: of a guarded one, the `seq` of what the person looked at. */
export type Seen<T extends CommandType> = ActByType[T]['guarded'] extends true ? [seq: number] : []
/** Commands of an edition's own stream. */
export type EditionCommandType = (typeof editionActs)[number]['type']

function byType<Item extends { type: string }>(items: readonly Item[]): ReadonlyMap<string, Item> {
  const found = new Map<string, Item>()
  for (const item of items) {
    const known = found.get(item.type)
    if (known !== undefined && known !== item) throw new Error(`Two are called “${item.type}”: rename one.`)
    found.set(item.type, item)
  }
  return found
}

export const actOf: ReadonlyMap<string, AnyAct> = byType<AnyAct>(acts)
/** The class of an act's data. */
export function shapeOf<T extends CommandType>(type: T): ActShape<CommandData<T> & object> {
  return actOf.get(type)!.shape as unknown as ActShape<CommandData<T> & object>
}

export const eventOf: ReadonlyMap<string, AnyEvent> = byType<AnyEvent>([
  ...acts.flatMap((act) => [...act.events]),
  ...past,
])

/** Acts that are given by a tap. */
export const tapped: ReadonlySet<string> = new Set(taps.map(({ type }) => type))
export type TapType = (typeof taps)[number]['type']

/** Acts that must have seen their stream as it stands. */
export const guarded: ReadonlySet<string> = new Set(acts.filter((act) => act.guarded).map((act) => act.type))
