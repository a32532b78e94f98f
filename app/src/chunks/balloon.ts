export { CheckPage } from '@/features/check/CheckPage';
export { ComparePage } from '@/features/compare/ComparePage';
export { FindPage } from '@/features/find/FindPage';
export { FinishPage } from '@/features/finish/FinishPage';
export { HoldPage } from '@/features/hold/HoldPage';
export { ModelPage } from '@/features/model/ModelPage';
export { ReadingPage } from '@/features/reading/ReadingPage';
export { SheetPage } from '@/features/sheet/SheetPage';
