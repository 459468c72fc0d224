import type { CommandData, CommandType } from '#core/house/acts'
import {
  AmendSize,
  CloseEdition,
  Curate,
  GiveNumbers,
  NameSheet,
  NameSheetWithReason,
  Reason,
  SpoilSheet,
  WithdrawNumbers,
} from './finishing'
import {
  AddInk,
  AddTub,
  DescribeTub,
  DrawInk,
  KeepBatch,
  MixBatch,
  PlanBlend,
  PlanOverprint,
  RetireRoller,
  ReweighBatch,
  SeeDrawDown,
  SetInkedShare,
  SetRoller,
  SetRollUp,
  WeighRun,
  WeighTub,
} from './inking'
import { ChangePlan, NamePrinters, StartEdition } from './plan'
import { AddLayer, ChangeLayer, SetZones } from './planning'
import { DescribePress, FindZero, TakeDown, RatePress, RetirePacking, SetPacking, SetPress } from './presses'
import {
  ChangeBlock,
  DrawRegister,
  FindExposure,
  PlanPiece,
  PrepareBlock,
  KeepBlock,
  RecordBlockState,
  UseBlock,
  SetSeriesFormat,
  SettlePaper,
  Tear,
} from './preparing'
import {
  ApproveProof,
  Adjust,
  DeclareDry,
  JudgeProof,
  GradePull,
  JudgePull,
  MendSlip,
  NameLayer,
  ReadClimate,
  SetDrying,
  TakeBackCut,
  TouchTest,
  NamePull,
  NamePullWithReason,
  PlaceFault,
  PullTap,
  SettleDispute,
  TryRemedy,
  VoidAdjustment,
} from './pulling'
import { SetFaultLine } from './faults'
import {
  CloseSession,
  OpenSession,
  OwnTask,
  RaiseTask,
  SetCareRule,
  SetCleaner,
  SetStation,
  SolveTask,
} from './stations'
import {
  AddLot,
  AddPastEditions,
  BuyPaper,
  CountLot,
  DescribeLot,
  MoveRation,
  RationPaper,
  SetStudio,
  WithdrawPastEdition,
} from './stores'

/** What a browser may send. People have routes of their own, with their names and secrets. */
export type RequestType = Exclude<CommandType, 'set-up' | 'add-person' | 'change-person'>

/** A class for every act, whose instances are the act's data. */
type Requests = { [T in RequestType]: new () => CommandData<T> }

/** Refuses a class with a field that the act does not know: it would pass the check and be lost. */
type NoMore<Given extends Requests> = {
  [T in RequestType]: Exclude<keyof InstanceType<Given[T]>, keyof CommandData<T>> extends infer More
    ? [More] extends [never]
      ? unknown
      : { 'field the act does not know': More }
    : never
}

const requestsFor = <const Given extends Requests>(given: Given & NoMore<Given>): Requests => given

const requests = requestsFor({
  'start-edition': StartEdition,
  'name-printers': NamePrinters,
  'change-plan': ChangePlan,
  'add-layer': AddLayer,
  'change-layer': ChangeLayer,
  'set-zones': SetZones,
  'set-press': SetPress,
  'plan-piece': PlanPiece,
  tear: Tear,
  'prepare-block': PrepareBlock,
  'use-block': UseBlock,
  'keep-block': KeepBlock,
  'cancel-block': Reason,
  'change-block': ChangeBlock,
  'record-block-state': RecordBlockState,
  'find-exposure': FindExposure,
  'draw-register': DrawRegister,
  'settle-paper': SettlePaper,
  'set-roll-up': SetRollUp,
  'set-inked-share': SetInkedShare,
  'plan-overprint': PlanOverprint,
  'plan-blend': PlanBlend,
  pull: PullTap,
  'judge-pull': JudgePull,
  'grade-pull': GradePull,
  'place-fault': PlaceFault,
  'judge-proof': JudgeProof,
  'try-remedy': TryRemedy,
  'void-pull': NamePullWithReason,
  'restore-pull': NamePull,
  'mend-slip': MendSlip,
  'settle-dispute': SettleDispute,
  adjust: Adjust,
  'void-adjustment': VoidAdjustment,
  'approve-proof': ApproveProof,
  'declare-dry': DeclareDry,
  'cut-further': NameLayer,
  'set-drying': SetDrying,
  'touch-test': TouchTest,
  'read-climate': ReadClimate,
  'take-back-cut': TakeBackCut,
  'spoil-sheet': SpoilSheet,
  'recover-sheet': NameSheetWithReason,
  'split-sheet': NameSheet,
  curate: Curate,
  'give-numbers': GiveNumbers,
  'withdraw-numbers': WithdrawNumbers,
  sign: NameSheet,
  'withdraw-signing': NameSheetWithReason,
  'destroy-print': NameSheetWithReason,
  'amend-size': AmendSize,
  close: CloseEdition,
  reopen: Reason,
  'add-lot': AddLot,
  'describe-lot': DescribeLot,
  'buy-paper': BuyPaper,
  'count-lot': CountLot,
  'ration-paper': RationPaper,
  'release-paper': MoveRation,
  'return-paper': MoveRation,
  'mix-batch': MixBatch,
  'add-ink': AddInk,
  'draw-ink': DrawInk,
  'reweigh-batch': ReweighBatch,
  'keep-batch': KeepBatch,
  'see-draw-down': SeeDrawDown,
  'weigh-run': WeighRun,
  'add-tub': AddTub,
  'describe-tub': DescribeTub,
  'weigh-tub': WeighTub,
  'add-press': DescribePress,
  'describe-press': DescribePress,
  'find-zero': FindZero,
  'rate-press': RatePress,
  'take-down': TakeDown,
  'set-station': SetStation,
  'open-session': OpenSession,
  'close-session': CloseSession,
  'raise-task': RaiseTask,
  'own-task': OwnTask,
  'solve-task': SolveTask,
  'set-studio': SetStudio,
  'add-past-editions': AddPastEditions,
  'withdraw-past-edition': WithdrawPastEdition,
  'set-series-format': SetSeriesFormat,
  'set-roller': SetRoller,
  'retire-roller': RetireRoller,
  'set-packing': SetPacking,
  'retire-packing': RetirePacking,
  'set-cleaner': SetCleaner,
  'set-care-rule': SetCareRule,
  'set-fault-line': SetFaultLine,
})

/** What each command of a browser must look like, by type. */
export const requestOf: ReadonlyMap<string, new () => object> = new Map(Object.entries(requests))
