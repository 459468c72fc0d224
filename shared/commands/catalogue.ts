import { AmendSize, CloseEdition, Curate, GiveNumbers, NameSheet, NameSheetWithReason, Reason, SpoilSheet, WithdrawNumbers } from './finishing'
import { ChangePlan, StartEdition } from './plan'
import { AddLayer, ChangeLayer, SetPress, SetZones } from './planning'
import { ChangeBlock, DrawRegister, FindExposure, PlanPiece, PrepareBlock, RecordBlockState, SetSeriesFormat, Tear } from './preparing'
import { Adjust, DeclareDry, JudgePull, NameLayer, NamePull, NamePullWithReason, PullTap, SettleDispute, VoidAdjustment } from './pulling'
import { AddLot, AddPastEditions, AddPress, BuyPaper, CountLot, DescribeLot, DrawInk, MixBatch, MoveRation, RationPaper, ReweighBatch, SetStudio, WithdrawPastEdition } from './stores'

type RequestClass = new () => object

/** What each command of a browser must look like, by stream kind and type. People are changed by their own routes. */
export const catalogue: Record<string, Record<string, RequestClass>> = {
  edition: {
    'start-edition': StartEdition, 'change-plan': ChangePlan, 'add-layer': AddLayer, 'change-layer': ChangeLayer,
    'set-zones': SetZones, 'set-press': SetPress,
    'plan-piece': PlanPiece, 'tear': Tear, 'prepare-block': PrepareBlock, 'change-block': ChangeBlock, 'record-block-state': RecordBlockState,
    'find-exposure': FindExposure, 'draw-register': DrawRegister,
    'pull': PullTap, 'judge-pull': JudgePull, 'void-pull': NamePullWithReason, 'restore-pull': NamePull,
    'settle-dispute': SettleDispute, 'adjust': Adjust, 'void-adjustment': VoidAdjustment, 'set-bat': NamePullWithReason,
    'declare-dry': DeclareDry, 'cut-further': NameLayer,
    'spoil-sheet': SpoilSheet, 'recover-sheet': NameSheetWithReason, 'split-sheet': NameSheet, 'curate': Curate,
    'give-numbers': GiveNumbers, 'withdraw-numbers': WithdrawNumbers, 'sign': NameSheet,
    'withdraw-signing': NameSheetWithReason, 'destroy-print': NameSheetWithReason, 'amend-size': AmendSize,
    'close': CloseEdition, 'reopen': Reason,
  },
  lot: {
    'add-lot': AddLot, 'describe-lot': DescribeLot, 'buy-paper': BuyPaper, 'count-lot': CountLot,
    'ration-paper': RationPaper, 'release-paper': MoveRation, 'return-paper': MoveRation,
  },
  batch: { 'mix-batch': MixBatch, 'draw-ink': DrawInk, 'reweigh-batch': ReweighBatch },
  press: { 'add-press': AddPress },
  studio: { 'set-studio': SetStudio, 'add-past-editions': AddPastEditions, 'withdraw-past-edition': WithdrawPastEdition, 'set-series-format': SetSeriesFormat },
}
